<script setup lang="ts">
import { computed } from 'vue';
import { roundMs, type BreathPart, type BreathSet, type CyclePart } from '#core/breath';
import { clockOfMs } from '#core/time';
import IconButton from '../IconButton.vue';
import NumberField from './NumberField.vue';
import TextField from './TextField.vue';
import TimeField from './TimeField.vue';

/** One set: its counts (the same for all cycles of a round) or breaths at one's own pace, rounds, and rest after it. */
const { set, number, only, countSeconds, accept } = defineProps<{
  set: BreathSet;
  number: number;
  only: boolean;
  countSeconds: number;
  /** Takes the changed set, or null to remove it; gives the reason where it is refused. */
  accept: (set: BreathSet | null) => string | undefined;
}>();

type Quarter = 'in' | 'holdFull' | 'out' | 'holdEmpty';
const QUARTERS: readonly { key: Quarter; label: string }[] = [
  { key: 'in', label: 'in' },
  { key: 'holdFull', label: 'hold full' },
  { key: 'out', label: 'out' },
  { key: 'holdEmpty', label: 'hold empty' },
];
const counted = computed(() => set.parts.find((part): part is CyclePart => part.kind === 'cycle'));
const own = computed(() => set.parts.find((part) => part.kind === 'ownPace'));
const eachPart = (change: (part: BreathPart) => BreathPart): string | undefined =>
  accept({ ...set, parts: set.parts.map(change) });
const setCount = (key: Quarter) => (counts: number) =>
  eachPart((part) => (part.kind === 'cycle' ? { ...part, [key]: counts } : part));
const setOwn = (key: 'cycles' | 'secondsPerCycle') => (value: number) =>
  eachPart((part) => (part.kind === 'ownPace' ? { ...part, [key]: value } : part));
const round = computed(() => `${clockOfMs(roundMs(set, countSeconds))} a round`);
</script>

<template>
  <div class="set">
    <span class="quiet number">{{ number }}</span>
    <template v-if="counted">
      <NumberField
        v-for="{ key, label } in QUARTERS"
        :key="key"
        :label="label"
        :model-value="counted[key]"
        :accept="setCount(key)"
      />
    </template>
    <template v-if="own">
      <NumberField label="breaths" :model-value="own.cycles" :accept="setOwn('cycles')" />
      <NumberField label="seconds each" :model-value="own.secondsPerCycle" :accept="setOwn('secondsPerCycle')" />
    </template>
    <NumberField
      class="rounds"
      label="rounds"
      :model-value="set.rounds"
      :accept="(rounds) => accept({ ...set, rounds })"
    />
    <span class="small quiet each">{{ round }}</span>
    <IconButton v-if="!only" icon="remove" :label="`Remove set ${number}`" :size="14" @click="accept(null)" />
    <div class="second">
      <TextField
        hide-label
        :label="`Label of set ${number}`"
        placeholder="Label"
        :model-value="set.label"
        :accept="(label) => accept({ ...set, label })"
      />
      <select
        :value="set.eyes"
        :aria-label="`Eyes in set ${number}`"
        @change="accept({ ...set, eyes: ($event.target as HTMLSelectElement).value as BreathSet['eyes'] })"
      >
        <option value="closed">eyes closed</option>
        <option value="open">eyes open</option>
        <option value="free">eyes as they like</option>
      </select>
      <TextField
        hide-label
        :label="`Hands in set ${number}`"
        placeholder="Hands"
        :model-value="set.hands"
        :accept="(hands) => accept({ ...set, hands })"
      />
      <TimeField
        label="rest"
        :model-value="set.restSeconds"
        :accept="(seconds) => accept({ ...set, restSeconds: seconds ?? 0 })"
      />
    </div>
  </div>
</template>

<style scoped>
.set {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: flex-end;
  padding: 6px 0 8px;
}
.set + .set {
  border-top: 1px solid var(--line);
}
.number {
  width: 14px;
  padding-bottom: 6px;
}
.rounds {
  margin-left: 6px;
}
.each {
  padding-bottom: 8px;
}
.icon-button {
  width: 26px;
  height: 30px;
  margin-left: auto;
}
.second {
  display: grid;
  flex-basis: 100%;
  grid-template-columns: minmax(0, 1.2fr) auto minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding-left: 24px;
}
.second :deep(input) {
  min-height: 26px;
}
</style>
