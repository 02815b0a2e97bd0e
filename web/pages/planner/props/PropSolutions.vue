<script setup lang="ts">
import { computed } from 'vue';
import Button from 'primevue/button';
import type { PropSolution } from '#core/cupboard';
import { setUpInWords } from '#core/props';
import { replacePosition, setOtherSetUp, takeSetUp, type Step } from '#core/plan';
import { useEditor } from '../../../state/editor';
import PositionFigure from '../../../widgets/figures/PositionFigure.vue';
import { useLibrary } from '../../../state/library';
import { solutionInWords } from '../../../widgets/props/need-words';

/** What else could be done in a step that needs more than the place has; one press takes it, undo takes it back. */
const { step, solutions } = defineProps<{
  step: Step;
  /** Undefined until they have been worked out. */
  solutions: readonly PropSolution[] | undefined;
}>();

const editor = useEditor();
const library = useLibrary();
const own = computed(() => (step.kind === 'hold' ? library.all.position(step.position) : undefined));
const cards = computed(() => {
  const all = editor.plan?.groupSize ?? 0;
  return (solutions ?? []).map((way) => ({
    way,
    says: solutionInWords(way, all),
    position: way.kind === 'position' ? way.position : own.value,
    title: way.kind === 'position' ? `${way.position.names.english}, ${way.setUp.name}` : way.setUp.name,
    whom:
      way.kind === 'split'
        ? `for ${way.people} of ${all}; as it is for the other ${all - way.people}`
        : way.kind === 'position'
          ? `another position, for all ${all}`
          : `another set-up, for all ${all}`,
    props: setUpInWords(way.setUp.items) || 'no props',
  }));
});
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
  <ul v-if="cards.length > 0" aria-label="Solutions">
    <li v-for="{ way, says, position, title, whom, props } in cards" :key="says">
      <span v-if="position" class="picture"
        ><PositionFigure :position="position" :set-up="way.setUp.items" label="" :least="1500"
      /></span>
      <span class="words">
        <strong>{{ title }}</strong>
        <span class="small">{{ whom }}</span>
        <span class="small quiet">{{ props }}</span>
      </span>
      <Button size="small" outlined label="Apply" :aria-label="`Apply: ${says}`" @click="take(way)" />
    </li>
  </ul>
  <p v-else-if="solutions" class="small quiet">
    Nothing in the library works with what is available. Bring what is missing, or make the group smaller.
  </p>
</template>

<style scoped>
ul {
  display: grid;
  gap: 6px;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 10px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--sheet);
}
.picture {
  flex: none;
  width: 84px;
  height: 46px;
}
.words {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-width: 0;
}
</style>
