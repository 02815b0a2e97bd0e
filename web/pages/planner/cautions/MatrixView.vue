<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { LEVELS, matrixCounts, openLevel, SESSION_STEP, type Matrix } from '#core/caution';
import type { Plan } from '#core/plan';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';
import ClassMatrix from './ClassMatrix.vue';
import DecideFor from './DecideFor.vue';

/** Everyone by every step, and beside it the selected cell. */
const { plan, matrix } = defineProps<{ plan: Plan; matrix: Matrix }>();

const chosen = ref<{ personId: string; stepId: string } | null>(null);
const cell = computed(() => {
  if (!chosen.value) return undefined;
  const { personId, stepId } = chosen.value;
  const row = matrix.rows.find((one) => one.personId === personId);
  if (stepId === SESSION_STEP) return row?.session;
  return row?.cells[plan.steps.findIndex(({ id }) => id === stepId)];
});
const counts = computed(() => matrixCounts(matrix));
const summary = computed(() => {
  const { people, open, instead } = counts.value;
  const others = instead > 0 ? `; ${instead === 1 ? 'one step is' : `${instead} steps are`} done differently` : '';
  if (open === 0) return `Nothing is left to decide${others}.`;
  return `${people} of ${matrix.rows.length} people have something to look at, ${open} in total${others}.`;
});
/** Opens with the first cell of the most careful open level. */
onMounted(() => {
  const open = matrix.rows.flatMap(({ personId, cells, session }) => [
    ...cells.map((one, i) => ({ personId, stepId: plan.steps[i]?.id ?? '', level: openLevel(one) })),
    { personId, stepId: SESSION_STEP, level: openLevel(session) },
  ]);
  for (const level of [...LEVELS].reverse()) {
    const first = open.find((one) => one.level === level);
    if (!first) continue;
    chosen.value = { personId: first.personId, stepId: first.stepId };
    return;
  }
});
</script>

<template>
  <h2 class="sr-only">Cautions by person and step</h2>
  <p class="said" role="status">{{ summary }}</p>
  <p class="legend small quiet">
    <span><CautionMark level="avoid" /> avoid</span>
    <span><CautionMark level="change" /> change</span>
    <span><CautionMark level="watch" /> watch</span>
    <span><CautionMark level="watch" state="seen" /> acknowledged, no change</span>
    <span><CautionMark level="change" state="instead" /> does something else</span>
  </p>
  <div class="columns">
    <ClassMatrix v-model="chosen" :plan="plan" :matrix="matrix" />
    <aside>
      <DecideFor
        v-if="chosen && cell"
        :key="`${chosen.personId} ${chosen.stepId}`"
        :plan="plan"
        :person-id="chosen.personId"
        :step-id="chosen.stepId"
        :cell="cell"
      />
      <p v-else class="quiet">Choose a cell to see why, and an easier way.</p>
    </aside>
  </div>
</template>

<style scoped>
.said {
  font-size: 17px;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.legend span {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 348px;
  gap: 20px;
  align-items: start;
}
aside {
  min-height: 200px;
}
@media (width < 1060px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
