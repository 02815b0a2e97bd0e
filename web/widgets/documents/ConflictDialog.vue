<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, watch } from 'vue';
import type { Resolution } from '../../sync/meet';
import { clockTime } from '../../ui/dates';

/**
 * One document changed in two windows: whose version counts where both changed the same thing. The slots `mine` and
 * `theirs` show the two, `differences` says what differs.
 */
const { conflict, noun, keepsCopy, resolve } = defineProps<{
  /** What was saved elsewhere; undefined while there is no conflict. */
  conflict: { updatedAt?: string | undefined } | undefined;
  /** `plan`: as it stands in sentences. */
  noun: string;
  /** Whether the version that is not chosen is kept as a document of its own. */
  keepsCopy?: boolean;
  /** Rejects if the other version could not be kept. */
  resolve: (choice: Resolution) => Promise<void>;
}>();
const trouble = ref('');
const busy = ref(false);
watch(
  () => conflict,
  () => (trouble.value = ''),
);
const savedAt = computed(() =>
  conflict?.updatedAt === undefined ? '' : ` at ${clockTime(new Date(conflict.updatedAt).getTime())}`,
);

async function choose(choice: Resolution): Promise<void> {
  busy.value = true;
  try {
    await resolve(choice);
  } catch (error) {
    trouble.value = `${(error as Error).message} Both versions are still here; try again.`;
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <Dialog
    :visible="conflict !== undefined"
    modal
    :closable="false"
    :close-on-escape="false"
    :header="`This ${noun} was changed in two windows`"
    :style="{ width: '640px' }"
  >
    <p>
      Choose which version counts where both changed the same thing. What only one of them changed stays.
      <template v-if="keepsCopy">The other version is kept as a {{ noun }} of its own.</template>
      <template v-else>Undo brings the other version back.</template>
    </p>
    <slot name="differences" />
    <section>
      <h3>In this window</h3>
      <slot name="mine" />
      <Button label="Keep this version" autofocus :disabled="busy" @click="choose('mine')" />
    </section>
    <section>
      <h3>Saved elsewhere{{ savedAt }}</h3>
      <slot name="theirs" />
      <Button label="Use the other version" outlined :disabled="busy" @click="choose('theirs')" />
    </section>
    <p v-if="trouble" class="caution strong" role="alert">{{ trouble }}</p>
  </Dialog>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 16px;
  align-items: center;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
h3 {
  grid-column: 1 / -1;
  font-size: 19px;
}
section > button {
  grid-column: 2;
}
@media (width < 560px) {
  section {
    grid-template-columns: minmax(0, 1fr);
    row-gap: 8px;
  }
  section > button {
    grid-column: 1;
    justify-self: start;
  }
}
</style>
