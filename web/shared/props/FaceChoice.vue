<script setup lang="ts">
import { propKind, type OwnFace, type PropKind } from '#core/props';
import { computed } from 'vue';
import PropGlyph from './PropGlyph.vue';

/** The fold or face a prop lies in, chosen by small drawings of its end. */
const {
  kind,
  state,
  faces = [],
} = defineProps<{
  kind: PropKind;
  state: string;
  /** The faces of a kind of one's own. */
  faces?: readonly OwnFace[];
}>();
const emit = defineEmits<{ choose: [state: string, face: OwnFace | undefined] }>();

const choices = computed(() => [
  ...Object.entries(propKind(kind).states).map(([name, { label }]) => ({ name, label, face: undefined })),
  ...faces.map((face) => ({ name: face.label, label: face.label, face })),
]);
function onKey(event: KeyboardEvent): void {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  const at = choices.value.findIndex(({ name }) => name === state);
  const next = choices.value[(at + by + choices.value.length) % choices.value.length];
  if (next) emit('choose', next.name, next.face);
  const group = event.currentTarget as HTMLElement;
  requestAnimationFrame(() => group.querySelector<HTMLElement>('[aria-checked="true"]')?.focus());
}
</script>

<template>
  <span class="faces" role="radiogroup" aria-label="Fold or face" @keydown="onKey">
    <button
      v-for="{ name, label, face } in choices"
      :key="name"
      type="button"
      role="radio"
      :aria-checked="name === state"
      :aria-label="label"
      :title="label"
      :tabindex="name === state ? 0 : -1"
      @click="emit('choose', name, face)"
    >
      <PropGlyph :piece="{ kind, state: name, size: face?.size }" :scale="0.85" :px="30" />
    </button>
  </span>
</template>

<style scoped>
.faces {
  display: inline-flex;
}
button {
  padding: 4px 3px 3px;
  border: 1px solid transparent;
  border-radius: 3px;
  background: none;
  cursor: pointer;
}
button:hover {
  background: var(--well);
}
button[aria-checked='true'] {
  border-color: var(--ink);
}
@media (pointer: coarse) {
  button {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
