<script setup lang="ts">
import { computed, ref } from 'vue';
import { wordsOnSide, type Moment } from '#core/catalogue';
import type { Prompt } from '#core/plan';
import IconButton from '../../ui/IconButton.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import TextField from '../../ui/fields/TextField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import SelectField from '../../ui/fields/SelectField.vue';

/** What to say at which moment of a hold; and on which side, where the prompts say so. */
interface Line {
  at: Moment;
  text: string;
  on?: Prompt['on'];
}
const {
  prompts,
  accept,
  twoSided = false,
  problem = () => '',
} = defineProps<{
  prompts: readonly Line[];
  /** Takes the changed prompts; returns the reason where they are refused. */
  accept: (prompts: Line[]) => string | undefined;
  twoSided?: boolean;
  /** What is wrong with the words of a prompt, by its place in the list. */
  problem?: (index: number) => string;
}>();
const emit = defineEmits<{ add: [] }>();

const MOMENTS = [
  { value: 'after', label: 'after' },
  { value: 'half', label: 'half-way' },
  { value: 'beforeEnd', label: 'before the end' },
] as const;
const ON_SIDES = [
  { value: 'every', label: 'each side' },
  { value: 'first', label: 'first side' },
  { value: 'second', label: 'second side' },
] as const;
const trouble = ref('');
/** Whether something is said on both sides that names one. */
const namesSide = computed(
  () =>
    twoSided &&
    prompts.some(
      ({ text, on = 'every' }) => on === 'every' && wordsOnSide(text, 'left') !== wordsOnSide(text, 'right'),
    ),
);
const put = (lines: Line[]): string | undefined => accept(lines);
const change = (prompt: Line, patch: Partial<Line>): string | undefined =>
  put(prompts.map((other) => (other === prompt ? { ...prompt, ...patch } : other)));
function setKind(prompt: Line, kind: Moment['kind']): void {
  const seconds = prompt.at.kind === 'half' ? 30 : prompt.at.seconds;
  trouble.value = change(prompt, { at: kind === 'half' ? { kind } : { kind, seconds } }) ?? '';
}
const setSeconds = (prompt: Line) => (seconds: number | null) =>
  prompt.at.kind === 'half' ? undefined : change(prompt, { at: { kind: prompt.at.kind, seconds: seconds ?? 0 } });
function setOn(prompt: Line, on: Prompt['on']): void {
  trouble.value = change(prompt, { on }) ?? '';
}
</script>

<template>
  <FieldGroup title="Prompts" :says="prompts.length === 0 ? 'silence' : ''" add="Add a prompt" @add="emit('add')">
    <ul>
      <li v-for="(prompt, i) in prompts" :key="i">
        <SelectField
          hide-label
          :label="`Moment of prompt ${i + 1}`"
          :options="MOMENTS"
          :model-value="prompt.at.kind"
          @update:model-value="(kind) => setKind(prompt, kind)"
        />
        <TimeField
          v-if="prompt.at.kind !== 'half'"
          hide-label
          :label="`Time of prompt ${i + 1}`"
          :model-value="prompt.at.seconds"
          :accept="setSeconds(prompt)"
        />
        <span v-else />
        <TextField
          hide-label
          :label="`Words of prompt ${i + 1}`"
          placeholder="What to say"
          :model-value="prompt.text"
          :problem="problem(i)"
          :accept="(text) => change(prompt, { text })"
        />
        <SelectField
          v-if="twoSided && prompt.on"
          hide-label
          :label="`On which side, prompt ${i + 1}`"
          :options="ON_SIDES"
          :model-value="prompt.on"
          @update:model-value="(on) => setOn(prompt, on)"
        />
        <span v-else />
        <IconButton
          icon="remove"
          :label="`Remove prompt ${i + 1}`"
          :size="14"
          @click="put(prompts.filter((other) => other !== prompt))"
        />
      </li>
    </ul>
    <p v-if="namesSide" class="small quiet">
      Written for the left side: on the right side, “left” and “right” are swapped.
    </p>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </FieldGroup>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 100px 60px minmax(0, 1fr) auto 26px;
  gap: 6px;
  align-items: center;
  padding: 1px 0;
}
li :deep(input) {
  width: 100%;
  min-height: 26px;
}
.icon-button {
  width: 26px;
  height: 26px;
}
</style>
