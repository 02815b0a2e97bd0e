<script setup lang="ts">
import { computed } from 'vue';
import type { PropSolution } from '#core/cupboard';
import { replacePosition, setOtherSetUp, takeSetUp, type Step } from '#core/plan';
import { useEditor } from '../../../state/editor';
import { solutionInWords } from '../../../widgets/props/need-words';

/** What else could be done in a step that needs more than the place has; one press takes it, undo takes it back. */
const { step, solutions } = defineProps<{
  step: Step;
  /** Undefined until they have been worked out. */
  solutions: readonly PropSolution[] | undefined;
}>();

const editor = useEditor();
const ways = computed(() =>
  (solutions ?? []).map((way) => ({ way, says: solutionInWords(way, editor.plan?.groupSize ?? 0) })),
);
function take(way: PropSolution): void {
  editor.seal();
  const { items } = way.setUp;
  if (way.kind === 'setUp') editor.edit(takeSetUp(step.id, items));
  else if (way.kind === 'split') editor.edit(setOtherSetUp(step.id, { people: way.people, setUp: items }));
  else if (editor.plan) editor.edit(replacePosition(step.id, way.position, items, editor.plan.approach));
  editor.seal();
}
</script>

<template>
  <ul v-if="ways.length > 0" aria-label="Solutions">
    <li v-for="{ way, says } in ways" :key="says">
      <button type="button" class="link-button small" @click="take(way)">{{ says }}</button>
    </li>
  </ul>
  <p v-else-if="solutions" class="small quiet">
    Nothing in the library works with what is available. Bring what is missing, or make the group smaller.
  </p>
</template>

<style scoped>
.link-button {
  padding: 2px 0;
  text-align: left;
}
</style>
