<script setup lang="ts">
import Toast from 'primevue/toast';
import { watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import AppNav from './AppNav.vue';
import LockScreen from './LockScreen.vue';
import { useLock } from './stores/lock';
import { useSettings } from './stores/settings';
import { sendLeftovers } from './teach/outbox';

const route = useRoute();
const settings = useSettings();
const lock = useLock();
void lock.load();
lock.watchIdle();

// Sessions that ended while the server could not be reached.
void sendLeftovers();

watchEffect(() => {
  const night = settings.night || route.meta.bare === true;
  document.documentElement.classList.toggle('night', night);
});
</script>

<template>
  <LockScreen v-if="lock.locked" />
  <!-- Rooms stay as they are behind the lock, so that nothing typed is lost; those of people are taken away. -->
  <div v-show="!lock.locked">
    <AppNav v-if="!route.meta.bare" />
    <!-- Views of one thing stay on it: the steps and the props of a plan are the same desk. -->
    <RouterView
      v-if="!(lock.locked && route.meta.room === 'people')"
      :key="`${route.matched[0]?.path} ${String(route.params.id)}`"
    />
  </div>
  <Toast position="bottom-center" />
</template>
