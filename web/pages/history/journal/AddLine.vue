<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, useId } from 'vue';
import { matchScore } from '#core/catalogue';

/** Adds something by name: a library entry, or whatever was typed where the library has none. */
const { label, button, entries, add } = defineProps<{
  label: string;
  button: string;
  entries: readonly { id: string; name: string }[];
  add: (entry: { id: string | null; name: string }) => string | undefined;
}>();

const typed = ref('');
const wrong = ref('');
const list = useId();
const MOST = 60;
const offered = computed(() =>
  entries.filter(({ name }) => typed.value === '' || matchScore(typed.value, [name]) > 0).slice(0, MOST),
);
function take(): void {
  const name = typed.value.trim();
  if (name === '') {
    wrong.value = `${label} by its name.`;
    return;
  }
  const entry = entries.find((one) => one.name.toLowerCase() === name.toLowerCase());
  wrong.value = add({ id: entry?.id ?? null, name: entry?.name ?? name }) ?? '';
  if (wrong.value === '') typed.value = '';
}
</script>

<template>
  <form class="add" @submit.prevent="take">
    <input v-model="typed" :aria-label="label" :placeholder="label" :list="list" maxlength="120" />
    <datalist :id="list"><option v-for="{ id, name } in offered" :key="id" :value="name" /></datalist>
    <Button type="submit" :label="button" outlined />
    <span v-if="wrong" class="caution small" role="alert">{{ wrong }}</span>
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
input {
  width: 280px;
  height: 34px;
  padding: 0 9px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
}
</style>
