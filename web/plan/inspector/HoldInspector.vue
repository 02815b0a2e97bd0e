<script setup lang="ts">
import { computed } from 'vue';
import { setHold, type HoldStep, type Prompt } from '#core/plan';
import { DEFAULT_RULES, type Timeline } from '#core/timeline';
import AppIcon from '../../shared/AppIcon.vue';
import TimeField from '../../shared/fields/TimeField.vue';
import { useEdit } from '../use-edit';
import AfterFields from './AfterFields.vue';
import HoldFigure from './HoldFigure.vue';
import HoldLengths from './HoldLengths.vue';
import InsideFields from './InsideFields.vue';
import SidesFields from './SidesFields.vue';
import PromptRows from '../../shared/fields/PromptRows.vue';
import SetUpRows from '../../shared/fields/SetUpRows.vue';
import StageRows from './StageRows.vue';
import StepRibbon from './StepRibbon.vue';
import { newId } from '../../stores/browser';
import { useLibrary } from '../../stores/library';

const { step, index, timeline } = defineProps<{ step: HoldStep; index: number; timeline: Timeline }>();

const edit = useEdit();
const library = useLibrary();
const position = computed(() => library.all.position(step.position));
const setup = computed(() => {
  const { firstPhase = 0, propMoves = 0 } = timeline.steps[index] ?? {};
  const phase = timeline.phases[firstPhase];
  const moves = phase?.kind === 'setup' ? phase.moves.length : propMoves;
  return { seconds: phase?.kind === 'setup' ? (phase.endMs - phase.startMs) / 1000 : 0, moves };
});
const twoSided = computed(() => step.sides.kind === 'each' || step.sides.kind === 'crossing');
function addPrompt(): void {
  edit(setHold(step.id, { prompts: [...step.prompts, { id: newId(), at: { kind: 'half' }, text: '', on: 'every' }] }));
}
const usualOf = (key: 'enterSeconds' | 'leaveSeconds' | 'switchSeconds'): number =>
  position.value?.[key] ?? DEFAULT_RULES[key];
</script>

<template>
  <div class="top">
    <div class="ways">
      <template v-if="position">
        <HoldFigure :step="step" :position="position" />
        <p class="small strong">Way in</p>
        <p v-for="way in position.waysIn" :key="way" class="way">{{ way }}</p>
      </template>
      <p v-else class="way quiet">This position is not in your library. The plan keeps its name and its own times.</p>
    </div>
    <HoldLengths :step="step" />
  </div>
  <StepRibbon :timeline="timeline" :step="step" :index="index" />
  <div class="changes">
    <TimeField
      label="Set-up"
      :model-value="step.setupSeconds"
      :usual="step.setupSeconds === null ? setup.seconds : 0"
      :accept="(setupSeconds) => edit(setHold(step.id, { setupSeconds }))"
    />
    <TimeField
      label="Way in"
      :model-value="step.enterSeconds"
      :usual="usualOf('enterSeconds')"
      :accept="(enterSeconds) => edit(setHold(step.id, { enterSeconds }))"
    />
    <TimeField
      label="Way out"
      :model-value="step.leaveSeconds"
      :usual="usualOf('leaveSeconds')"
      :accept="(leaveSeconds) => edit(setHold(step.id, { leaveSeconds }))"
    />
    <TimeField
      v-if="twoSided"
      label="Change"
      :model-value="step.switchSeconds"
      :usual="usualOf('switchSeconds')"
      :accept="(switchSeconds) => edit(setHold(step.id, { switchSeconds }))"
    />
  </div>
  <SidesFields :step="step" />
  <SetUpRows
    title="Set-up"
    :says="`${setup.moves} ${setup.moves === 1 ? 'move' : 'moves'} to here`"
    :set-up="step.setUp"
    :two-sided="twoSided"
    :ready="position?.setUps ?? []"
    :accept="(setUp) => edit(setHold(step.id, { setUp }))"
  />
  <StageRows :step="step" :two-sided="twoSided" />
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
      <p v-if="position.waysOut.length > 0"><span class="strong">Way out:</span> {{ position.waysOut.join(' ') }}</p>
      <p v-if="position.caution"><span class="strong">Caution:</span> {{ position.caution }}</p>
      <p v-if="position.easier.words"><span class="strong">Easier:</span> {{ position.easier.words }}</p>
      <p class="small quiet">
        Usual cautions, not medical advice. With a condition, ask a doctor or licensed practitioner. Leave at once for
        sharp pain, tingling, numbness, breathlessness or dizziness.
      </p>
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
