<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { clockTime } from '../../../ui/dates';
import BackLink from '../../../ui/BackLink.vue';
import IconButton from '../../../ui/IconButton.vue';
import { useEntry } from './use-entry';

/** What is being changed, whether it is saved, and the ways back. */
const { name } = defineProps<{ name: string }>();
const emit = defineEmits<{ save: [] }>();

const draft = useEntry();
const status = computed(() => {
  if (draft.isSaving.value) return 'Saving…';
  if (draft.storageFull.value)
    return 'Not saved, and this browser has no room to keep it. Save before you close this page.';
  if (draft.isDirty.value) return 'Not saved yet; kept in this browser';
  return draft.savedAt.value ? `Saved ${clockTime(draft.savedAt.value.getTime())}` : '';
});
const wrong = computed(() => (draft.tried.value ? draft.issues.value.length : 0));
</script>

<template>
  <header>
    <BackLink to="/library" label="Library" />
    <div class="line">
      <h1>{{ name || 'A custom entry' }} <span class="yours">yours</span></h1>
      <span class="small quiet" role="status">{{ status }}</span>
      <div class="actions">
        <IconButton icon="undo" label="Undo" :disabled="!draft.canUndo.value" @click="draft.undo()" />
        <IconButton icon="redo" label="Redo" :disabled="!draft.canRedo.value" @click="draft.redo()" />
        <Button
          v-if="draft.stored.value && draft.isDirty.value"
          label="Undo all changes"
          outlined
          @click="draft.discard()"
        />
        <Button label="Save" :disabled="draft.isSaving.value" @click="emit('save')" />
      </div>
    </div>
    <p v-if="wrong > 0" class="caution" role="alert">
      Not saved: {{ wrong === 1 ? 'one field needs' : `${wrong} fields need` }} correcting. What you typed is kept.
    </p>
    <p v-else-if="draft.notSaved.value" class="caution" role="alert">{{ draft.notSaved.value }}</p>
  </header>
</template>

<style scoped>
header {
  padding: 10px 32px 12px;
  border-bottom: 1px solid var(--line-strong);
  background: var(--paper);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
h1 {
  overflow: hidden;
  min-width: 0;
  padding-bottom: 3px;
  font-size: 30px;
  line-height: 36px;
  text-overflow: ellipsis;
}
h1 .yours {
  font-family: var(--text);
  vertical-align: 6px;
}
.actions {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-left: auto;
}
@media (width < 640px) {
  header {
    padding-right: 16px;
    padding-left: 16px;
  }
}
</style>
