<script setup lang="ts">
import { ref } from 'vue';
import { LADDER, ratioInWords, readRatio, type Rung } from '#core/breath';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import TextField from '../../ui/fields/TextField.vue';
import IconButton from '../../ui/IconButton.vue';

/** The ladder of ratios, the gentle first: each is a row with its gate. */
const { ladder, accept } = defineProps<{
  ladder: readonly Rung[];
  /** Takes the changed ladder; returns the reason if it is refused. */
  accept: (ladder: Rung[]) => string | undefined;
}>();

const reason = ref('');
const confirming = ref<{ at: number; rung: Rung; question: string }>();
function setRatio(at: number, rung: Rung, typed: string): string | undefined {
  const read = readRatio(typed);
  confirming.value = undefined;
  if (read.ok) return accept(ladder.with(at, { ...rung, ratio: read.ratio }));
  if (!('ask' in read)) return read.reason;
  confirming.value = { at, rung: { ...rung, ratio: read.ask }, question: read.reason };
  return undefined;
}
function answerYes(): void {
  if (confirming.value) reason.value = accept(ladder.with(confirming.value.at, confirming.value.rung)) ?? '';
  confirming.value = undefined;
}
function move(at: number, by: -1 | 1): void {
  const rung = ladder[at];
  if (rung) reason.value = accept(ladder.toSpliced(at, 1).toSpliced(at + by, 0, rung)) ?? '';
}
const remove = (at: number): void => {
  reason.value = accept(ladder.toSpliced(at, 1)) ?? '';
};
function add(): void {
  const last = ladder.at(-1);
  reason.value = accept([...ladder, last ?? { ratio: { in: 1, holdFull: 0, out: 1, holdEmpty: 0 }, gate: 0 }]) ?? '';
}
</script>

<template>
  <FieldGroup
    title="Ladder of ratios"
    says="in, hold full, out, hold empty; the gentlest first"
    add="Add a ratio"
    @add="add"
  >
    <template #head>
      <button type="button" class="link-button small" @click="accept([...LADDER])">Reset to defaults</button>
    </template>
    <ol>
      <li v-for="(rung, i) in ladder" :key="i">
        <span class="quiet number">{{ i + 1 }}</span>
        <TextField
          hide-label
          :label="`Ratio ${i + 1}`"
          :model-value="ratioInWords(rung.ratio)"
          :accept="(typed) => setRatio(i, rung, typed)"
        />
        <span class="quiet small">after</span>
        <NumberField
          hide-label
          :label="`Easy sessions before ratio ${i + 1}`"
          :model-value="rung.gate"
          :accept="(gate) => accept(ladder.with(i, { ...rung, gate }))"
        />
        <span class="quiet small grow">easy sessions with the ratio before</span>
        <IconButton icon="up" :size="14" :label="`Move ratio ${i + 1} up`" :disabled="i === 0" @click="move(i, -1)" />
        <IconButton
          icon="down"
          :size="14"
          :label="`Move ratio ${i + 1} down`"
          :disabled="i === ladder.length - 1"
          @click="move(i, 1)"
        />
        <IconButton icon="remove" :size="14" :label="`Remove ratio ${i + 1}`" @click="remove(i)" />
        <p v-if="confirming?.at === i" class="ask" role="alert">
          {{ confirming.question }}
          <button type="button" class="link-button" @click="answerYes">Yes</button>
          <button type="button" class="link-button" @click="confirming = undefined">No</button>
        </p>
      </li>
    </ol>
    <p v-if="reason" class="caution small" role="alert">{{ reason }}</p>
  </FieldGroup>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
.number {
  width: 20px;
}
.grow {
  flex: 1;
}
.ask {
  display: flex;
  flex-basis: 100%;
  gap: 12px;
  align-items: baseline;
}
li .icon-button {
  width: 28px;
  height: 28px;
}
</style>
