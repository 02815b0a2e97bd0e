<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { ClassSegment, FixedSegment, SpokenLine, UnknownName } from '#core/exchange';
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { useLibrary } from '../../../state/library';
import CheckField from '../../../ui/fields/CheckField.vue';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { becauseInWords, doubtsInWords } from './words';

/** One segment of a class: what it was taken for and why, what was said, and everything that can be corrected. */
const { segment, next, lines, endMs, fixed, canPlay, unknown } = defineProps<{
  segment: ClassSegment;
  /** The next one that is held; joined with this one if wanted. */
  next: ClassSegment | undefined;
  lines: readonly SpokenLine[];
  /** The end of the class. */
  endMs: number;
  /** It was corrected, or found right. */
  fixed: boolean;
  /** There is a film to play. */
  canPlay: boolean;
  /** Names that the library does not have; each can be chosen. */
  unknown: readonly UnknownName[];
}>();
const emit = defineEmits<{
  fix: [segments: FixedSegment[]];
  move: [startMs: Ms, endMs: Ms];
  free: [];
  /** A name is typed that no position has; with two sides or without. */
  call: [name: string, isSided: boolean];
  /** Something that was said is chosen: it is played where there is a film. */
  play: [ms: Ms];
}>();
const library = useLibrary();

const isBreath = computed(() => segment.kind === 'breath');
const isHeld = computed(() => segment.kind === 'hold' || isBreath.value);
/** The names there are; those that the library does not have come first. */
const options = computed(() => {
  const known = (isBreath.value ? library.techniques : library.positions)
    .map(({ id, names }) => ({ value: id, label: names.english }))
    .sort((a, b) => a.label.localeCompare(b.label));
  const own = isBreath.value ? [] : unknown.map(({ id, name: spoken }) => ({ value: id, label: `${spoken} (new)` }));
  return [...own, ...known];
});
const unknownOf = (id: string | null): UnknownName | undefined => unknown.find((one) => one.id === id);
const isSidedName = (id: string | null): boolean =>
  unknownOf(id)?.isSided ?? (library.all.position(id ?? '')?.sides ?? 'together') !== 'together';
const isNew = computed(() => unknownOf(segment.id) !== undefined);
const isSided = computed(() => !isBreath.value && isSidedName(segment.id));
const SIDES = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;

const asFixed = (change: Partial<FixedSegment>): FixedSegment => {
  const { kind, id, side, startMs, endMs: segmentEndMs } = segment;
  return { kind, id: isHeld.value ? id : null, side, startMs, endMs: segmentEndMs, ...change };
};
function name(id: string): void {
  const side = !isSidedName(id) ? 'both' : segment.side === 'both' ? 'left' : segment.side;
  emit('fix', [asFixed({ kind: isBreath.value ? 'breath' : 'hold', id, side })]);
}
function times(startMs: number, segmentEndMs: number): string | undefined {
  if (startMs >= segmentEndMs) return 'It ends before it begins.';
  if (segmentEndMs > endMs) return `The captions end at ${clockOfMs(endMs)}.`;
  emit('move', startMs, segmentEndMs);
  return undefined;
}
/** Whether the field for a new name is open. */
const isTyping = ref(false);
const MAX_NAME = 80;
function takeName(text: string): string | undefined {
  const typed = text.trim();
  if (typed.length > MAX_NAME) return `A name has at most ${MAX_NAME} characters.`;
  // Where a position has this name already, that is the one.
  const known = library.positions.find(({ names }) => names.english.toLowerCase() === typed.toLowerCase());
  if (known) name(known.id);
  else if (typed !== '') emit('call', typed, segment.side !== 'both');
  return undefined;
}
const notHeld = (): void => emit('fix', [asFixed({ kind: 'talk', id: null, side: 'both' })]);
const SECOND = 1000;
/** In two, at the middle; the second part is the other side of a position that has two. */
function split(): void {
  const middle = Math.round((segment.startMs + segment.endMs) / 2 / SECOND) * SECOND;
  const other = segment.side === 'left' ? 'right' : segment.side === 'right' ? 'left' : 'both';
  emit('fix', [asFixed({ endMs: middle }), asFixed({ startMs: middle, side: other })]);
}
function join(): void {
  if (next) emit('fix', [asFixed({ endMs: next.endMs })]);
}

const BEFORE_MS = 40_000;
const AFTER_MS = 20_000;
const near = computed(() =>
  lines.filter((line) => line.endMs > segment.startMs - BEFORE_MS && line.startMs < segment.endMs + AFTER_MS),
);
const isWithin = ({ startMs }: SpokenLine): boolean => startMs >= segment.startMs && startMs < segment.endMs;
</script>

<template>
  <section aria-label="The chosen segment">
    <div class="fields">
      <SelectField
        above
        :label="isBreath ? 'Technique' : 'Position'"
        :model-value="isHeld ? segment.id : null"
        placeholder="nothing is held"
        :options="options"
        @update:model-value="name"
      />
      <TextField v-if="isTyping" label="A new name" autofocus model-value="" :accept="takeName" />
      <ChoiceField
        v-if="isSided && segment.side !== 'both'"
        label="Side"
        :options="SIDES"
        :model-value="segment.side"
        @update:model-value="emit('fix', [asFixed({ side: $event })])"
      />
      <CheckField
        v-if="isNew && isHeld"
        label="has two sides"
        :model-value="isSided"
        @update:model-value="emit('call', unknownOf(segment.id)?.name ?? '', $event)"
      />
      <TimeField
        label="Start"
        :model-value="Math.round(segment.startMs / SECOND)"
        :accept="(seconds) => times((seconds ?? 0) * SECOND, segment.endMs)"
      />
      <TimeField
        label="End"
        :model-value="Math.round(segment.endMs / SECOND)"
        :accept="(seconds) => times(segment.startMs, (seconds ?? 0) * SECOND)"
      />
    </div>
    <p v-if="segment.doubts.length > 0" class="caution">{{ doubtsInWords(segment.doubts) }}</p>
    <p v-if="isNew && isHeld" class="small quiet">
      Your library has no position of this name. It can be saved with the plan as a custom position.
    </p>
    <p v-if="segment.because.length > 0" class="small quiet">Because of {{ becauseInWords(segment.because) }}.</p>
    <div class="actions">
      <Button v-if="isHeld && !fixed" size="small" label="Looks right" @click="emit('fix', [asFixed({})])" />
      <Button v-if="fixed" size="small" outlined label="Read it again" @click="emit('free')" />
      <Button v-if="isHeld" size="small" text label="Split in two" @click="split" />
      <Button v-if="isHeld && next" size="small" text label="Join with the next" @click="join" />
      <Button v-if="!isBreath && !isTyping" size="small" text label="Another name" @click="isTyping = true" />
      <Button v-if="isHeld" size="small" text label="Nothing is held" @click="notHeld" />
    </div>
    <h3>What was said</h3>
    <ol>
      <li v-for="line in near" :key="`${line.startMs} ${line.text}`" :class="{ within: isWithin(line) }">
        <button
          v-if="canPlay"
          type="button"
          class="link-button small time"
          :aria-label="`Play from ${clockOfMs(line.startMs)}`"
          @click="emit('play', line.startMs)"
        >
          {{ clockOfMs(line.startMs) }}
        </button>
        <span v-else class="small quiet time">{{ clockOfMs(line.startMs) }}</span>
        <span>{{ line.text }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
  min-width: 0;
}
.fields,
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: end;
}
h3 {
  margin: 6px 0 0;
  font-size: 14px;
}
ol {
  max-height: 320px;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr);
  padding: 2px 0;
  color: var(--ink-2);
  overflow-wrap: anywhere;
}
li.within {
  color: inherit;
}
.time {
  font-variant-numeric: tabular-nums;
}
</style>
