<script setup lang="ts">
import { computed, ref } from 'vue';
import { wordsOnSide } from '#core/catalogue';
import type { Moment, Prompt } from '#core/plan';
import IconButton from '../../ui/IconButton.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import TextField from '../../ui/fields/TextField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
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
  breaths = false,
  problem = () => '',
} = defineProps<{
  prompts: readonly Line[];
  /** Takes the changed prompts; returns the reason where they are refused. */
  accept: (prompts: Line[]) => string | undefined;
  twoSided?: boolean;
  /** Whether a moment can be counted in breaths. */
  breaths?: boolean;
  /** What is wrong with the words of a prompt, by its place in the list. */
  problem?: (index: number) => string;
}>();
const emit = defineEmits<{ add: [] }>();

const moments = computed(() => [
  { value: 'after' as const, label: 'after' },
  ...(breaths ? [{ value: 'afterBreaths' as const, label: 'after breaths' }] : []),
  { value: 'half' as const, label: 'half-way' },
  { value: 'beforeEnd' as const, label: 'before the end' },
]);
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
/** A moment of another kind, as near to the one before as it can be. */
function momentOf(kind: Moment['kind'], { at }: Line): Moment {
  switch (kind) {
    case 'half':
      return { kind };
    case 'afterBreaths':
      return { kind, breaths: 3 };
    case 'after':
    case 'beforeEnd':
      return { kind, seconds: 'seconds' in at ? at.seconds : 30 };
  }
}
function setKind(prompt: Line, kind: Moment['kind']): void {
  trouble.value = change(prompt, { at: momentOf(kind, prompt) }) ?? '';
}
const setSeconds = (prompt: Line, kind: 'after' | 'beforeEnd') => (seconds: number | null) =>
  change(prompt, { at: { kind, seconds: seconds ?? 0 } });
const setBreaths = (prompt: Line) => (count: number) =>
  change(prompt, { at: { kind: 'afterBreaths', breaths: count } });
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
          :options="moments"
          :model-value="prompt.at.kind"
          @update:model-value="(kind) => setKind(prompt, kind)"
        />
        <TimeField
          v-if="prompt.at.kind === 'after' || prompt.at.kind === 'beforeEnd'"
          hide-label
          :label="`Time of prompt ${i + 1}`"
          :model-value="prompt.at.seconds"
          :accept="setSeconds(prompt, prompt.at.kind)"
        />
        <NumberField
          v-else-if="prompt.at.kind === 'afterBreaths'"
          hide-label
          :label="`Breaths before prompt ${i + 1}`"
          :model-value="prompt.at.breaths"
          :accept="setBreaths(prompt)"
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
