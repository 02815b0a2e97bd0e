<script setup lang="ts">
import Slider from 'primevue/slider';
import { computed, ref, watch } from 'vue';
import {
  isAsSet,
  JOINT_LIMITS,
  jointOf,
  jointRefusal,
  LET_DOWN,
  letsDown,
  withJoint,
  withLetDown,
  type Figure,
  type JointName,
  type LetDown,
} from '#core/body';
import type { Position } from '#core/catalogue';
import { placedProps, type SetUp } from '#core/props';
import { figureAsItLies } from '../../../widgets/figures/figures';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import { useEntryField } from './use-entry';
import CheckField from '../../../ui/fields/CheckField.vue';
import FoldedPart from '../../../ui/FoldedPart.vue';

/** How the body lies, joint by joint, and which parts are lowered to the floor until they rest on something. */
const { entry, items } = defineProps<{ entry: Position; items: SetUp }>();
const emit = defineEmits<{ moving: [boolean] }>();

const { set } = useEntryField();
const GROUPS: readonly { title: string; joints: readonly JointName[]; sided: boolean }[] = [
  { title: 'Legs', joints: ['hip', 'hipOpen', 'hipTurn', 'knee', 'footPoint'], sided: true },
  { title: 'Arms', joints: ['shoulder', 'shoulderOpen', 'shoulderTurn', 'elbow'], sided: true },
  { title: 'Pelvis', joints: ['pitch', 'roll'], sided: false },
  {
    title: 'Back',
    joints: ['lumbar', 'lumbarLean', 'lumbarTurn', 'thoracic', 'thoracicLean', 'thoracicTurn'],
    sided: false,
  },
  { title: 'Neck and head', joints: ['neck', 'neckLean', 'neckTurn', 'head', 'headTurn'], sided: false },
];
const SIDES = [
  { value: 'both', label: 'Both' },
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
] as const;
const LET_DOWN_WORDS: Record<LetDown, string> = { head: 'the head', arms: 'the arms', legs: 'the legs' };

const figure = computed(() => entry.figure);
const asSet = computed(() => isAsSet(figure.value));
const down = computed(() => letsDown(figure.value));
const side = ref<'both' | 'left' | 'right'>('both');
/** Both together, where they are alike; else the left by itself, so that one slider does not undo the difference. */
const alike = (): boolean =>
  (['hip', 'knee', 'shoulder', 'elbow'] as const).every(
    (joint) => jointOf(figure.value.pose, joint, 'left') === jointOf(figure.value.pose, joint, 'right'),
  );
watch(asSet, (now) => now && (side.value = alike() ? 'both' : 'left'), { immediate: true });
const trouble = ref('');

const put = (next: Figure, merge?: string): void => void set('figure')(next, merge);
const valueOf = (joint: JointName): number =>
  Math.round(jointOf(figure.value.pose, joint, side.value === 'right' ? 'right' : 'left') ?? 0);
function setJoint(joint: JointName, sided: boolean, degrees: number): string | undefined {
  const refused = jointRefusal(joint, degrees);
  if (refused) return refused;
  put(withJoint(figure.value, joint, sided ? side.value : 'both', degrees), `${joint} ${side.value}`);
  return undefined;
}
function slide(joint: JointName, sided: boolean, degrees: number | number[]): void {
  emit('moving', true);
  setJoint(joint, sided, Number(degrees));
}
function toggleDown(part: LetDown): void {
  const parts = LET_DOWN.filter((one) => (one === part ? !down.value.includes(one) : down.value.includes(one)));
  put(withLetDown(figure.value, parts));
}
async function takeAsItLies(): Promise<void> {
  try {
    put(await figureAsItLies(figure.value, placedProps(items, 'left')));
    trouble.value = '';
  } catch {
    trouble.value = 'The joints of this figure cannot be edited.';
  }
}
</script>

<template>
  <section aria-label="How the body lies">
    <div v-if="!asSet" class="own-way">
      <p class="small quiet">
        This figure settles by itself for every body. To change it, fix it as it lies now and set its joints.
      </p>
      <button type="button" class="link-button" @click="takeAsItLies">Set its joints</button>
      <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
    </div>
    <template v-else>
      <div class="line">
        <span class="small quiet">Legs and arms</span>
        <ChoiceField v-model="side" :options="SIDES" label="Legs and arms to set" />
        <span class="small quiet">lowered to the floor</span>
        <CheckField
          v-for="part in LET_DOWN"
          :key="part"
          class="small"
          :label="LET_DOWN_WORDS[part]"
          :model-value="down.includes(part)"
          @update:model-value="toggleDown(part)"
        />
      </div>
      <FoldedPart v-for="({ title, joints, sided }, g) in GROUPS" :key="title" :title="title" :open="g === 0">
        <div v-for="joint in joints" :key="joint" class="joint">
          <span :id="`joint-${joint}`" class="small">{{ JOINT_LIMITS[joint]!.label }}</span>
          <Slider
            :model-value="valueOf(joint)"
            :min="JOINT_LIMITS[joint]!.least"
            :max="JOINT_LIMITS[joint]!.most"
            :aria-labelledby="`joint-${joint}`"
            @update:model-value="slide(joint, sided, $event)"
            @slideend="emit('moving', false)"
          />
          <NumberField
            hide-label
            unit="°"
            :label="`${JOINT_LIMITS[joint]!.label}, degrees`"
            :step="5"
            :model-value="valueOf(joint)"
            :accept="(degrees) => setJoint(joint, sided, degrees)"
          />
        </div>
      </FoldedPart>
    </template>
  </section>
</template>

<style scoped>
.own-way {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
.line label {
  display: flex;
  gap: 4px;
  align-items: center;
  min-height: 26px;
}
.joint {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) 84px;
  gap: 14px;
  align-items: center;
  min-height: 30px;
}
.joint :deep(input) {
  width: 56px;
  height: 26px;
}
.joint :deep(.field-reason) {
  right: 0;
  left: auto;
}
@media (width < 640px) {
  .joint {
    grid-template-columns: 110px minmax(0, 1fr) 84px;
    gap: 10px;
  }
}
</style>
