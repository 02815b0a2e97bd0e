<script setup lang="ts">
import { EASE, type BreathReview } from '#core/run';
import { usePeople } from '../../../state/people';
import ChipChoice from '../../../ui/fields/ChipChoice.vue';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';

/** How easy every breath of a session was: for most of those present, and for whom it was an effort all the same. */
const { breaths, present, of } = defineProps<{
  breaths: readonly { stepId: string; name: string; holds: boolean }[];
  /** Who was there, by their ids. */
  present: readonly string[];
  of: (stepId: string) => BreathReview | undefined;
}>();
const emit = defineEmits<{ review: [stepId: string, breath: BreathReview] }>();

const people = usePeople();
void people.load();
const NOTHING: BreathReview = { inOut: null, holds: null, effortFor: [] };
const EASE_WORDS = { easy: 'easy', effort: 'an effort' };
const EASE_OPTIONS = [
  { value: '', label: '–' } as const,
  ...EASE.map((value) => ({ value, label: EASE_WORDS[value] })),
];
const reviewOf = (stepId: string): BreathReview => of(stepId) ?? NOTHING;
const put = (stepId: string, patch: Partial<BreathReview>): void =>
  emit('review', stepId, { ...reviewOf(stepId), ...patch });
const isEasy = ({ inOut, holds }: BreathReview): boolean => inOut === 'easy' || holds === 'easy';
</script>

<template>
  <div class="breaths">
    <h2>How easy the breath was</h2>
    <p class="small quiet">Easy sessions open the next ratio of the ladder, for a group and for each person in it.</p>
    <div v-for="{ stepId, name, holds } in breaths" :key="stepId" class="breath" role="group" :aria-label="name">
      <span class="strong name">{{ name }}</span>
      <span class="field">
        <span class="small quiet">in and out</span>
        <ChoiceField
          :label="`In- and out-breath of ${name}`"
          :options="EASE_OPTIONS"
          :model-value="reviewOf(stepId).inOut ?? ''"
          @update:model-value="put(stepId, { inOut: $event || null })"
        />
      </span>
      <span v-if="holds" class="field">
        <span class="small quiet">retention</span>
        <ChoiceField
          :label="`Retention of ${name}`"
          :options="EASE_OPTIONS"
          :model-value="reviewOf(stepId).holds ?? ''"
          @update:model-value="put(stepId, { holds: $event || null })"
        />
      </span>
      <span v-if="present.length > 0 && isEasy(reviewOf(stepId))" class="field">
        <span class="small quiet">but an effort for</span>
        <ChipChoice
          :label="`For whom ${name} was an effort`"
          :options="present.map((value) => ({ value, label: people.shown(value) }))"
          :chosen="reviewOf(stepId).effortFor"
          @choose="put(stepId, { effortFor: $event })"
        />
      </span>
    </div>
  </div>
</template>

<style scoped>
.breaths {
  padding-top: 16px;
}
h2 {
  font-size: 19px;
  line-height: 22px;
}
.breath {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.name {
  flex: 0 1 200px;
  min-width: 130px;
  overflow-wrap: anywhere;
}
.field {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
</style>
