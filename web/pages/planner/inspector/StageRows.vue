<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Position } from '#core/catalogue';
import {
  positionOfStage,
  readStages,
  setHold,
  setLengthOfHold,
  setUpOfStage,
  sideSeconds,
  stagesAsTyped,
  stagesSeconds,
  type HoldStep,
  type Stage,
} from '#core/plan';
import { clockOfSeconds } from '#core/time';
import { withOneFewer, type Available, type SetUp } from '#core/props';
import IconButton from '../../../ui/IconButton.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { newId } from '../../../client/new-id';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useLibrary } from '../../../state/library';
import { useEdit } from '../use-edit';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import CheckField from '../../../ui/fields/CheckField.vue';

/** Parts of one hold, each with its length (or a share of the remaining time) and, where wanted, different props. */
const { step, twoSided, atHand } = defineProps<{
  step: HoldStep;
  twoSided: boolean;
  atHand?: Available | undefined;
}>();

const emit = defineEmits<{
  /** This stage, from 0, is about to be changed. */
  stage: [index: number];
}>();

const edit = useEdit();
const library = useLibrary();
const trouble = ref('');
const put = (stages: Stage[]): string | undefined => edit(setHold(step.id, { stages }));
const change = (stage: Stage, patch: Partial<Stage>): string | undefined =>
  put(step.stages.map((other) => (other === stage ? { ...stage, ...patch } : other)));
const setLength = (stage: Stage) => (seconds: number | null) =>
  change(stage, { length: seconds === null ? { kind: 'share', weight: 1 } : { kind: 'fixed', seconds } });
const USUAL_BREATH = 6;
/** A stage measured in breaths, or by the clock again; its length stays to the second. */
const setInBreaths = (stage: Stage, now: boolean) => change(stage, { breathSeconds: now ? USUAL_BREATH : null });
const SAME = '';
const positions = computed(() => [
  { value: SAME, label: 'same position' },
  ...library.positions.map(({ id, names }) => ({ value: id, label: names.english })),
]);
/** Another position comes with its usual set-up; the same again leaves what lies there. */
function setPosition(stage: Stage, index: number, id: string): void {
  const chosen = library.all.position(id);
  const isSame = id === SAME || id === positionOfStage(step, index - 1);
  trouble.value =
    change(
      stage,
      isSame || !chosen
        ? { position: null, setUp: null }
        : { position: id, setUp: (chosen.setUps[0]?.items ?? []).map((row) => ({ ...row })) },
    ) ?? '';
}
const positionAt = (index: number): Position | undefined => library.all.position(positionOfStage(step, index));
const sum = computed(() => stagesSeconds(step));
const held = computed(() => Math.max(...Object.values(sideSeconds(step.sides))));
const asLong = (): void => {
  if (sum.value !== undefined) trouble.value = edit(setLengthOfHold(step, 'even', sum.value, library.all)) ?? '';
};
/** One piece fewer of the highest stack from here on. */
function takeOneAway(stage: Stage, index: number): void {
  trouble.value = change(stage, { setUp: withOneFewer(setUpOfStage(step, index)) }) ?? '';
}
/** What lies there when a stage begins: the props of the stage before it. */
const setUpBefore = (index: number): SetUp => setUpOfStage(step, index - 1);
/** A name with a comma in it cannot be told from two stages. */
const inOneLine = computed(() => {
  const read = readStages(stagesAsTyped(step.stages), step, newId);
  return read.ok && read.stages.length === step.stages.length;
});
function type(line: string): string | undefined {
  const read = readStages(line, step, newId);
  return read.ok ? put(read.stages) : read.reason;
}
function add(): void {
  const stage: Stage = {
    id: newId(),
    name: step.stages.length === 0 ? 'first' : 'then',
    length: { kind: 'share', weight: 1 },
    breathSeconds: null,
    position: null,
    setUp: null,
  };
  trouble.value = put([...step.stages, stage]) ?? '';
}
</script>

<template>
  <FieldGroup title="Stages" :says="step.stages.length === 0 ? 'no stages' : ''" add="Add a stage" @add="add">
    <ol>
      <li v-for="(stage, i) in step.stages" :key="stage.id" @focusin="emit('stage', i)">
        <div class="row">
          <span class="quiet">{{ i + 1 }}</span>
          <TextField
            hide-label
            :label="`Name of stage ${i + 1}`"
            :model-value="stage.name"
            :accept="(name) => change(stage, { name })"
          />
          <TimeField
            hide-label
            :label="`Length of stage ${i + 1}`"
            :model-value="stage.length.kind === 'fixed' ? stage.length.seconds : null"
            usual="split the remaining time"
            :breath="stage.breathSeconds ?? step.breathSeconds"
            :accept="setLength(stage)"
          />
          <CheckField
            class="small quiet props"
            label="different props"
            :model-value="stage.setUp !== null"
            @update:model-value="(own) => change(stage, { setUp: own ? setUpBefore(i) : null })"
          />
          <IconButton
            icon="remove"
            :label="`Remove stage ${i + 1}`"
            :size="14"
            @click="put(step.stages.filter((other) => other !== stage))"
          />
        </div>
        <div class="row more small">
          <span />
          <SelectField
            :label="`Position of stage ${i + 1}`"
            hide-label
            :options="positions"
            :model-value="stage.position ?? ''"
            @update:model-value="(id) => setPosition(stage, i, id)"
          />
          <CheckField
            label="in breaths"
            :model-value="stage.breathSeconds !== null"
            @update:model-value="(now) => setInBreaths(stage, now)"
          />
          <button
            v-if="i > 0 && setUpOfStage(step, i).length > 0"
            type="button"
            class="link-button"
            :aria-label="`Take one prop away in stage ${i + 1}`"
            @click="takeOneAway(stage, i)"
          >
            take one away
          </button>
        </div>
        <SetUpRows
          v-if="stage.setUp"
          :title="`Props from “${stage.name}” on`"
          :set-up="stage.setUp"
          :two-sided="twoSided"
          :position="positionAt(i)"
          :at-hand="atHand"
          :accept="(setUp) => change(stage, { setUp })"
        />
      </li>
    </ol>
    <TextField
      v-if="inOneLine"
      label="All stages in one line"
      placeholder="upright 1:00, folded 3:00, turned 3 breaths"
      :model-value="stagesAsTyped(step.stages)"
      :accept="type"
    />
    <p v-if="sum !== undefined && sum !== held" class="small quiet">
      The stages add up to {{ clockOfSeconds(sum) }}, the hold is {{ clockOfSeconds(held) }}.
      <button type="button" class="link-button" @click="asLong">As long as its stages</button>
    </p>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </FieldGroup>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr) 72px minmax(0, auto) auto 26px;
  gap: 8px;
  align-items: center;
  padding: 1px 0;
}
.more {
  grid-template-columns: 14px minmax(0, 1fr) auto auto;
  padding-bottom: 4px;
}
.props {
  display: flex;
  gap: 4px;
  align-items: center;
}
.icon-button {
  width: 26px;
  height: 26px;
}
.row :deep(input[type='text']) {
  min-height: 26px;
}
</style>
