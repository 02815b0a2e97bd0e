<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Position } from '#core/catalogue';
import { MEASURED_PLACES } from '#core/heights';
import {
  isCustomKind,
  customKindLabel,
  PROP_KIND_NAMES,
  placeInWords,
  placesFor,
  propKind,
  rowFor,
  stackHeightCm,
  type Available,
  type CustomFace,
  type PropKind,
  type PropPlace,
  type SetUp,
  type SetUpRow,
  type Stack,
} from '#core/props';
import NumberField from '../../ui/fields/NumberField.vue';
import TextField from '../../ui/fields/TextField.vue';
import IconButton from '../../ui/IconButton.vue';
import { usePlaces } from '../../state/places';
import FaceChoice from './FaceChoice.vue';
import SuggestedHeight from './SuggestedHeight.vue';
import LieChoice from './LieChoice.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import CheckField from '../../ui/fields/CheckField.vue';
import LengthField from '../../ui/fields/LengthField.vue';
import { lengthInWords } from '../../ui/lengths';

/**
 * One row of a set-up: how many of which prop, in which fold, how it lies, where, on which side, and how high it should
 * be.
 */
const { row, setUp, twoSided, position, atHand, withWhy, accept } = defineProps<{
  row: SetUpRow;
  setUp: SetUp;
  twoSided: boolean;
  /** The position whose figure gives the height; none if there is no figure. */
  position: Position | undefined;
  atHand: Available | undefined;
  withWhy: boolean;
  /** Takes the row as it should be; gives why not. */
  accept: (row: SetUpRow) => string | undefined;
}>();
const emit = defineEmits<{ remove: []; stack: [Stack] }>();

const places = usePlaces();
void places.ready();
const trouble = ref('');
const asks = ref(false);
const more = ref(false);

const change = (patch: Partial<SetUpRow>): void => {
  trouble.value = accept({ ...row, ...patch }) ?? '';
};
const label = computed(() => propKind(row.kind).label);
const facesOf = (kind: PropKind): CustomFace[] =>
  places.ownKinds.find((one) => customKindLabel(one) === kind)?.faces ??
  (kind === row.kind && row.size ? [{ label: row.state, size: row.size }] : []);
const ownKinds = computed(() => {
  const names = places.ownKinds.map(customKindLabel);
  return isCustomKind(row.kind) && !names.includes(row.kind) ? [...names, row.kind] : names;
});
function changeKind(kind: PropKind): void {
  const fresh = rowFor(kind, row.place, row.side, row.id, facesOf(kind)[0]);
  const { lie, place, side, count, mirror, optional, why } = row;
  trouble.value = accept({ ...fresh, lie, place, side, count, mirror, optional, why }) ?? '';
}
function changeState(state: string, face: CustomFace | undefined): void {
  // Only a loop has a length of loop.
  change({ state, loopCm: undefined, ...(face && { size: face.size }) });
}
function changePlace(place: PropPlace): void {
  // What lies along the sides lies along both, if nothing else is chosen.
  change({ place, ...(place === 'alongSides' && row.side === 'centre' && { side: 'each' }) });
}
const height = computed(() => {
  const cm = stackHeightCm(row, row.count);
  return cm >= 3 ? lengthInWords(cm) : '';
});
const hasFaces = computed(() => Object.keys(propKind(row.kind).states).length + facesOf(row.kind).length > 1);
const measured = computed(() => position !== undefined && MEASURED_PLACES.includes(row.place));
const isLoop = computed(() => row.kind === 'strap' && row.state === 'loop');
const USUAL_LOOP_CM = 120;
const USUAL_WALL_CM = 30;
const placeChoices = computed(() =>
  placesFor(row, row.place).map((place) => ({ value: place, label: placeInWords(row, place) })),
);
const PROP_SIDES = [
  { value: 'centre', label: 'middle' },
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'each', label: 'each side' },
] as const;
const asChoices = (kinds: readonly PropKind[]) => kinds.map((kind) => ({ value: kind, label: propKind(kind).label }));
const kinds = computed(() => [
  { label: 'Props', items: asChoices(PROP_KIND_NAMES) },
  ...(ownKinds.value.length > 0 ? [{ label: 'Custom', items: asChoices(ownKinds.value) }] : []),
]);
</script>

<template>
  <li :title="row.why || undefined">
    <NumberField
      class="count"
      hide-label
      :label="`How many, ${label}`"
      :model-value="row.count"
      :accept="(count) => accept({ ...row, count })"
    />
    <SelectField
      class="kind"
      hide-label
      label="Prop"
      :groups="kinds"
      :model-value="row.kind"
      @update:model-value="(kind) => changeKind(kind)"
    />
    <FaceChoice v-if="hasFaces" :kind="row.kind" :state="row.state" :faces="facesOf(row.kind)" @choose="changeState" />
    <span v-else />
    <span class="small quiet cm">{{ height }}</span>
    <IconButton icon="remove" :label="`Remove ${label}`" :size="14" @click="emit('remove')" />
    <div class="where">
      <SelectField
        class="place"
        hide-label
        label="Place"
        :options="placeChoices"
        :model-value="row.place"
        @update:model-value="changePlace"
      />
      <LieChoice :model-value="row.lie" @update:model-value="(lie) => change({ lie })" />
      <SelectField
        hide-label
        :label="twoSided ? 'Side while the left side is held' : 'Side'"
        :options="PROP_SIDES"
        :model-value="row.side"
        @update:model-value="(side) => change({ side })"
      />
      <CheckField
        v-if="twoSided && (row.side === 'left' || row.side === 'right')"
        class="small quiet"
        label="moves to the other side"
        :model-value="row.mirror"
        @update:model-value="(mirror) => change({ mirror })"
      />
      <button v-if="measured" type="button" class="link-button small ask" :aria-expanded="asks" @click="asks = !asks">
        suggested height
      </button>
      <button
        v-if="!withWhy"
        type="button"
        class="link-button small"
        :class="{ ask: !measured }"
        :aria-expanded="more"
        @click="more = !more"
      >
        {{ row.optional ? 'optional' : 'why' }}
      </button>
    </div>
    <div v-if="isLoop" class="loop small">
      <CheckField
        label="a loop of"
        :model-value="row.loopCm !== undefined"
        @update:model-value="(measured) => change({ loopCm: measured ? USUAL_LOOP_CM : undefined })"
      />
      <LengthField
        v-if="row.loopCm !== undefined"
        hide-label
        label="Length of the loop"
        after="round"
        :step="5"
        :model-value="row.loopCm"
        :accept="(loopCm) => accept({ ...row, loopCm })"
      />
      <span v-else class="quiet">any length</span>
    </div>
    <div v-if="row.kind === 'wall'" class="loop small">
      <CheckField
        label="about"
        :model-value="row.wallCm !== undefined"
        @update:model-value="(given) => change({ wallCm: given ? USUAL_WALL_CM : undefined })"
      />
      <LengthField
        v-if="row.wallCm !== undefined"
        hide-label
        label="Distance from the wall"
        after="from the wall"
        :step="5"
        :model-value="row.wallCm"
        :accept="(wallCm) => accept({ ...row, wallCm })"
      />
      <span v-else class="quiet">a distance from the wall</span>
    </div>
    <SuggestedHeight
      v-if="asks && measured && position"
      class="wide"
      :position="position"
      :set-up="setUp"
      :row="row"
      :at-hand="atHand"
      @take="emit('stack', $event)"
    />
    <div v-if="withWhy || more" class="why">
      <TextField
        hide-label
        :label="`Why, ${label}`"
        placeholder="Why it lies there"
        :model-value="row.why"
        :accept="(why) => accept({ ...row, why })"
      />
      <CheckField
        class="small quiet"
        :model-value="row.optional"
        @update:model-value="(optional) => change({ optional })"
        ><span class="sr-only">{{ label }} </span>optional</CheckField
      >
    </div>
    <p v-if="trouble" class="caution small wide" role="alert">{{ trouble }}</p>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 40px minmax(96px, 1fr) minmax(0, auto) 44px 26px;
  gap: 0 8px;
  align-items: center;
  padding: 3px 0;
}
.where {
  display: flex;
  flex-wrap: wrap;
  grid-column: 2 / -1;
  gap: 2px 6px;
  align-items: center;
}
.wide,
.loop {
  grid-column: 2 / -1;
}
.loop {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 2px 0;
}
.why {
  display: grid;
  grid-column: 2 / -1;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  padding: 2px 0 6px;
}
.why :deep(input[type='text']) {
  min-height: 26px;
}
.ask {
  margin-left: auto;
  padding: 2px 0;
}
li > .select {
  min-width: 0;
}
.kind :deep(.p-select-label) {
  font-weight: 600;
}
.cm {
  text-align: right;
}
.icon-button {
  width: 26px;
  height: 26px;
}
.mirror {
  display: flex;
  gap: 4px;
  align-items: center;
  white-space: nowrap;
}
.count :deep(input) {
  width: 100%;
}
</style>
