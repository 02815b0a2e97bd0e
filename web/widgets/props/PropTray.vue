<script setup lang="ts">
import { computed } from 'vue';
import {
  isKnownKind,
  customKindLabel,
  PROP_KIND_NAMES,
  propKind,
  rowFor,
  type Available,
  type PropKind,
} from '#core/props';
import { usePlaces } from '../../state/places';
import PropGlyph from './PropGlyph.vue';
import { usePropDrag, type HeldProp, type LiftedProp } from './use-prop-drag';

/** Props to take in hand: dragged onto the figure, or pressed to be added as a row. */
const { stock } = defineProps<{
  /** What the place has; all kinds are shown where no place is chosen. */
  stock: Available | undefined;
}>();
const emit = defineEmits<{ over: [LiftedProp]; drop: [HeldProp]; back: []; press: [HeldProp] }>();

const places = usePlaces();
const { lifted, lift } = usePropDrag({
  over: (prop) => emit('over', prop),
  drop: (held) => emit('drop', held),
  back: () => emit('back'),
  press: (held) => emit('press', held),
});
const isThere = (kind: PropKind): boolean => stock === undefined || propKind(kind).fixture || (stock[kind] ?? 0) > 0;
const tray = computed(() => [
  ...PROP_KIND_NAMES.filter(isThere).map((kind) => ({
    kind,
    state: rowFor(kind, 'head', 'centre', '').state,
    face: undefined,
  })),
  ...places.ownKinds
    .filter((own) => isThere(customKindLabel(own)))
    .map((own) => ({ kind: customKindLabel(own), state: own.faces[0]?.label ?? '', face: own.faces[0] })),
]);
const pieceOf = ({ kind, face }: HeldProp) => ({
  kind,
  state: face?.label ?? (isKnownKind(kind) ? rowFor(kind, 'head', 'centre', '').state : ''),
  size: face?.size,
});
</script>

<template>
  <div class="tray" role="group" aria-label="Props: drag one onto the figure, or press it to add a row">
    <button
      v-for="{ kind, state, face } in tray"
      :key="kind"
      type="button"
      :aria-label="`Add ${propKind(kind).label}`"
      @pointerdown="lift({ kind, face }, $event)"
      @keydown.enter.prevent="emit('press', { kind, face })"
      @keydown.space.prevent="emit('press', { kind, face })"
    >
      <PropGlyph :piece="{ kind, state, size: face?.size }" :scale="0.8" :px="34" />
      <span aria-hidden="true">{{ propKind(kind).label }}</span>
    </button>
  </div>
  <div v-if="lifted" class="lifted" :style="{ left: `${lifted.x}px`, top: `${lifted.y}px` }" aria-hidden="true">
    <PropGlyph :piece="pieceOf(lifted)" />
  </div>
</template>

<style scoped>
.tray {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(74px, 1fr));
  margin: 2px -3px;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  padding: 3px;
  font-size: 12px;
  line-height: 14px;
  border: 1px solid transparent;
  border-radius: 3px;
  background: none;
  cursor: grab;
  touch-action: none;
}
button:hover {
  background: var(--well);
}
.lifted {
  position: fixed;
  z-index: 20;
  pointer-events: none;
  transform: translate(-50%, -100%);
}
@media (pointer: coarse) {
  button {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
