<script setup lang="ts">
import AutoComplete, { type AutoCompleteCompleteEvent } from 'primevue/autocomplete';
import Button from 'primevue/button';
import { ref, useId } from 'vue';
import { matchScore } from '#core/catalogue';
import FieldReason from '../../../ui/fields/FieldReason.vue';
import { overlays } from '../../../ui/overlays';

/** Adds something by name: a library entry, or whatever was typed where the library has none. */
const { label, button, entries, add } = defineProps<{
  label: string;
  button: string;
  entries: readonly { id: string; name: string }[];
  add: (entry: { id: string | null; name: string }) => string | undefined;
}>();

const typed = ref('');
const wrong = ref('');
const id = useId();
const MAX_OFFERED = 60;
const offered = ref<string[]>([]);
function offer({ query }: AutoCompleteCompleteEvent): void {
  offered.value = entries
    .map(({ name }) => ({ name, score: query === '' ? 1 : matchScore(query, [name]) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .slice(0, MAX_OFFERED)
    .map(({ name }) => name);
}
function take(): void {
  const name = typed.value.trim();
  if (name === '') {
    wrong.value = 'Type a name.';
    return;
  }
  const entry = entries.find((one) => one.name.toLowerCase() === name.toLowerCase());
  wrong.value = add({ id: entry?.id ?? null, name: entry?.name ?? name }) ?? '';
  if (wrong.value === '') typed.value = '';
}
</script>

<template>
  <form class="add" @submit.prevent="take">
    <AutoComplete
      v-model="typed"
      :append-to="overlays()"
      :suggestions="offered"
      :placeholder="label"
      :delay="0"
      :invalid="wrong !== ''"
      :pt="{
        pcInputText: {
          root: { 'aria-label': label, maxlength: 120, 'aria-describedby': wrong === '' ? undefined : `${id}-reason` },
        },
      }"
      @complete="offer"
    />
    <Button type="submit" :label="button" outlined />
    <FieldReason v-if="wrong" :id="`${id}-reason`">{{ wrong }}</FieldReason>
  </form>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
:deep(input) {
  width: 280px;
}
</style>
