<script setup lang="ts">
import { ref } from 'vue';
import { setHold, type HoldStep, type Prompt } from '#core/plan';
import IconButton from '../../shared/IconButton.vue';
import TextField from '../../shared/fields/TextField.vue';
import TimeField from '../../shared/fields/TimeField.vue';
import { newId } from '../../stores/browser';
import { useEdit } from '../use-edit';
import FieldGroup from './FieldGroup.vue';

/** What to say at which moment of the hold. */
const { step, twoSided } = defineProps<{ step: HoldStep; twoSided: boolean }>();

const edit = useEdit();
const trouble = ref('');
const put = (prompts: Prompt[]): string | undefined => edit(setHold(step.id, { prompts }));
const change = (prompt: Prompt, patch: Partial<Prompt>): string | undefined =>
  put(step.prompts.map((other) => (other === prompt ? { ...prompt, ...patch } : other)));
function setKind(prompt: Prompt, event: Event): void {
  const kind = (event.target as HTMLSelectElement).value as Prompt['at']['kind'];
  const seconds = prompt.at.kind === 'half' ? 30 : prompt.at.seconds;
  change(prompt, { at: kind === 'half' ? { kind } : { kind, seconds } });
}
const setSeconds = (prompt: Prompt) => (seconds: number | null) =>
  prompt.at.kind === 'half' ? undefined : change(prompt, { at: { kind: prompt.at.kind, seconds: seconds ?? 0 } });
function setOn(prompt: Prompt, event: Event): void {
  change(prompt, { on: (event.target as HTMLSelectElement).value as Prompt['on'] });
}
function add(): void {
  trouble.value = put([...step.prompts, { id: newId(), at: { kind: 'half' }, text: '', on: 'every' }]) ?? '';
}
</script>

<template>
  <FieldGroup title="Prompts" :says="step.prompts.length === 0 ? 'silence' : ''" add="Add a prompt" @add="add">
    <ul>
      <li v-for="(prompt, i) in step.prompts" :key="prompt.id">
        <select :value="prompt.at.kind" :aria-label="`Moment of prompt ${i + 1}`" @change="setKind(prompt, $event)">
          <option value="after">after</option>
          <option value="half">half-way</option>
          <option value="beforeEnd">before the end</option>
        </select>
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
          :accept="(text) => change(prompt, { text })"
        />
        <select
          v-if="twoSided"
          :value="prompt.on"
          :aria-label="`On which side, prompt ${i + 1}`"
          @change="setOn(prompt, $event)"
        >
          <option value="every">each side</option>
          <option value="first">first side</option>
          <option value="second">second side</option>
        </select>
        <span v-else />
        <IconButton
          icon="remove"
          :label="`Remove prompt ${i + 1}`"
          :size="14"
          @click="put(step.prompts.filter((other) => other !== prompt))"
        />
      </li>
    </ul>
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
