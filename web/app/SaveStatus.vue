<script setup lang="ts">
import { computed } from 'vue';
import { clockTime } from '../ui/dates';
import { useEditor } from '../state/editor';

const editor = useEditor();
const loud = computed(() => ['waiting', 'refused', 'conflict'].includes(editor.state) || editor.storageFull);
const summary = computed(() => {
  if (editor.storageFull && editor.state !== 'saved')
    return 'This browser has no room to keep your change. Do not close this page.';
  switch (editor.state) {
    case 'saved':
      return editor.savedAt ? `Saved ${clockTime(editor.savedAt.getTime())}` : '';
    case 'unsaved':
    case 'saving':
      return 'Saving…';
    case 'waiting':
      return `Not saved yet. ${editor.trouble} Your change is kept here and sent again.`;
    case 'refused':
      return `Not saved: ${editor.trouble} Your change is kept here.`;
    case 'conflict':
      return 'Changed in two windows';
  }
  return '';
});
</script>

<template>
  <span class="status small" :class="{ caution: loud }" role="status" :title="summary">{{ summary }}</span>
</template>

<style scoped>
.status {
  overflow: hidden;
  max-width: 620px;
  padding-right: 8px;
  color: var(--ink-2);
  text-overflow: ellipsis;
  white-space: nowrap;
}
.status.caution {
  color: var(--caution);
  font-weight: 600;
}
</style>
