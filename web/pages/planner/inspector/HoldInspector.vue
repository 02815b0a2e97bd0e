<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { positionOfStage, setHold, type HoldStep, type Prompt, type Side } from '#core/plan';
import { rowFor, usualPlace, type PropPlace, type PropSide } from '#core/props';
import { turnsOf, type Timeline } from '#core/timeline';
import { exitsOf } from '#library';
import AppIcon from '../../../ui/AppIcon.vue';
import BodyChoice from '../../../widgets/props/BodyChoice.vue';
import PropTray from '../../../widgets/props/PropTray.vue';
import type { HeldProp } from '../../../widgets/props/use-prop-drag';
import { useDemand } from '../../../state/demand';
import { useEditor } from '../../../state/editor';
import { useEdit } from '../use-edit';
import AfterFields from './AfterFields.vue';
import HoldFigure from './HoldFigure.vue';
import LengthTradeoffs from './LengthTradeoffs.vue';
import HoldLengths from './HoldLengths.vue';
import InsideFields from './InsideFields.vue';
import SidesFields from './SidesFields.vue';
import { movesTo } from './moves-to';
import OtherSetUpFields from './OtherSetUpFields.vue';
import PromptRows from '../../../widgets/steps/PromptRows.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import StageRows from './StageRows.vue';
import StepRibbon from '../../../widgets/ribbon/StepRibbon.vue';
import HoldTimes from './HoldTimes.vue';
import QuickQuestions from './QuickQuestions.vue';
import InspectorTabs from './InspectorTabs.vue';
import PositionAbout from './PositionAbout.vue';
import SetUpChoice from './SetUpChoice.vue';
import StepCautions from './StepCautions.vue';
import StepWhere from './StepWhere.vue';
import StepSolutions from './StepSolutions.vue';
import StepNote from './StepNote.vue';
import WayLines from './WayLines.vue';
import { useInspectorTab } from './inspector-tabs';
import { newId } from '../../../client/new-id';
import { useLibrary } from '../../../state/library';

const { step, index, timeline } = defineProps<{ step: HoldStep; index: number; timeline: Timeline }>();

const edit = useEdit();
const library = useLibrary();
const position = computed(() => library.all.position(step.position));
/** The position of the stage that is drawn. */
const drawn = computed(() => library.all.position(positionOfStage(step, stage.value)));
/** What is drawn: the side and the stage that are being edited. */
const side = ref<Side>('left');
const stage = ref(0);
const tabs = computed(() => [
  { value: 'main' as const, label: 'Hold' },
  { value: 'props' as const, label: 'Props' },
  { value: 'cues' as const, label: 'Cues' },
  { value: 'breath' as const, label: 'Breath' },
  { value: 'cautions' as const, label: 'Cautions' },
  ...(position.value ? [{ value: 'about' as const, label: 'About' }] : []),
]);
const tab = useInspectorTab(() => tabs.value.map(({ value }) => value));
const setup = computed(() => {
  const { firstPhase = 0, propMoves = 0 } = timeline.steps[index] ?? {};
  const phase = timeline.phases[firstPhase];
  const seconds = phase?.kind === 'setup' ? (phase.endMs - phase.startMs) / 1000 : 0;
  return { seconds, count: phase?.kind === 'setup' ? phase.moves.length : propMoves };
});
const moves = computed(() => movesTo(timeline, index));
const twoSided = computed(() => step.sides.kind === 'each' || step.sides.kind === 'crossing');
const demand = useDemand();
const editor = useEditor();
const groupSize = computed(() => editor.plan?.groupSize ?? 1);
const figure = useTemplateRef('figure');
const rows = useTemplateRef<HTMLElement>('rows');
const dropTrouble = ref('');
/** Adds a prop at a place. Pressed, not dropped, it goes where it usually lies, and its place is asked for. */
function addAt({ kind, face }: HeldProp, place: PropPlace, side: PropSide): void {
  dropTrouble.value =
    edit(setHold(step.id, { setUp: [...step.setUp, rowFor(kind, place, side, newId(), face)] })) ?? '';
  if (dropTrouble.value) return;
  void nextTick(() =>
    [...(rows.value?.querySelectorAll<HTMLElement>('.place [role="combobox"]') ?? [])].at(-1)?.focus(),
  );
}
function dropped(held: HeldProp): void {
  const at = figure.value?.letGo();
  if (at) addAt(held, at.place, at.side);
}
function addPrompt(): void {
  edit(setHold(step.id, { prompts: [...step.prompts, { id: newId(), at: { kind: 'half' }, text: '', on: 'every' }] }));
}
/** The side that is held first: what is written for the left is mirrored for the right. */
const firstSide = computed(() => turnsOf(step, editor.rules)[0]?.held ?? 'both');
</script>

<template>
  <div class="glance">
    <HoldFigure v-if="drawn" ref="figure" v-model:side="side" v-model:stage="stage" :step="step" :position="drawn" />
    <div v-else>
      <p class="small quiet">This position is not in your library: the plan keeps its name and times.</p>
      <QuickQuestions :step="step" />
    </div>
    <HoldLengths :step="step" @side="side = $event" />
  </div>
  <SetUpChoice :step="step" :position="position" :changes="setup.count" />
  <InspectorTabs
    v-model="tab"
    :index="index"
    :tabs="tabs"
    :prop-rows="step.setUp.length"
    :cues="step.prompts.length"
    :breaths="step.breath ? 1 : 0"
  >
    <template v-if="tab === 'main'">
      <LengthTradeoffs :step="step" />
      <SidesFields :step="step" />
      <StageRows :step="step" :two-sided="twoSided" :at-hand="demand.each" @stage="stage = $event" />
      <AfterFields :step="step" />
      <HoldTimes :step="step" :setup-seconds="setup.seconds" />
      <StepRibbon :timeline="timeline" :step="step" :index="index" />
    </template>
    <template v-else-if="tab === 'props'">
      <StepWhere :step="step" />
      <StepSolutions :step="step" :index="index" />
      <PropTray
        v-if="position"
        :stock="demand.available"
        @pointerenter="figure?.expect()"
        @over="figure?.over($event)"
        @drop="dropped"
        @back="figure?.letGo()"
        @press="addAt($event, usualPlace($event.kind), 'centre')"
      />
      <p v-if="dropTrouble" class="caution small" role="alert">{{ dropTrouble }}</p>
      <div ref="rows">
        <SetUpRows
          title="Set-up"
          :set-up="step.setUp"
          :two-sided="twoSided"
          :position="position"
          :at-hand="demand.each"
          :moves="moves"
          :accept="(setUp) => edit(setHold(step.id, { setUp }))"
        />
      </div>
      <BodyChoice v-if="position" />
      <OtherSetUpFields :step="step" :group-size="groupSize" :two-sided="twoSided" :position="position" />
    </template>
    <template v-else-if="tab === 'cues'">
      <StepNote :step="step" />
      <WayLines
        title="Getting in"
        :lines="position?.waysIn ?? []"
        :own="step.waysIn"
        :side="firstSide"
        :accept="(waysIn) => edit(setHold(step.id, { waysIn }))"
      />
      <PromptRows
        :prompts="step.prompts"
        :two-sided="twoSided"
        breaths
        :accept="(prompts) => edit(setHold(step.id, { prompts: prompts as Prompt[] }))"
        @add="addPrompt"
      />
      <WayLines
        title="Coming out"
        :lines="position?.waysOut ?? []"
        :own="step.waysOut"
        :usual="position ? exitsOf(position) : []"
        :side="firstSide"
        :accept="(waysOut) => edit(setHold(step.id, { waysOut }))"
      />
    </template>
    <InsideFields v-else-if="tab === 'breath'" :step="step" />
    <template v-else-if="tab === 'cautions'">
      <div v-if="position && (position.caution || position.easier.words)" class="cautions">
        <AppIcon name="warn" :size="16" class="caution" />
        <div>
          <p v-if="position.caution">{{ position.caution }}</p>
          <p v-if="position.easier.words"><span class="strong">Easier:</span> {{ position.easier.words }}</p>
        </div>
      </div>
      <StepCautions :index="index" />
    </template>
    <PositionAbout v-else-if="position" :position="position" />
  </InspectorTabs>
</template>

<style scoped>
.glance {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 200px;
  gap: 20px;
  margin: 6px 0 0;
}
.cautions {
  display: flex;
  gap: 10px;
  padding-top: 6px;
}
@media (width < 640px) {
  .glance {
    grid-template-columns: 1fr;
  }
}
</style>
