<script setup lang="ts">
import Menu from 'primevue/menu';
import { computed, useId, useTemplateRef } from 'vue';
import IconButton from '../IconButton.vue';
import MenuEntry from './MenuEntry.vue';
import { menuItems, type MenuAction } from './menu-action';
import { overlays } from '../overlays';

/** A button with three dots and the menu that it opens. */
const { label, groups } = defineProps<{ label: string; groups: readonly (readonly MenuAction[])[] }>();

const menu = useTemplateRef('menu');
const id = useId();
const items = computed(() => menuItems(groups));
</script>

<template>
  <IconButton icon="more" :label="label" aria-haspopup="menu" :aria-controls="id" @click="menu?.toggle($event)" />
  <Menu :id="id" ref="menu" :append-to="overlays()" :model="items" popup :aria-label="label">
    <template #item="{ item, props }">
      <MenuEntry :item="item" :action="props.action" />
    </template>
  </Menu>
</template>
