<script setup lang="ts">
import { usePrimeVue } from 'primevue/config';
import { useToast } from 'primevue/usetoast';
import { defineAsyncComponent, useTemplateRef, watch, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import AppNavigation from './AppNavigation.vue';
import { useLock } from '../state/lock';
import { useDeviceSettings } from '../state/device-settings';
import AppToast from './AppToast.vue';
import UnreadableBar from './UnreadableBar.vue';
import { dateStyle } from '../ui/dates';
import { whenIdle } from '../ui/when-idle';
import { keepFocus } from './keep-focus';
import { followDisplaySettings } from './display-style';

const RunningBar = defineAsyncComponent(() => whenIdle().then(() => import('./RunningBar.vue')));
const LockScreen = defineAsyncComponent(() => import('./LockScreen.vue'));
const route = useRoute();
const settings = useDeviceSettings();
const lock = useLock();
const toast = useToast();
void lock.ready();
lock.watchIdle();

const sendLeftovers = (): Promise<void> => import('../sync/event-outbox').then((outbox) => outbox.sendLeftovers());
// Sessions that ended while the server could not be reached.
void lock.ready().then(sendLeftovers);

watch(
  () => lock.locked,
  (is) => {
    // A message may name somebody.
    if (is) toast.removeAllGroups();
    // What could not be sent while it was locked.
    else void sendLeftovers();
  },
);

followDisplaySettings();
keepFocus();
// What PrimeVue’s calendar needs of it.
const { config } = usePrimeVue();
watchEffect(() => {
  if (config.locale) config.locale.firstDayOfWeek = dateStyle().firstDay;
});

watchEffect(() => {
  const night = settings.night || route.meta.bare === true;
  document.documentElement.classList.toggle('night', night);
});
/** For the keyboard: past the navigation, straight to what the page is about. */
const content = useTemplateRef<HTMLElement>('content');
const skip = (): void => content.value?.focus();
</script>

<template>
  <LockScreen v-if="lock.locked" />
  <!-- Nothing of a page is left while it is locked: any of them may name somebody. What was typed is kept. -->
  <div v-else>
    <a href="#content" class="skip" @click.prevent="skip">Skip to the content</a>
    <AppNavigation v-if="!route.meta.bare" />
    <UnreadableBar v-if="!route.meta.bare" />
    <RunningBar v-if="!route.meta.bare" />
    <!-- Views of one thing stay on it: the steps and the props of a plan are the same desk. -->
    <div id="content" ref="content" tabindex="-1">
      <RouterView :key="`${route.matched[0]?.path} ${String(route.params.id)}`" />
    </div>
  </div>
  <AppToast />
</template>

<style scoped>
.skip {
  position: absolute;
  z-index: 20;
  top: 4px;
  left: 12px;
  padding: 6px 12px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
  transform: translateY(-200%);
}
.skip:focus {
  transform: none;
}
#content:focus {
  outline: none;
}
</style>
