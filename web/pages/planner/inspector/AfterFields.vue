<script setup lang="ts">
import { computed } from 'vue';
import { setHold, type HoldStep, type Rebound } from '#core/plan';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEdit } from '../use-edit';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import { useLibrary } from '../../../state/library';

/** What follows the hold: a still rest after each side or after both, and a release. */
const { step } = defineProps<{ step: HoldStep }>();

const edit = useEdit();
const library = useLibrary();
const oneTurn = computed(() => step.sides.kind === 'together' || step.sides.kind === 'one');
const options = computed(() => [
  { value: 'none' as const, label: 'no rest' },
  ...(oneTurn.value ? [] : [{ value: 'afterEach' as const, label: 'each side' }]),
  { value: 'afterBoth' as const, label: oneTurn.value ? 'rest' : 'both' },
]);
const usual = computed(() => library.all.position(step.position)?.rebound.seconds || 30);
const chosen = computed(() => (oneTurn.value && step.rebound.kind === 'afterEach' ? 'afterBoth' : step.rebound.kind));
function setKind(kind: Rebound['kind']): void {
  const seconds = step.rebound.kind === 'none' ? usual.value : step.rebound.seconds;
  edit(setHold(step.id, { rebound: kind === 'none' ? { kind } : { kind, seconds } }));
}
const setSeconds = (seconds: number | null) =>
  step.rebound.kind === 'none'
    ? undefined
    : edit(setHold(step.id, { rebound: { kind: step.rebound.kind, seconds: seconds ?? 0 } }));
const RELEASE_SECONDS = 30;
const releases = computed(() => [
  { value: 'none' as const, label: 'no release' },
  ...(oneTurn.value ? [] : [{ value: 'afterEach' as const, label: 'each side' }]),
  { value: 'afterBoth' as const, label: oneTurn.value ? 'release' : 'both' },
]);
const released = computed(() =>
  !step.loosen ? 'none' : oneTurn.value && step.loosen.when === 'afterEach' ? 'afterBoth' : step.loosen.when,
);
/** The release with a change; it begins as the library describes it. */
function setRelease(patch: Partial<NonNullable<HoldStep['loosen']>>): string | undefined {
  const text = library.all.position(step.position)?.loosen ?? '';
  const usualRelease = { when: 'afterBoth' as const, seconds: RELEASE_SECONDS, text };
  return edit(setHold(step.id, { loosen: { ...usualRelease, ...step.loosen, ...patch } }));
}
const setWhen = (when: 'none' | 'afterEach' | 'afterBoth') =>
  when === 'none' ? edit(setHold(step.id, { loosen: null })) : setRelease({ when });
</script>

<template>
  <FieldGroup title="After">
    <template #head>
      <ChoiceField label="Rest after" :options="options" :model-value="chosen" @update:model-value="setKind" />
      <TimeField
        v-if="step.rebound.kind !== 'none'"
        hide-label
        label="Length of the rest"
        :model-value="step.rebound.seconds"
        :accept="setSeconds"
      />
    </template>
    <div class="release">
      <ChoiceField label="Release after" :options="releases" :model-value="released" @update:model-value="setWhen" />
      <template v-if="step.loosen">
        <TimeField
          hide-label
          label="Length of the release"
          :model-value="step.loosen.seconds"
          :accept="(seconds) => setRelease({ seconds: seconds ?? 0 })"
        />
        <TextField
          hide-label
          label="How to release"
          placeholder="How: rock the pelvis, circle the feet"
          :model-value="step.loosen.text"
          :accept="(text) => setRelease({ text })"
        />
      </template>
    </div>
  </FieldGroup>
</template>

<style scoped>
.release {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
@media (width < 640px) {
  .release {
    grid-template-columns: auto auto;
  }
  .release > :last-child {
    grid-column: 1 / -1;
  }
}
</style>
