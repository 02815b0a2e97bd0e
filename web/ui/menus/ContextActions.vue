<script setup lang="ts">
import ContextMenu from 'primevue/contextmenu';
import { computed, useTemplateRef } from 'vue';
import MenuEntry from './MenuEntry.vue';
import { menuItems, type MenuAction } from './menu-action';
import { overlays } from '../overlays';

/** A menu that opens where the page was pressed with the other button, or by the menu key. */
const { label, groups } = defineProps<{ label: string; groups: readonly (readonly MenuAction[])[] }>();
const emit = defineEmits<{ hide: [] }>();

const menu = useTemplateRef('menu');
const items = computed(() => menuItems(groups));
defineExpose({ show: (event: Event) => menu.value?.show(event) });
</script>

<template>
  <ContextMenu
    ref="menu"
    :append-to="overlays()"
    :pt="{ item: { 'aria-level': null } }"
    :model="items"
    :aria-label="label"
    @hide="emit('hide')"
  >
    <template #item="{ item, props }">
      <MenuEntry :item="item" :action="props.action" />
    </template>
  </ContextMenu>
</template>
