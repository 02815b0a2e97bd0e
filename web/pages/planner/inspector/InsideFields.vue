<script setup lang="ts">
import { computed, ref } from 'vue';
import { breathCost, presetsOf } from '#core/breath';
import { holdBreathFrom, setHold, sideSeconds, type HoldBreath, type HoldStep } from '#core/plan';
import { toMs } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { breathInHold } from '#core/timeline';
import PracticeFields from '../../../widgets/breath/PracticeFields.vue';
import TryIt from '../../../widgets/breath/TryIt.vue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useLibrary } from '../../../state/library';
import { rateInWords } from '../../../widgets/breath/rate';
import LoadFlags from './LoadFlags.vue';
import { useEdit } from '../use-edit';
import CheckField from '../../../ui/fields/CheckField.vue';

/** A breath practised inside the hold: which, after how long, and whether it continues to the end. */
const { step } = defineProps<{ step: HoldStep }>();

const edit = useEdit();
const library = useLibrary();
const trying = ref(false);
const put = (breath: HoldBreath | null): string | undefined => edit(setHold(step.id, { breath }));
const options = computed(() => [
  { value: 'none', label: 'none' },
  ...library.techniques.map(({ id, names }) => ({ value: id, label: names.english })),
]);
const technique = computed({
  get: () => step.breath?.technique ?? 'none',
  set: (id) => {
    const found = library.all.technique(id);
    put(found ? holdBreathFrom(found) : null);
  },
});
const presets = computed(() => {
  const found = step.breath && library.all.technique(step.breath.technique);
  return found ? presetsOf(found.practice) : [];
});
/** What of it there is in the shorter side. */
const says = computed(() => {
  if (!step.breath) return '';
  const { left, right } = sideSeconds(step.sides);
  const holdMs = toMs(Math.min(...[left, right].filter((seconds) => seconds > 0)));
  const phases = breathInHold(step.breath, holdMs);
  const cycles = new Set(phases.flatMap((phase) => ('cycle' in phase ? [phase.cycle] : []))).size;
  const own = phases.reduce((sum, phase) => sum + ('cycles' in phase ? (phase.cycles ?? 0) : 0), 0);
  const endMs = toMs(step.breath.settleSeconds) + (phases.at(-1)?.endMs ?? 0);
  if (phases.length === 0) return 'Not one whole breath fits.';
  const rate = rateInWords(breathCost(step.breath.practice).meanRate);
  return `${cycles + own} breaths at ${rate} a minute, the last ends ${clockOfMs(holdMs - endMs)} before the hold does.`;
});
</script>

<template>
  <FieldGroup title="Breathing during the hold">
    <template #head>
      <SelectField v-model="technique" hide-label label="Breathing during the hold" :options="options" />
      <button v-if="step.breath" type="button" class="link-button small" @click="trying = true">Try it</button>
    </template>
    <template v-if="step.breath">
      <div class="inside">
        <TimeField
          label="begins after"
          :model-value="step.breath.settleSeconds"
          :accept="(seconds) => put(step.breath && { ...step.breath, settleSeconds: seconds ?? 0 })"
        />
        <CheckField
          class="small"
          label="lasts as long as the hold"
          :model-value="step.breath.fill"
          @update:model-value="(fill) => put(step.breath && { ...step.breath, fill })"
        />
      </div>
      <p class="small quiet">{{ says }}</p>
      <LoadFlags :practice="step.breath.practice" :step-id="step.id" />
      <PracticeFields
        :key="step.breath.technique"
        :practice="step.breath.practice"
        :presets="presets"
        :accept="(practice) => put(step.breath && { ...step.breath, practice })"
      />
      <TryIt v-model:visible="trying" :practice="step.breath.practice" :name="step.breath.name" />
    </template>
  </FieldGroup>
</template>

<style scoped>
.inside {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
label.small {
  display: flex;
  gap: 5px;
  align-items: center;
  min-height: 28px;
}
</style>
