<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { presetsOf, taughtInSteps, taughtStep, type BreathPractice } from '#core/breath';
import { seatOf } from '#core/catalogue';
import { setBreath, type BreathStep } from '#core/plan';
import { clockOfSeconds } from '#core/time';
import type { Timeline } from '#core/timeline';
import AppIcon from '../../../ui/AppIcon.vue';
import PracticeFields from '../../../widgets/breath/PracticeFields.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEdit } from '../use-edit';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import OtherSetUpFields from './OtherSetUpFields.vue';
import { movesTo } from './moves-to';
import { useDemand } from '../../../state/demand';
import { useEditor } from '../../../state/editor';
import MovesFields from './MovesFields.vue';
import BodyChoice from '../../../widgets/props/BodyChoice.vue';
import BreathCost from '../../../widgets/breath/BreathCost.vue';
import TryIt from '../../../widgets/breath/TryIt.vue';
import LoadFlags from './LoadFlags.vue';
import FitBreath from './FitBreath.vue';
import StepRibbon from '../../../widgets/ribbon/StepRibbon.vue';
import InspectorTabs from './InspectorTabs.vue';
import SeatChoice from './SeatChoice.vue';
import SeatSetUp from './SeatSetUp.vue';
import StepNote from './StepNote.vue';
import StepCautions from './StepCautions.vue';
import StepWhere from './StepWhere.vue';
import StepSolutions from './StepSolutions.vue';
import PositionFigure from '../../../widgets/figures/PositionFigure.vue';
import { useInspectorTab } from './inspector-tabs';
import { setUpInWords } from '#core/props';
import { newId } from '../../../client/new-id';
import { useLibrary } from '../../../state/library';

const { step, index, timeline } = defineProps<{ step: BreathStep; index: number; timeline: Timeline }>();

const edit = useEdit();
const editor = useEditor();
const demand = useDemand();
const moved = computed(() => (step.moves ? library.all.position(step.moves.position) : undefined));
const library = useLibrary();
const technique = computed(() => library.all.technique(step.technique));
const presets = computed(() => (technique.value ? presetsOf(technique.value.practice) : []));
/**
 * Whose figure decides how high a seat should be: the position it moves, the chosen seat, or the one that sits or lies
 * with the same props.
 */
const seat = computed(
  () =>
    moved.value ??
    (step.seat === null ? undefined : library.all.position(step.seat)) ??
    seatOf(step.setUp, library.positions),
);
const seatSays = computed(() =>
  [technique.value?.seat, seat.value && !moved.value ? `Heights as in “${seat.value.names.english}”.` : '']
    .filter(Boolean)
    .join(' '),
);
const tabs = computed(() => [
  { value: 'main' as const, label: 'Breath' },
  { value: 'props' as const, label: 'Props' },
  { value: 'cues' as const, label: 'Cues' },
  { value: 'cautions' as const, label: 'Cautions' },
  ...(technique.value ? [{ value: 'about' as const, label: 'About' }] : []),
]);
const tab = useInspectorTab(() => tabs.value.map(({ value }) => value));
const setupSeconds = computed(() => {
  const phase = timeline.phases[timeline.steps[index]?.firstPhase ?? 0];
  return phase?.kind === 'setup' ? (phase.endMs - phase.startMs) / 1000 : 0;
});
const trying = ref(false);
/** The steps in which it is taught come first, each for a while. */
function teachInSteps(): void {
  if (!technique.value || put(taughtInSteps(step.practice, technique.value.taught, newId)) !== undefined) return;
  // The sets it is taught in are shown.
  tab.value = 'main';
}
const put = (practice: BreathPractice): string | undefined => edit(setBreath(step.id, { practice }));
const setAfter = (seconds: number | null) => edit(setBreath(step.id, { afterSeconds: seconds ?? 0 }));
</script>

<template>
  <div class="glance">
    <figure v-if="seat">
      <div class="seat">
        <PositionFigure :position="seat" :set-up="step.setUp" :label="`Seat: ${seat.names.english}`" />
      </div>
      <figcaption class="small quiet" :title="setUpInWords(step.setUp)">
        <SeatSetUp v-if="step.seat && !step.moves" :step="step" :seat="seat" />
        <template v-else>{{ setUpInWords(step.setUp) || 'no props' }}</template>
      </figcaption>
    </figure>
    <div class="cost">
      <BreathCost :practice="step.practice" class="figures" />
      <SeatChoice v-if="!step.moves" :step="step" />
      <Button class="try" label="Try it" size="small" outlined @click="trying = true" />
    </div>
  </div>
  <TryIt v-model:visible="trying" :practice="step.practice" :name="step.name" />
  <LoadFlags :practice="step.practice" :step-id="step.id" />
  <InspectorTabs v-model="tab" :index="index" :tabs="tabs" :prop-rows="step.setUp.length">
    <template v-if="tab === 'main'">
      <PracticeFields :practice="step.practice" :presets="presets" :accept="put" />
      <FitBreath :step="step" />
      <MovesFields :step="step" />
      <FieldGroup title="Before and after">
        <div class="around">
          <TimeField
            label="Setting up"
            :model-value="step.setupSeconds"
            :usual="step.setupSeconds === null ? setupSeconds : 0"
            :accept="(seconds) => edit(setBreath(step.id, { setupSeconds: seconds }))"
          />
          <TimeField label="Quiet breathing" :model-value="step.afterSeconds" :accept="setAfter" />
        </div>
      </FieldGroup>
      <StepRibbon :timeline="timeline" :step="step" :index="index" />
    </template>
    <template v-else-if="tab === 'props'">
      <StepWhere :step="step" />
      <StepSolutions :step="step" :index="index" />
      <SetUpRows
        title="Seat"
        :says="seatSays"
        :set-up="step.setUp"
        :two-sided="false"
        :position="seat"
        :at-hand="demand.each"
        :moves="movesTo(timeline, index)"
        :accept="(setUp) => edit(setBreath(step.id, { setUp }))"
      />
      <BodyChoice v-if="seat" />
      <OtherSetUpFields :step="step" :group-size="editor.plan?.groupSize ?? 1" :position="moved" />
    </template>
    <section v-else-if="tab === 'cues'" class="taught">
      <StepNote :step="step" />
      <template v-if="technique">
        <div class="head">
          <h3>How it is taught</h3>
          <button v-if="technique.taught.length > 0" type="button" class="link-button small" @click="teachInSteps">
            Teach it in steps
          </button>
        </div>
        <ol>
          <li v-for="{ name, says } in technique.taught.map(taughtStep)" :key="says">
            <strong v-if="name">{{ name }}. </strong>{{ says }}
          </li>
        </ol>
        <p class="quiet">{{ technique.mistakes }}</p>
      </template>
    </section>
    <template v-else-if="tab === 'cautions'">
      <p v-if="technique" class="warn"><AppIcon name="warn" :size="16" class="caution" /> {{ technique.caution }}</p>
      <StepCautions :index="index" />
    </template>
    <section v-else-if="technique" class="taught">
      <p>{{ technique.round }}</p>
      <p class="small quiet">
        Usually {{ clockOfSeconds(technique.range.minSeconds) }} to {{ clockOfSeconds(technique.range.maxSeconds) }}.
        {{ technique.gates }}
      </p>
      <RouterLink class="link-button small" :to="`/library/breath/${technique.id}`">Open in the library</RouterLink>
    </section>
  </InspectorTabs>
</template>

<style scoped>
.glance {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 20px;
  align-items: center;
  margin-top: 6px;
}
figure {
  width: 170px;
  margin: 0;
}
.seat {
  height: 112px;
}
figcaption :deep(.select) {
  max-width: 100%;
}
.cost {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.figures {
  flex: 1 0 240px;
}
.around {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.try {
  align-self: center;
}
.head {
  display: flex;
  gap: 14px;
  align-items: baseline;
  justify-content: space-between;
}
.taught {
  padding-top: 6px;
}
.taught h3 {
  font: 600 14.5px/20px var(--text);
}
.taught ol {
  list-style: decimal;
  padding-left: 20px;
}
.warn {
  display: flex;
  gap: 8px;
  align-items: flex-start;
  margin-top: 6px;
}
</style>
