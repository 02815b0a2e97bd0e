<script setup lang="ts">
import Button from 'primevue/button';
import type { Ref } from 'vue';
import BackLink from '../../ui/BackLink.vue';
import AppIcon from '../../ui/AppIcon.vue';
import IconButton from '../../ui/IconButton.vue';
import DocumentStatus from './DocumentStatus.vue';
import TextField from '../../ui/fields/TextField.vue';
import { useUndoKeys } from '../../ui/use-undo-keys';
import type { SyncedDocument } from '../../sync/synced-document';
import { usePageTitle } from '../../ui/page-title';

/**
 * The page of one document that is saved as it is changed: its name as the heading, undo, the bin, and what went wrong.
 */
const { synced, name, rename, backLabel } = defineProps<{
  synced: Pick<
    SyncedDocument<object>,
    | 'isLoaded'
    | 'isMissing'
    | 'isSaving'
    | 'trouble'
    | 'load'
    | 'save'
    | 'resolve'
    | 'undo'
    | 'redo'
    | 'canUndo'
    | 'canRedo'
  > & { conflict: Ref<{ updatedAt?: string | undefined } | undefined> };
  name: string;
  rename: (name: string) => string | undefined;
  /** Where it goes back to, and what that is called. */
  backTo: string;
  backLabel: string;
  /** `place`, `entry`: as it stands in sentences. */
  noun: string;
}>();
const emit = defineEmits<{ remove: []; bringBack: [] }>();
const { isLoaded, isMissing, isSaving, trouble, conflict, canUndo, canRedo, undo, redo, load, save, resolve } = synced;
useUndoKeys(undo, redo);
usePageTitle(() => [name, backLabel]);
</script>

<template>
  <main v-if="isLoaded" class="document">
    <BackLink class="screen-only" :to="backTo" :label="backLabel" />
    <h1 class="sr-only">{{ name }}</h1>
    <header>
      <TextField class="heading-field" hide-label label="Name" :model-value="name" :accept="rename" />
      <span class="small quiet" role="status">{{ isSaving ? 'Saving' : '' }}</span>
      <slot name="head" />
      <IconButton icon="undo" label="Undo" hint="Undo (Ctrl Z)" :disabled="!canUndo" @click="undo" />
      <IconButton icon="redo" label="Redo" hint="Redo (Ctrl Shift Z)" :disabled="!canRedo" @click="redo" />
      <Button size="small" text label="Delete" title="To the bin, for 30 days" @click="emit('remove')">
        <template #icon><AppIcon name="delete" :size="16" /></template>
      </Button>
    </header>
    <DocumentStatus :noun="noun" :trouble="trouble" :conflict="conflict" :resolve="resolve" @save="save" />
    <slot />
  </main>
  <main v-else class="document">
    <h1>{{ isMissing ? 'Could not be found' : backLabel }}</h1>
    <p v-if="isMissing">
      This {{ noun }} could not be found. It may be in the bin.
      <button type="button" class="link-button" @click="emit('bringBack')">Restore</button> or
      <RouterLink :to="backTo">back to {{ backLabel.toLowerCase() }}</RouterLink
      >.
    </p>
    <p v-else-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
    </p>
  </main>
</template>

<style scoped>
.document {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 8px 32px 40px;
}
header {
  display: flex;
  gap: 8px;
  align-items: center;
}
@media print {
  header > :not(.heading-field) {
    display: none;
  }
}
@media (width < 640px) {
  .document {
    padding: 8px 16px 32px;
  }
  header {
    flex-wrap: wrap;
  }
  /* The buttons beside it would leave it no width at all. */
  .heading-field {
    flex: 1 0 100%;
  }
}
</style>
