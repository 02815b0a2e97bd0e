<script setup lang="ts">
import { ref } from 'vue';
import type { BreathPractice, BreathSet } from '#core/breath';
import FoldedPart from '../../ui/FoldedPart.vue';
import QuickAgain from './QuickAgain.vue';
import QuickCopies from './QuickCopies.vue';
import QuickPlaces from './QuickPlaces.vue';

/** Several sets at once: a place each, the same again, or copies that change by one rule. Each is one edit. */
const { practice, accept } = defineProps<{
  practice: BreathPractice;
  /** Takes the changed sets; returns the reason if they are refused. */
  accept: (sets: BreathSet[]) => string | undefined;
}>();

const last = ref(1);
function add(sets: BreathSet[], instead = false): string | undefined {
  const refused = accept(instead ? sets : [...practice.sets, ...sets]);
  if (refused === undefined) last.value = sets.length;
  return refused;
}
</script>

<template>
  <FoldedPart title="Several sets at once" class="small">
    <div class="ways">
      <QuickPlaces :practice="practice" :accept="add" />
      <QuickAgain :practice="practice" :last="last" :accept="add" />
      <QuickCopies :practice="practice" :accept="add" />
    </div>
  </FoldedPart>
</template>

<style scoped>
.ways :deep(.quick) {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: flex-end;
  padding: 6px 0 10px;
  border-bottom: 1px solid var(--line);
}
.ways :deep(.quick > .strong) {
  flex-basis: 100%;
}
.ways :deep(.quick > .small.caution) {
  flex-basis: 100%;
}
.ways :deep(.buttons) {
  display: flex;
  gap: 6px;
}
</style>
