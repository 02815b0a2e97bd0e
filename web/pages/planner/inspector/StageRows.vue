<script setup lang="ts">
import { ref } from 'vue';
import type { Position } from '#core/catalogue';
import { setHold, setUpOfStage, type HoldStep, type Stage } from '#core/plan';
import type { Available, SetUp } from '#core/props';
import IconButton from '../../../ui/IconButton.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { newId } from '../../../client/new-id';
import { useEdit } from '../use-edit';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import CheckField from '../../../ui/fields/CheckField.vue';

/** Parts of one hold, each with its length (or a share of the remaining time) and, where wanted, different props. */
const { step, twoSided, position, atHand } = defineProps<{
  step: HoldStep;
  twoSided: boolean;
  position?: Position | undefined;
  atHand?: Available | undefined;
}>();

const emit = defineEmits<{
  /** This stage, from 0, is about to be changed. */
  stage: [index: number];
}>();

const edit = useEdit();
const trouble = ref('');
const put = (stages: Stage[]): string | undefined => edit(setHold(step.id, { stages }));
const change = (stage: Stage, patch: Partial<Stage>): string | undefined =>
  put(step.stages.map((other) => (other === stage ? { ...stage, ...patch } : other)));
const setLength = (stage: Stage) => (seconds: number | null) =>
  change(stage, { length: seconds === null ? { kind: 'share', weight: 1 } : { kind: 'fixed', seconds } });
/** What lies there when a stage begins: the props of the stage before it. */
const setUpBefore = (index: number): SetUp => setUpOfStage(step, index - 1);
function add(): void {
  const stage: Stage = {
    id: newId(),
    name: step.stages.length === 0 ? 'first' : 'then',
    length: { kind: 'share', weight: 1 },
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
            :breath="step.breathSeconds"
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
        <SetUpRows
          v-if="stage.setUp"
          :title="`Props from “${stage.name}” on`"
          :set-up="stage.setUp"
          :two-sided="twoSided"
          :position="position"
          :at-hand="atHand"
          :accept="(setUp) => change(stage, { setUp })"
        />
      </li>
    </ol>
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
