<script setup lang="ts">
import AppIcon from '../ui/AppIcon.vue';
import { useUnreadable } from '../state/unreadable';
import { countInWords } from '../widgets/documents/words';

/** Under the navigation of every page, where something that is stored cannot be opened. */
const unreadable = useUnreadable();
unreadable.watchLists();
</script>

<template>
  <p v-if="unreadable.rows.length > 0" class="bar screen-only" role="status">
    <span
      ><AppIcon name="warn" :size="16" class="icon" /> {{ countInWords(unreadable.rows.length) }} Everything else works
      as usual.</span
    >
    <RouterLink to="/unreadable" class="link-button">See what can be done</RouterLink>
  </p>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 6px 32px;
  border-bottom: 1px solid var(--line);
  background: var(--paper-2, transparent);
  color: var(--caution);
}
.icon {
  display: inline-block;
  vertical-align: -2px;
}
@media (max-width: 700px) {
  .bar {
    padding: 6px 16px;
  }
}
</style>
