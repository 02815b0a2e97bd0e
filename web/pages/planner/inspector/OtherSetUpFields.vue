<script setup lang="ts">
import { computed } from 'vue';
import { breathSeats, type Position } from '#core/catalogue';
import { setOtherSetUp, type BreathStep, type HoldStep, type RestStep } from '#core/plan';
import type { SetUp } from '#core/props';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import { useDemand } from '../../../state/demand';
import { useLibrary } from '../../../state/library';
import SelectField from '../../../ui/fields/SelectField.vue';
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
const library = useLibrary();
function split(): void {
  edit(setOtherSetUp(step.id, { people: Math.max(1, Math.floor(groupSize / 2)), setUp: [...(step.setUp ?? [])] }));
}
function setPeople(people: number): string | undefined {
  if (people > groupSize) return `The group is ${groupSize}. For all of them, change the set-up itself.`;
  return step.otherSetUp ? edit(setOtherSetUp(step.id, { ...step.otherSetUp, people })) : undefined;
}
/** Some can sit otherwise than the others in a breath: on a chair, at the wall. */
const AS_ALL = '';
const seats = computed(() => (step.kind === 'breath' && !step.moves ? breathSeats(library.positions) : []));
const seatOptions = computed(() => [
  { value: AS_ALL, label: 'in the same seat' },
  ...seats.value.map(({ id, names }) => ({ value: id, label: names.english })),
]);
const otherSeat = computed(() => seats.value.find(({ id }) => id === step.otherSetUp?.seat));
function chooseSeat(id: string): void {
  if (!step.otherSetUp) return;
  const { people, setUp } = step.otherSetUp;
  const usual = seats.value.find((seat) => seat.id === id)?.setUps[0]?.items;
  edit(
    setOtherSetUp(step.id, {
      people,
      setUp: usual ? usual.map((row) => ({ ...row })) : setUp,
      ...(id !== AS_ALL && { seat: id }),
    }),
  );
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
      :ready="(otherSeat ?? position)?.setUps ?? []"
      :position="otherSeat ?? position"
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
        <SelectField
          v-if="seats.length > 0"
          hide-label
          label="Where they sit or lie"
          :options="seatOptions"
          :model-value="step.otherSetUp.seat ?? AS_ALL"
          @update:model-value="chooseSeat"
        />
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
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding-bottom: 4px;
}
.some .link-button {
  margin-left: auto;
}
</style>
