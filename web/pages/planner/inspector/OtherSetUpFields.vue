<script setup lang="ts">
import type { Position } from '#core/catalogue';
import { setOtherSetUp, type BreathStep, type HoldStep, type RestStep } from '#core/plan';
import type { SetUp } from '#core/props';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import { useDemand } from '../../../state/demand';
import { useEdit } from '../use-edit';

/** An alternative set-up for some of the group: where there is not enough of something for all, or not all want the same. */
const {
  step,
  groupSize,
  twoSided = false,
  position,
} = defineProps<{
  step: HoldStep | BreathStep | RestStep;
  groupSize: number;
  twoSided?: boolean;
  position?: Position | undefined;
}>();

const edit = useEdit();
const demand = useDemand();
function split(): void {
  edit(setOtherSetUp(step.id, { people: Math.max(1, Math.floor(groupSize / 2)), setUp: [...(step.setUp ?? [])] }));
}
function setPeople(people: number): string | undefined {
  if (people > groupSize) return `The group is ${groupSize}. For all of them, change the set-up itself.`;
  return step.otherSetUp ? edit(setOtherSetUp(step.id, { ...step.otherSetUp, people })) : undefined;
}
const setSetUp = (setUp: SetUp) =>
  step.otherSetUp ? edit(setOtherSetUp(step.id, { ...step.otherSetUp, setUp })) : undefined;
</script>

<template>
  <FieldGroup
    v-if="!step.otherSetUp"
    title="Two set-ups"
    says="one for all"
    add="Alternative set-up for some"
    @add="split"
  />
  <template v-else>
    <SetUpRows
      title="For some"
      :set-up="step.otherSetUp.setUp"
      :two-sided="twoSided"
      :ready="position?.setUps ?? []"
      :position="position"
      :at-hand="demand.each"
      :accept="setSetUp"
    >
      <div class="some">
        <NumberField
          hide-label
          label="How many use the alternative set-up"
          :unit="`of ${groupSize}`"
          :model-value="step.otherSetUp.people"
          :accept="setPeople"
        />
        <span class="small quiet">use this instead</span>
        <button type="button" class="link-button small" @click="edit(setOtherSetUp(step.id, null))">
          One set-up for all
        </button>
      </div>
    </SetUpRows>
  </template>
</template>

<style scoped>
.some {
  display: flex;
  gap: 12px;
  align-items: center;
  padding-bottom: 4px;
}
.some .link-button {
  margin-left: auto;
}
</style>
