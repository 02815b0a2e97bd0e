<script setup lang="ts">
import { computed, ref } from 'vue';
import { openLevel, type Matrix } from '#core/caution';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import { compileTimeline } from '#core/timeline';
import StepFigure from '../../../widgets/figures/StepFigure.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import SessionRibbon from '../../../widgets/ribbon/SessionRibbon.vue';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';
import { openInWords } from './words';
import { useLibrary } from '../../../state/library';
import { useScreening } from '../../../state/screening';

/** One person's version of the plan beside the plan itself: each step takes as long. */
const { plan, matrix } = defineProps<{ plan: Plan; matrix: Matrix }>();

const library = useLibrary();
const screening = useScreening();
const first = matrix.rows.find(({ cells }) => cells.some(({ state }) => state === 'instead')) ?? matrix.rows[0];
const personId = ref(first?.personId ?? '');
const choices = computed(() =>
  matrix.rows.map((row) => ({ value: row.personId, label: screening.shown(row.personId) })),
);
const row = computed(() => matrix.rows.find((one) => one.personId === personId.value));
const version = computed(() => (personId.value ? screening.versionOf(personId.value) : undefined));
const timeline = computed(() => version.value && compileTimeline(version.value.plan, library.all));
const open = computed(() => row.value && openInWords(row.value));
const differences = computed(() =>
  (version.value?.differences ?? []).map((one) => ({
    ...one,
    original: plan.steps[one.index],
    step: version.value?.plan.steps[one.index],
  })),
);
/** Chosen alternatives that do not fit into the time of their step. */
const unfitting = computed(() =>
  (row.value?.cells ?? []).flatMap(({ state }, i) => {
    const step = plan.steps[i];
    const missing = state === 'instead' && step && !differences.value.some(({ stepId }) => stepId === step.id);
    return missing ? [step.name] : [];
  }),
);
const toDecide = computed(() => row.value?.cells.some((cell) => openLevel(cell) !== null) ?? false);
</script>

<template>
  <SelectField v-model="personId" label="The plan of" :options="choices" />
  <p class="said" role="status">
    {{
      differences.length === 0
        ? 'The same as everyone else.'
        : differences.length === 1
          ? 'One step is different, and as long as everyone else’s.'
          : `${differences.length} steps are different, each as long as everyone else’s.`
    }}
    <span v-if="open" class="caution">Still open: {{ open }}.</span>
    <span v-if="toDecide" class="quiet"> Choose an alternative under <em>Everyone</em>.</span>
  </p>
  <p v-for="name in unfitting" :key="name" class="caution strong" role="alert">
    The alternative for “{{ name }}” does not fit into the time of the step: choose a shorter one, or make the step
    longer.
  </p>
  <SessionRibbon v-if="version && timeline && differences.length > 0" :plan="version.plan" :timeline="timeline" />
  <ol v-if="differences.length > 0" class="pairs" aria-label="What is different">
    <li v-for="one in differences" :key="one.stepId">
      <span class="when numeral">{{ clockOfMs(one.startMs) }}</span>
      <figure v-if="one.original">
        <span class="figure"
          ><StepFigure v-if="one.original.kind === 'hold'" :step="one.original" :least="1500"
        /></span>
        <figcaption>
          <span class="quiet">{{ one.index + 1 }} everyone else</span><br />{{ one.from }}
        </figcaption>
      </figure>
      <CautionMark level="change" state="instead" />
      <figure v-if="one.step">
        <span class="figure"><StepFigure v-if="one.step.kind === 'hold'" :step="one.step" :least="1500" /></span>
        <figcaption>
          <span class="quiet">{{ screening.shown(personId) }}</span><br /><strong>{{ one.to }}</strong>
        </figcaption>
      </figure>
      <span class="quiet">{{ clockOfMs(one.endMs - one.startMs) }} total</span>
    </li>
  </ol>
</template>

<style scoped>
.said {
  font-size: 17px;
}
.pairs li {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) 20px minmax(0, 1fr) 110px;
  gap: 16px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.when {
  font-size: 20px;
}
figure {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  margin: 0;
}
.figure {
  width: 150px;
  height: 84px;
}
@media (width < 820px) {
  .pairs li {
    grid-template-columns: 52px minmax(0, 1fr);
  }
}
</style>
