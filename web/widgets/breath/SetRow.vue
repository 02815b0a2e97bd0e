<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  newPart,
  QUARTERS,
  roundInWords,
  setInWords,
  setMs,
  type BreathPart,
  type BreathSet,
  type CyclePart,
  type PartKind,
  type Ratio,
} from '#core/breath';
import type { Seconds } from '#core/numbers';
import { clockOfMs } from '#core/time';
import AppIcon from '../../ui/AppIcon.vue';
import IconButton from '../../ui/IconButton.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TextField from '../../ui/fields/TextField.vue';
import TimeField from '../../ui/fields/TimeField.vue';
import CountFields from './CountFields.vue';
import { EYES_OPTIONS, PART_TITLES } from './options';
import PartFields from './PartFields.vue';
import RampFields from './RampFields.vue';
import RoundView from './RoundView.vue';

/** One set: a row that says what it is, and, opened, everything of it. */
const { set, number, only, open, countSeconds, accept } = defineProps<{
  set: BreathSet;
  number: number;
  only: boolean;
  open: boolean;
  countSeconds: Seconds;
  /** Takes the changed set, or null to remove it; returns the reason if it is refused. */
  accept: (set: BreathSet | null) => string | undefined;
}>();
const emit = defineEmits<{ toggle: []; copy: []; move: [by: -1 | 1] }>();

const reason = ref('');
const cycle = computed(() => set.parts.find((part): part is CyclePart => part.kind === 'cycle'));
const summary = computed(() => setInWords(set));
const put = (patch: Partial<BreathSet>): string | undefined => accept({ ...set, ...patch });
/** All cycles of a round that have the same counts keep them the same: both nostrils of an alternate breath. */
function setCounts(counts: Ratio): string | undefined {
  const before = cycle.value;
  const same = (part: CyclePart): boolean => QUARTERS.every((quarter) => part[quarter] === before?.[quarter]);
  return put({ parts: set.parts.map((part) => (part.kind === 'cycle' && same(part) ? { ...part, ...counts } : part)) });
}
const setPart = (at: number) => (part: BreathPart | null) => {
  const parts = part ? set.parts.with(at, part) : set.parts.toSpliced(at, 1);
  // Without a counted breath nothing can grow.
  const ramp = parts.some(({ kind }) => kind === 'cycle') ? set.ramp : null;
  return put({ parts, ramp });
};
const adding = computed({
  get: (): PartKind | 'none' => 'none',
  set: (kind) => {
    if (kind !== 'none') reason.value = put({ parts: [...set.parts, newPart(kind)] }) ?? '';
  },
});
const ADD_OPTIONS = [
  { value: 'none' as const, label: 'Add a part …' },
  ...(Object.entries(PART_TITLES) as [PartKind, string][]).map(([value, label]) => ({ value, label })),
];
const setRounds = (rounds: number): string | undefined => put({ rounds, ramp: rounds < 2 ? null : set.ramp });
</script>

<template>
  <div class="set" :class="{ open }">
    <button type="button" class="plain-button row" :aria-expanded="open" @click="emit('toggle')">
      <AppIcon :name="open ? 'down' : 'next'" :size="14" />
      <span class="number">{{ number }}</span>
      <span class="what">
        <strong v-if="set.label">{{ set.label }}</strong> <span :class="{ quiet: set.label }">{{ summary }}</span>
      </span>
      <span class="times">{{ set.rounds > 1 ? `× ${set.rounds}` : '' }}</span>
      <span class="long">{{ clockOfMs(setMs(set, countSeconds)) }}</span>
    </button>
    <div v-if="open" class="body">
      <CountFields v-if="cycle" :counts="cycle" :accept="setCounts" />
      <RoundView
        v-if="set.parts.length > 1 || (cycle && cycle.inThrough !== 'nose')"
        :set="set"
        :count-seconds="countSeconds"
      />
      <div class="line">
        <NumberField label="rounds" :model-value="set.rounds" :accept="setRounds" />
        <span class="small quiet words">{{ roundInWords(set) }}</span>
      </div>
      <RampFields v-if="cycle" :ramp="set.ramp" :part="cycle" :rounds="set.rounds" :accept="(ramp) => put({ ramp })" />
      <div class="parts">
        <PartFields
          v-for="(part, i) in set.parts"
          :key="i"
          :part="part"
          :number="i + 1"
          :only="set.parts.length === 1"
          :accept="setPart(i)"
        />
      </div>
      <p v-if="reason" class="small caution" role="alert">{{ reason }}</p>
      <div class="line">
        <SelectField v-model="adding" hide-label label="Add a part" :options="ADD_OPTIONS" />
        <TimeField
          label="rest after it"
          :model-value="set.restSeconds"
          :accept="(seconds) => put({ restSeconds: seconds ?? 0 })"
        />
        <SelectField
          :model-value="set.eyes"
          hide-label
          :label="`Eyes in set ${number}`"
          :options="EYES_OPTIONS"
          @update:model-value="put({ eyes: $event })"
        />
      </div>
      <div class="texts">
        <TextField
          hide-label
          :label="`Label of set ${number}`"
          placeholder="Label"
          :model-value="set.label"
          :accept="(label) => put({ label })"
        />
        <TextField
          hide-label
          :label="`Hands in set ${number}`"
          placeholder="Hands"
          :model-value="set.hands"
          :accept="(hands) => put({ hands })"
        />
        <TextField
          class="says"
          hide-label
          :label="`Words for set ${number}`"
          placeholder="What to say"
          :model-value="set.says"
          :accept="(says) => put({ says })"
        />
      </div>
      <div class="actions">
        <IconButton icon="up" label="Move set up" :size="14" :disabled="number === 1" @click="emit('move', -1)" />
        <IconButton icon="down" label="Move set down" :size="14" @click="emit('move', 1)" />
        <IconButton icon="copy" label="Copy set" :size="14" @click="emit('copy')" />
        <IconButton v-if="!only" icon="remove" :label="`Remove set ${number}`" :size="14" @click="accept(null)" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.set + .set {
  border-top: 1px solid var(--line);
}
.row {
  display: flex;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 30px;
}
.row:hover {
  background: var(--well);
}
.number {
  color: var(--ink-2);
}
.what {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.long {
  min-width: 44px;
  text-align: right;
}
.body {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 2px 0 10px 22px;
}
.line,
.texts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: flex-end;
}
.words {
  padding-bottom: 8px;
}
.texts > * {
  flex: 1 1 150px;
}
.texts .says {
  flex-basis: 100%;
}
.actions {
  display: flex;
  justify-content: flex-end;
}
.actions .icon-button {
  width: 28px;
  height: 28px;
}
@media (pointer: coarse) {
  .row {
    min-height: 44px;
  }
}
</style>
