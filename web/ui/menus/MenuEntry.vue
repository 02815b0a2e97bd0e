<script setup lang="ts">
import type { MenuItem } from 'primevue/menuitem';

/** An entry of a menu: its words, and the key that does the same. */
const { item, action } = defineProps<{ item: MenuItem; action: object }>();
</script>

<template>
  <a v-bind="action" class="action">
    <span>{{ item.label }}</span>
    <kbd v-if="item.shortcut">{{ item.shortcut }}</kbd>
  </a>
</template>

<style scoped>
.action {
  display: flex;
  gap: 20px;
  justify-content: space-between;
}
kbd {
  border: 0;
  background: none;
  color: var(--ink-2);
  font-size: 12.5px;
}
</style>
