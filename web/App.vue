<script setup lang="ts">
import Toast from 'primevue/toast';
import { watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import AppNav from './AppNav.vue';
import { useSettings } from './stores/settings';
import { sendLeftovers } from './teach/outbox';

const route = useRoute();
const settings = useSettings();

// Sessions that ended while the server could not be reached.
void sendLeftovers();

watchEffect(() => {
  const night = settings.night || route.meta.bare === true;
  document.documentElement.classList.toggle('night', night);
});
</script>

<template>
  <AppNav v-if="!route.meta.bare" />
  <!-- Views of one thing stay on it: the steps and the props of a plan are the same desk. -->
  <RouterView :key="`${route.matched[0]?.path} ${String(route.params.id)}`" />
  <Toast position="bottom-center" />
</template>
