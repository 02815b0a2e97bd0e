<script setup lang="ts">
import { computed } from 'vue';
import { answersOfDemands, demandsOfAnswers, LYING_HOW, WEIGHT_ON, type QuickAnswers } from '#core/caution';
import { setHold, type HoldStep } from '#core/plan';
import CheckField from '../../../ui/fields/CheckField.vue';
import ChipChoice from '../../../ui/fields/ChipChoice.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEdit } from '../use-edit';

/** Three quick questions about a hold that is in no library: answered, it is screened by the answers. */
const { step } = defineProps<{ step: HoldStep }>();

const edit = useEdit();
const HOW: Record<QuickAnswers['how'], string> = {
  back: 'Lying on the back',
  front: 'Lying on the front',
  side: 'Lying on the side',
  sitting: 'Sitting',
  kneeling: 'Kneeling',
  standing: 'Standing',
};
const WEIGHT: Record<QuickAnswers['weight'][number], string> = {
  hands: 'Hands',
  knees: 'Knees',
  neck: 'Neck',
  roundedBack: 'A rounded back',
};
const NOT_SAID = '';
const answers = computed(() => (step.demands === null ? undefined : answersOfDemands(step.demands)));
const hows = [
  { value: NOT_SAID, label: 'Not chosen yet' },
  ...LYING_HOW.map((value) => ({ value: value as string, label: HOW[value] })),
];
const weights = WEIGHT_ON.map((value) => ({ value, label: WEIGHT[value] }));
function say(patch: Partial<QuickAnswers>): void {
  const now: QuickAnswers = answers.value ?? { how: 'sitting', headLow: false, weight: [] };
  edit(setHold(step.id, { demands: demandsOfAnswers({ ...now, ...patch }) }));
}
function sayHow(value: string): void {
  const how = LYING_HOW.find((one) => one === value);
  if (how) say({ how });
  else edit(setHold(step.id, { demands: null }));
}
</script>

<template>
  <section class="quick" aria-label="Three quick questions">
    <p v-if="!answers" class="small caution">Not screened yet. Answer three questions about this hold.</p>
    <p v-else class="small quiet">Screened by these answers, not by measuring.</p>
    <SelectField
      label="Lying, sitting or standing?"
      :options="hows"
      :model-value="answers?.how ?? NOT_SAID"
      @update:model-value="sayHow"
    />
    <template v-if="answers">
      <CheckField :model-value="answers.headLow" @update:model-value="say({ headLow: $event })"
        >The head is lower than the heart</CheckField
      >
      <div class="weight small">
        <span aria-hidden="true">Weight on</span>
        <ChipChoice label="Weight on" :options="weights" :chosen="answers.weight" @choose="say({ weight: $event })" />
      </div>
    </template>
  </section>
</template>

<style scoped>
.quick {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 8px 0;
}
.weight {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
</style>
