<script setup lang="ts">
import type { Place } from '#core/cupboard';
import { MAX_FACES, type CustomKind, type CustomSize } from '#core/props';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import LengthField from '../../ui/fields/LengthField.vue';
import TextField from '../../ui/fields/TextField.vue';
import IconButton from '../../ui/IconButton.vue';

/** Kinds of prop a place has of its own, with what each measures on each of its faces. */
const { place, accept } = defineProps<{
  place: Place;
  accept: (name: string, patch: Partial<Place>) => string | undefined;
}>();

const SHAPES = [
  { value: 'box' as const, label: 'edges' },
  { value: 'roll' as const, label: 'round' },
];
const SIZES = [
  { key: 'widthCm' as const, label: 'width' },
  { key: 'depthCm' as const, label: 'depth' },
  { key: 'heightCm' as const, label: 'height' },
  { key: 'giveCm' as const, label: 'sinks by' },
];
const ORDINARY: CustomSize = { shape: 'box', widthCm: 40, depthCm: 30, heightCm: 15, giveCm: 0 };

const put = (own: Place['own']) => accept('change custom props', { own });
const setKind = (index: number, patch: Partial<CustomKind>) =>
  put(place.own.map((one, i) => (i === index ? { ...one, kind: { ...one.kind, ...patch } } : one)));
const facesOf = (index: number): CustomKind['faces'] => place.own[index]?.kind.faces ?? [];
const setFace = (index: number, face: number, patch: Partial<CustomKind['faces'][number]>) =>
  setKind(index, { faces: facesOf(index).map((one, i) => (i === face ? { ...one, ...patch } : one)) });
function add(): void {
  const taken = new Set(place.own.map(({ kind }) => kind.label));
  let label = 'custom prop';
  for (let i = 2; taken.has(label); i++) label = `custom prop ${i}`;
  put([...place.own, { kind: { label, faces: [{ label: 'as it is', size: ORDINARY }] }, count: 1 }]);
}
function addFace(index: number): void {
  const faces = facesOf(index);
  setKind(index, { faces: [...faces, { label: `face ${faces.length + 1}`, size: faces.at(-1)?.size ?? ORDINARY }] });
}
</script>

<template>
  <FieldGroup
    title="Custom props"
    :says="place.own.length === 0 ? 'a bench, a wedge, a stool: anything, with its measurements' : ''"
    add="Add a kind"
    @add="add"
  >
    <ul>
      <li v-for="({ kind }, i) in place.own" :key="i">
        <div class="name">
          <TextField
            hide-label
            :label="`Name of kind ${i + 1}`"
            :model-value="kind.label"
            :accept="(label) => setKind(i, { label: label.trim() })"
          />
          <button v-if="kind.faces.length < MAX_FACES" type="button" class="link-button small" @click="addFace(i)">
            Another way it lies
          </button>
          <IconButton
            icon="remove"
            :label="`Remove ${kind.label}`"
            :size="14"
            @click="put(place.own.filter((_, at) => at !== i))"
          />
        </div>
        <div v-for="(face, j) in kind.faces" :key="j" class="face">
          <TextField
            :hide-label="j > 0"
            label="as it lies"
            :model-value="face.label"
            :accept="(label) => setFace(i, j, { label: label.trim() })"
          />
          <ChoiceField
            label="Shape"
            :options="SHAPES"
            :model-value="face.size.shape"
            @update:model-value="(shape) => setFace(i, j, { size: { ...face.size, shape } })"
          />
          <LengthField
            v-for="{ key, label } in SIZES"
            :key="key"
            :hide-label="j > 0"
            :label="label"
            :model-value="face.size[key]"
            :accept="(value) => setFace(i, j, { size: { ...face.size, [key]: value } })"
          />
          <IconButton
            v-if="kind.faces.length > 1"
            icon="remove"
            :label="`Remove ${face.label}`"
            :size="14"
            @click="setKind(i, { faces: kind.faces.filter((_, at) => at !== j) })"
          />
        </div>
      </li>
    </ul>
  </FieldGroup>
</template>

<style scoped>
li {
  padding: 4px 0 8px;
}
.name,
.face {
  display: flex;
  gap: 8px;
  align-items: end;
}
.face {
  flex-wrap: wrap;
  padding: 2px 0 2px 12px;
}
.name .field {
  flex: 1;
}
.name :deep(input) {
  font-weight: 600;
}
.face .field:first-child {
  flex: 1 1 110px;
}
.icon-button {
  width: 26px;
  height: 30px;
}
</style>
