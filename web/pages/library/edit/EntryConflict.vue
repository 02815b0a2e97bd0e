<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { ref } from 'vue';
import { clockTime } from '../../../ui/dates';
import { useEntry } from './use-entry';
import type { ConflictChoice } from './use-entry-draft';

/** An entry that was changed in two places: neither version is lost. */
const draft = useEntry();
const trouble = ref('');

async function choose(choice: ConflictChoice): Promise<void> {
  try {
    await draft.resolve(choice);
    trouble.value = '';
  } catch (error) {
    trouble.value = `${(error as Error).message} Both versions are still here; try again.`;
  }
}
</script>

<template>
  <Dialog
    :visible="draft.conflict.value !== undefined"
    modal
    :closable="false"
    :close-on-escape="false"
    header="This entry was changed in two places"
    :style="{ width: '560px' }"
  >
    <p v-if="draft.conflict.value">
      “{{ draft.conflict.value.document.entry.names.english }}” was saved elsewhere at
      {{ clockTime(new Date(draft.conflict.value.updatedAt).getTime()) }}. Choose which one goes on; the other is kept
      beside it as an entry of its own.
    </p>
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
    <template #footer>
      <Button label="Take the one saved elsewhere" outlined @click="choose('theirs')" />
      <Button label="Go on with mine" autofocus @click="choose('mine')" />
    </template>
  </Dialog>
</template>
