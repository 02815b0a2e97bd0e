<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core';
import Menu from 'primevue/menu';
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useOpenPlan } from '../state/open-plan';
import { useDeviceSettings } from '../state/device-settings';
import IconButton from '../ui/IconButton.vue';
import ZovrinMark from './ZovrinMark.vue';
import { onceOpened } from '../ui/once-opened';
import { mayBeShortcut } from '../ui/keys';
import AppIcon from '../ui/AppIcon.vue';
import { overlays } from '../ui/overlays';

const SaveStatus = defineAsyncComponent(() => import('./SaveStatus.vue'));
const SearchDialog = defineAsyncComponent(() => import('./search/SearchDialog.vue'));
const ShortcutsDialog = defineAsyncComponent(() => import('./ShortcutsDialog.vue'));

const route = useRoute();
const openPlan = useOpenPlan();
const settings = useDeviceSettings();
const shortcuts = ref(false);
const everShortcuts = onceOpened(shortcuts);
const searching = ref(false);
const everSearched = onceOpened(searching);
const actions = [
  { kind: 'action', label: 'New plan', names: ['create', 'add a plan'], to: '/?new=plan' },
  { kind: 'action', label: 'Import', names: ['open a file', 'paste a plan', 'outline', 'notes'], to: '/import' },
  { kind: 'action', label: 'Outbox', names: ['letters', 'e-mail', 'mail'], to: '/outbox' },
  { kind: 'action', label: 'Keyboard shortcuts', names: ['keys'], to: (): void => void (shortcuts.value = true) },
];
const sections = computed(() => [
  { room: 'home', label: 'Plans', to: '/' },
  ...(openPlan.id ? [{ room: 'plan', label: 'Plan', to: `/plans/${openPlan.id}` }] : []),
  { room: 'courses', label: 'Courses', to: '/courses' },
  { room: 'history', label: 'History', to: '/history' },
  { room: 'people', label: 'People', to: '/people' },
  { room: 'library', label: 'Library', to: '/library' },
  { room: 'places', label: 'Props & places', to: '/places' },
  { room: 'settings', label: 'Settings', to: '/settings' },
  { room: 'help', label: 'Help', to: '/help' },
]);
const router = useRouter();
const menu = useTemplateRef('menu');
/** Below this the links do not fit beside each other, and stand in a menu. */
const narrow = useMediaQuery('(width < 700px)');
const hereLabel = computed(() => sections.value.find(({ room }) => room === here.value)?.label ?? 'Zovrin');
const items = computed(() => sections.value.map(({ label, to }) => ({ label, command: () => void router.push(to) })));
const here = computed(() => route.meta.room ?? (route.path === '/' ? 'home' : ''));

function onKey(event: KeyboardEvent): void {
  const busy = (event.target as HTMLElement).closest('input, textarea, [contenteditable], [role="dialog"]');
  if (busy || event.defaultPrevented || event.ctrlKey || event.metaKey || !mayBeShortcut(event)) return;
  if (event.key === '?') shortcuts.value = true;
  // The library searches its own entries with the same key.
  if (event.key === '/' && route.path !== '/library') {
    event.preventDefault();
    searching.value = true;
  }
}
// The navigation is not there while a class is led: nothing of it must stay behind.
useEventListener(window, 'keydown', onKey);
</script>

<template>
  <header class="nav">
    <RouterLink to="/" class="brand" aria-label="Zovrin, home"><ZovrinMark /><span>Zovrin</span></RouterLink>
    <nav v-if="!narrow" aria-label="Main">
      <RouterLink
        v-for="{ room, label, to } in sections"
        :key="room"
        :to="to"
        :class="{ on: room === here }"
        :aria-current="room === here ? 'page' : undefined"
        >{{ label }}</RouterLink
      >
    </nav>
    <template v-if="narrow">
      <button
        type="button"
        class="icon-button"
        aria-haspopup="menu"
        :aria-label="`Menu: ${hereLabel}`"
        @click="menu?.toggle($event)"
      >
        <AppIcon name="menu" />
      </button>
      <strong class="here">{{ hereLabel }}</strong>
      <Menu ref="menu" :append-to="overlays()" popup :model="items" />
    </template>
    <div class="end">
      <SaveStatus v-if="here === 'plan' || route.params.week !== undefined" />
      <IconButton icon="find" label="Search everything" hint="Search everything (/)" @click="searching = true" />
      <IconButton
        :icon="settings.night ? 'sun' : 'moon'"
        :label="settings.night ? 'Light theme' : 'Night theme'"
        @click="settings.toggleTheme"
      />
      <button class="icon-button" type="button" aria-label="Keyboard shortcuts" @click="shortcuts = true">
        <kbd>?</kbd>
      </button>
    </div>
  </header>
  <SearchDialog v-if="everSearched" v-model:visible="searching" :actions="actions" />
  <ShortcutsDialog v-if="everShortcuts" v-model:visible="shortcuts" />
</template>

<style scoped>
.nav {
  display: flex;
  align-items: center;
  height: 42px;
  padding: 0 32px;
  border-bottom: 1px solid var(--line-strong);
}
.brand {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-right: 34px;
  font: 600 20px/1 var(--head);
  text-decoration: none;
}
.brand svg {
  color: var(--main);
}
nav {
  display: flex;
}
nav a {
  position: relative;
  height: 42px;
  padding: 0 11px;
  color: var(--ink-2);
  font-size: 14.5px;
  line-height: 41px;
  text-decoration: none;
  white-space: nowrap;
}
nav a.on {
  color: var(--ink);
  font-weight: 600;
}
nav a.on::after {
  content: '';
  position: absolute;
  right: 11px;
  bottom: -2px;
  left: 11px;
  height: 3px;
  background: var(--ink);
}
.end {
  display: flex;
  gap: 4px;
  align-items: center;
  min-width: 0;
  margin-left: auto;
}
@media (width < 980px) {
  .nav {
    padding: 0 20px;
  }
  .brand {
    margin-right: 12px;
  }
  .brand span {
    display: none;
  }
  nav a {
    padding: 0 9px;
  }
  nav a.on::after {
    right: 9px;
    bottom: 0;
    left: 9px;
  }
}
@media (width < 700px) {
  .nav {
    gap: 6px;
    padding: 0 12px;
  }
  .brand {
    margin-right: 2px;
  }
  .here {
    overflow: hidden;
    font-weight: 600;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
}
</style>
