<script setup lang="ts">
import { computed } from 'vue';
import { propKind, type CustomFace, type PropKind } from '#core/props';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import PropGlyph from './PropGlyph.vue';

/** The fold or face a prop lies in, chosen by small drawings of its end. */
const {
  kind,
  state,
  faces = [],
} = defineProps<{
  kind: PropKind;
  state: string;
  /** The faces of a custom kind. */
  faces?: readonly CustomFace[];
}>();
const emit = defineEmits<{ choose: [state: string, face: CustomFace | undefined] }>();

const choices = computed(() => [
  ...Object.entries(propKind(kind).states).map(([value, { label }]) => ({ value, label })),
  ...faces.map(({ label }) => ({ value: label, label })),
]);
const faceOf = (name: string): CustomFace | undefined => faces.find(({ label }) => label === name);
</script>

<template>
  <ChoiceField
    label="Fold or face"
    :options="choices"
    :model-value="state"
    @update:model-value="(name) => emit('choose', name, faceOf(name))"
  >
    <template #default="{ value }">
      <PropGlyph :piece="{ kind, state: value, size: faceOf(value)?.size }" :scale="0.85" :px="30" />
    </template>
  </ChoiceField>
</template>
