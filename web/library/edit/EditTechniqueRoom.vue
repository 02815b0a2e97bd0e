<script setup lang="ts">
import { computed } from 'vue';
import { breathCost, BreathPractice } from '#core/breath';
import { BREATH_TRAITS, type Technique } from '#core/catalogue';
import { clockOfMs } from '#core/time';
import FieldGroup from '../../shared/fields/FieldGroup.vue';
import PracticeFields from '../../shared/fields/PracticeFields.vue';
import TextField from '../../shared/fields/TextField.vue';
import TimeField from '../../shared/fields/TimeField.vue';
import { BREATH_TRAIT_WORDS } from '../words';
import ChipChoice from './ChipChoice.vue';
import EditFrame from './EditFrame.vue';
import LineList from './LineList.vue';
import { provideEntry } from './use-entry';
import { useEntryDraft } from './use-entry-draft';

/** A breath technique of one's own. */
const { id } = defineProps<{ id: string }>();

const draft = useEntryDraft(id);
provideEntry(draft);
const { change, problem } = draft;
const set = (path: string) => (value: unknown) => change(path, value);
const MOST_STEPS = 6;
const SHORT = 24;
const TRAIT_OPTIONS = BREATH_TRAITS.map((value) => ({ value, label: BREATH_TRAIT_WORDS[value] }));

const entry = computed((): Technique | undefined =>
  draft.document.value?.kind === 'technique' ? draft.document.value.entry : undefined,
);
const cost = computed(() => entry.value && breathCost(entry.value.practice));

function setName(name: string): undefined {
  const { short, names } = entry.value!;
  const follows = short === '' || short === names.english.slice(0, SHORT).trim();
  change('names.english', name);
  if (follows) change('short', name.slice(0, SHORT).trim());
}
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
          <span class="numeral">{{ clockOfMs(cost.lengthMs) }}</span> in all, {{ cost.cycles }}
          {{ cost.cycles === 1 ? 'breath' : 'breaths' }}
        </p>
        <PracticeFields :practice="entry.practice" :round="entry.round" :accept="setPractice" />
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
      <section class="column" aria-label="What is told of it">
        <FieldGroup title="Names">
          <TextField
            label="Name"
            :model-value="entry.names.english"
            :accept="setName"
            :problem="problem('names.english')"
          />
          <TextField
            label="Short name, for the ribbon"
            :model-value="entry.short"
            :accept="set('short')"
            :problem="problem('short')"
          />
          <TextField
            label="Sanskrit"
            :model-value="entry.names.sanskrit"
            :accept="set('names.sanskrit')"
            :problem="problem('names.sanskrit')"
          />
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
        <LineList title="How it is taught" path="taught" one="Step" :lines="entry.taught" :most="MOST_STEPS" />
        <FieldGroup title="Mistakes and cautions">
          <TextField
            label="Common mistakes, and what to say"
            :rows="2"
            :model-value="entry.mistakes"
            :accept="set('mistakes')"
            :problem="problem('mistakes')"
          />
          <TextField
            label="Caution"
            :rows="2"
            :model-value="entry.caution"
            :accept="set('caution')"
            :problem="problem('caution')"
          />
          <ChipChoice
            class="traits"
            label="Look out for"
            :options="TRAIT_OPTIONS"
            :chosen="entry.traits"
            :problem="problem('traits')"
            @choose="change('traits', $event)"
          />
          <p class="small quiet">
            Usual cautions, not medical advice. With a condition, ask a doctor or licensed practitioner.
          </p>
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
.traits {
  margin: 8px 0;
}
@media (width < 640px) {
  .column {
    padding-right: 16px;
    padding-left: 16px;
  }
}
</style>
