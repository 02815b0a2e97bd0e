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
import { useIncomingAnywhere } from './use-incoming-anywhere';

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
const { isOver } = useIncomingAnywhere();
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
      <RouterView :key="`${route.matched[0]?.path} ${String(route.params.id)} ${String(route.params.week)}`" />
    </div>
  </div>
  <p v-if="isOver" class="over" aria-hidden="true">Drop it to import it</p>
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
.over {
  display: grid;
  position: fixed;
  z-index: 30;
  inset: 12px;
  place-items: center;
  border: 2px dashed var(--main);
  border-radius: 6px;
  background: color-mix(in srgb, var(--paper) 88%, transparent);
  font-size: 22px;
  pointer-events: none;
}
.skip:focus {
  transform: none;
}
#content:focus {
  outline: none;
}
</style>
