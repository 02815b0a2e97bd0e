<script setup lang="ts">
import { computed, watch } from 'vue';
import type { PropSolution } from '#core/cupboard';
import { replacePosition, setOtherSetUp, takeSetUp, type Step } from '#core/plan';
import { useDemand } from '../../../state/demand';
import { useEditor } from '../../../state/editor';
import { useLibrary } from '../../../state/library';
import { useJob } from '../../../widgets/jobs/use-job';
import { solutionInWords } from '../../../widgets/props/need-words';

/** What else could be done in a step that needs more than the place has; one press takes it, undo takes it back. */
const { step } = defineProps<{ step: Step }>();

const editor = useEditor();
const demand = useDemand();
const library = useLibrary();
const { answer, trouble, ask } = useJob('propSolutions');
watch(
  [() => editor.plan, () => demand.available, () => step.id],
  () => {
    const [{ plan }, { available, atWall }] = [editor, demand];
    if (!plan || !available) return;
    void ask(plan, library.all, { stepId: step.id, candidates: library.positions, available, atWall });
  },
  { immediate: true },
);
const ways = computed(() =>
  (answer.value ?? []).map((way) => ({ way, says: solutionInWords(way, editor.plan?.groupSize ?? 0) })),
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
  <ul v-if="ways.length > 0" aria-label="Ways out">
    <li v-for="{ way, says } in ways" :key="says">
      <button type="button" class="link-button small" @click="take(way)">{{ says }}</button>
    </li>
  </ul>
  <p v-else-if="trouble" class="small caution" role="alert">{{ trouble }}</p>
  <p v-else-if="answer" class="small quiet">
    Nothing in the library works with what is there. Bring what is short, or take a smaller group.
  </p>
</template>

<style scoped>
.link-button {
  padding: 2px 0;
  text-align: left;
}
</style>
