<script setup lang="ts">
import { computed } from 'vue';
import { makeUpInWords, wayEdit, wayInWords, type Fit, type FitOptions, type Way } from '#core/fit';
import { several, type Plan } from '#core/plan';
import { useEditor } from '../../../state/editor';

/** Why a plan cannot be fitted, and what would help: single changes, or the cheapest pair. */
const { plan, fit, options } = defineProps<{
  plan: Plan;
  fit: Extract<Fit, { kind: 'tooLong' | 'tooShort' }>;
  options: FitOptions;
}>();
const emit = defineEmits<{ change: [options: FitOptions] }>();
const editor = useEditor();

const SHOWN = 8;
const shown = computed(() => fit.ways.slice(0, SHOWN));
const pair = computed(() => (fit.kind === 'tooLong' ? fit.pair : null));

/** Takes ways: those of the plan as one step of undo, those of what was asked as what is asked now. */
function take(ways: readonly Way[]): void {
  let adjusted = options;
  const edits = ways.flatMap((way) => {
    if (way.kind === 'floor') adjusted = { ...adjusted, lastRestSeconds: way.to };
    if (way.kind === 'talk') adjusted = { ...adjusted, talkSeconds: way.to };
    return wayEdit(way, plan) ?? [];
  });
  if (adjusted !== options) emit('change', adjusted);
  if (edits.length > 0) editor.edit(several(edits));
}
</script>

<template>
  <section class="ways" aria-label="What would make it fit">
    <p class="quiet">{{ makeUpInWords(fit.madeUpOf, fit.kind === 'tooLong' ? 'shortest' : 'longest') }}</p>
    <template v-if="fit.ways.length > 0">
      <h3>{{ fit.kind === 'tooLong' ? 'Any one of these makes room' : 'Any one of these fills the time' }}</h3>
      <ul>
        <li v-for="(way, i) in shown" :key="i">
          <span>{{ wayInWords(way) }}</span>
          <button type="button" class="link-button" @click="take([way])">Do this</button>
        </li>
      </ul>
      <p v-if="fit.ways.length > SHOWN" class="small quiet">
        {{ fit.ways.length - SHOWN }} more would work too, at a greater cost.
      </p>
    </template>
    <template v-else-if="pair">
      <h3>No single change is enough; these two together cost the least practice time</h3>
      <ul>
        <li v-for="(way, i) in pair" :key="i">
          <span>{{ wayInWords(way) }}</span>
          <button v-if="i === 1" type="button" class="link-button" @click="take(pair)">Do both</button>
        </li>
      </ul>
    </template>
    <p v-else>No one or two changes are enough. Take steps out, or give it more time.</p>
  </section>
</template>

<style scoped>
.ways {
  max-width: 860px;
}
h3 {
  margin: 10px 0 4px;
  font: 600 15px/20px var(--text);
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 16px;
  justify-content: space-between;
  align-items: center;
  min-height: 33px;
  border-bottom: 1px solid var(--line);
}
</style>
