<script setup lang="ts">
import { computed } from 'vue';
import { breathCost, BreathPractice } from '#core/breath';
import { BREATH_TRAIT_WORDS, type Technique } from '#core/catalogue';
import { clockOfMs } from '#core/time';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import PracticeFields from '../../../widgets/breath/PracticeFields.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import CautionFields from './CautionFields.vue';
import EditFrame from './EditFrame.vue';
import LineList from './LineList.vue';
import SpokenFields from './SpokenFields.vue';
import TeachingFields from './TeachingFields.vue';
import TitleFields from './TitleFields.vue';
import { provideEntry } from './use-entry';
import { useEntryDraft } from './use-entry-draft';

/** A custom breath technique. */
const { id } = defineProps<{ id: string }>();

const draft = useEntryDraft(id);
provideEntry(draft);
const { change, problem } = draft;
const set = (path: string) => (value: unknown) => change(path, value);
const MAX_STEPS = 6;

const entry = computed((): Technique | undefined =>
  draft.document.value?.kind === 'technique' ? draft.document.value.entry : undefined,
);
const cost = computed(() => entry.value && breathCost(entry.value.practice));

/** A practice is looked at before it is taken, as in a plan. */
function setPractice(practice: BreathPractice): string | undefined {
  const parsed = BreathPractice.safeParse(practice);
  return parsed.success ? change('practice', practice) : parsed.error.issues[0]?.message;
}
</script>

<template>
  <EditFrame :name="entry?.names.english ?? ''" kind="technique">
    <template v-if="entry">
      <section class="column side" aria-label="Its counts">
        <p v-if="cost" class="cost">
          <span class="numeral">{{ clockOfMs(cost.lengthMs) }}</span> total, {{ cost.cycles }}
          {{ cost.cycles === 1 ? 'breath' : 'breaths' }}
        </p>
        <PracticeFields :practice="entry.practice" :accept="setPractice" />
        <FieldGroup title="Usually practised">
          <div class="range">
            <TimeField
              label="from"
              :model-value="entry.range.minSeconds"
              :accept="(seconds) => change('range.minSeconds', seconds ?? 0)"
              :problem="problem('range.minSeconds')"
            />
            <TimeField
              label="to"
              :model-value="entry.range.maxSeconds"
              :accept="(seconds) => change('range.maxSeconds', seconds ?? 0)"
              :problem="problem('range.maxSeconds')"
            />
          </div>
        </FieldGroup>
      </section>
      <section class="column" aria-label="Description">
        <FieldGroup title="Names">
          <TitleFields :entry="entry" />
          <TextField
            label="What one round is"
            :model-value="entry.round"
            :accept="set('round')"
            :problem="problem('round')"
          />
          <TextField label="Seat" :model-value="entry.seat" :accept="set('seat')" :problem="problem('seat')" />
          <TextField
            label="What should be easy first"
            :model-value="entry.gates"
            :accept="set('gates')"
            :problem="problem('gates')"
          />
        </FieldGroup>
        <LineList title="How it is taught" path="taught" one="Step" :lines="entry.taught" :most="MAX_STEPS" />
        <SpokenFields :entry="entry" />
        <FieldGroup title="Mistakes and cautions">
          <TeachingFields :mistakes="entry.mistakes" :watch="entry.watch" />
          <CautionFields label="Caution" :caution="entry.caution" :traits="entry.traits" :words="BREATH_TRAIT_WORDS" />
        </FieldGroup>
      </section>
    </template>
  </EditFrame>
</template>

<style scoped>
.column {
  padding: 12px 32px 40px;
}
.side {
  border-right: 1px solid var(--line-strong);
  background: var(--sheet);
}
.cost {
  margin-bottom: 8px;
}
.cost .numeral {
  font-size: 30px;
  line-height: 32px;
}
.range {
  display: flex;
  gap: 18px;
}
@media (width < 640px) {
  .column {
    padding-right: 16px;
    padding-left: 16px;
  }
}
</style>
