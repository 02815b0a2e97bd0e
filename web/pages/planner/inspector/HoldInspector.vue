<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { wordsOnSide } from '#core/catalogue';
import { setHold, type HoldStep, type Prompt } from '#core/plan';
import { rowFor, usualPlace, type PropPlace, type PropSide } from '#core/props';
import { DEFAULT_RULES, turnsOf, type Timeline } from '#core/timeline';
import AppIcon from '../../../ui/AppIcon.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
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
import StepRibbon from './StepRibbon.vue';
import { newId } from '../../../client/new-id';
import { useLibrary } from '../../../state/library';

const { step, index, timeline } = defineProps<{ step: HoldStep; index: number; timeline: Timeline }>();

const edit = useEdit();
const library = useLibrary();
const position = computed(() => library.all.position(step.position));
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
const firstSide = computed(() => turnsOf(step, DEFAULT_RULES)[0]?.held ?? 'both');
const usualOf = (key: 'enterSeconds' | 'leaveSeconds' | 'switchSeconds'): number =>
  position.value?.[key] ?? DEFAULT_RULES[key];
</script>

<template>
  <div class="top">
    <div class="ways">
      <template v-if="position">
        <HoldFigure ref="figure" :step="step" :position="position" />
        <PropTray
          :stock="demand.available"
          @pointerenter="figure?.expect()"
          @over="figure?.over($event)"
          @drop="dropped"
          @back="figure?.letGo()"
          @press="addAt($event, usualPlace($event.kind), 'centre')"
        />
        <p class="small strong">Getting in</p>
        <p v-for="way in position.waysIn" :key="way" class="way">{{ wordsOnSide(way, firstSide) }}</p>
      </template>
      <p v-else class="way quiet">This position is not in your library. The plan keeps its name and times.</p>
    </div>
    <HoldLengths :step="step" />
  </div>
  <StepRibbon :timeline="timeline" :step="step" :index="index" />
  <LengthTradeoffs :step="step" />
  <div class="changes">
    <TimeField
      label="Set-up"
      :model-value="step.setupSeconds"
      :usual="step.setupSeconds === null ? setup.seconds : 0"
      :accept="(setupSeconds) => edit(setHold(step.id, { setupSeconds }))"
    />
    <TimeField
      label="Getting in"
      :model-value="step.enterSeconds"
      :usual="usualOf('enterSeconds')"
      :accept="(enterSeconds) => edit(setHold(step.id, { enterSeconds }))"
    />
    <TimeField
      label="Coming out"
      :model-value="step.leaveSeconds"
      :usual="usualOf('leaveSeconds')"
      :accept="(leaveSeconds) => edit(setHold(step.id, { leaveSeconds }))"
    />
    <TimeField
      v-if="twoSided"
      label="Changing sides"
      :model-value="step.switchSeconds"
      :usual="usualOf('switchSeconds')"
      :accept="(switchSeconds) => edit(setHold(step.id, { switchSeconds }))"
    />
  </div>
  <SidesFields :step="step" />
  <div ref="rows">
    <SetUpRows
      title="Set-up"
      :says="`${setup.count} prop ${setup.count === 1 ? 'change' : 'changes'} before this`"
      :set-up="step.setUp"
      :two-sided="twoSided"
      :ready="position?.setUps ?? []"
      :position="position"
      :at-hand="demand.each"
      :moves="moves"
      :accept="(setUp) => edit(setHold(step.id, { setUp }))"
    />
  </div>
  <BodyChoice v-if="position" />
  <p v-if="dropTrouble" class="caution small" role="alert">{{ dropTrouble }}</p>
  <OtherSetUpFields :step="step" :group-size="groupSize" :two-sided="twoSided" :position="position" />
  <StageRows :step="step" :two-sided="twoSided" :position="position" :at-hand="demand.each" />
  <PromptRows
    :prompts="step.prompts"
    :two-sided="twoSided"
    :accept="(prompts) => edit(setHold(step.id, { prompts: prompts as Prompt[] }))"
    @add="addPrompt"
  />
  <InsideFields :step="step" />
  <AfterFields :step="step" />
  <div v-if="position" class="cautions">
    <AppIcon name="warn" :size="16" class="caution" />
    <div>
      <p v-if="position.waysOut.length > 0"><span class="strong">Coming out:</span> {{ position.waysOut.join(' ') }}</p>
      <p v-if="position.caution"><span class="strong">Caution:</span> {{ position.caution }}</p>
      <p v-if="position.easier.words"><span class="strong">Easier:</span> {{ position.easier.words }}</p>
    </div>
  </div>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 216px;
  gap: 24px;
  margin: 8px 0 10px;
}
.ways {
  align-self: start;
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
.way {
  margin-bottom: 3px;
  font-size: 13.5px;
  line-height: 17px;
}
.changes {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 2px 0 8px;
  font-size: 13.5px;
}
.changes :deep(input) {
  width: 52px;
}
.cautions {
  display: flex;
  gap: 10px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
@media (width < 640px) {
  .top {
    grid-template-columns: 1fr;
  }
}
</style>
