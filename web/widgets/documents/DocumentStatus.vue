<script setup lang="ts">
import type { Resolution } from '../../sync/meet';
import ConflictDialog from './ConflictDialog.vue';

/** What became of a document that is saved as it is changed: trouble with the server, or a change in another window. */
defineProps<{
  trouble: string;
  conflict: { updatedAt?: string | undefined } | undefined;
  /** `person`: as it stands in sentences. */
  noun: string;
  resolve: (choice: Resolution) => Promise<void>;
}>();
const emit = defineEmits<{ save: [] }>();
</script>

<template>
  <p v-if="trouble" class="caution strong" role="alert">
    {{ trouble }} Your changes are still here.
    <button type="button" class="link-button" @click="emit('save')">Save again</button>
  </p>
  <ConflictDialog :conflict="conflict" :noun="noun" :resolve="resolve" />
</template>
