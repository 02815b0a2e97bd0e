<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, shallowRef, watch } from 'vue';
import type { CatchUp } from '#core/run';
import { clockOfMs } from '#core/time';
import { clockTime } from '../../../ui/dates';
import type { Session } from '../use-session';

/** What is to come, refitted to end in time: shown before it is taken, with what cannot be saved. */
const { session } = defineProps<{ session: Session }>();
const visible = defineModel<boolean>('visible', { required: true });

const fit = shallowRef<CatchUp>();
watch(visible, (now) => {
  if (now) fit.value = session.toEndInTime();
});
const rows = computed(() =>
  (fit.value?.changes ?? []).map(({ stepIndex, sides, fromMs, toMs, rounds }) => ({
    stepIndex,
    name: session.plan.steps[stepIndex]?.name ?? '',
    sides: rounds ? `${rounds.to} of ${rounds.from} rounds to come` : sides === 2 ? 'each side' : '',
    from: clockOfMs(fromMs),
    to: clockOfMs(toMs),
  })),
);
const NEAR_MS = 1000;
const says = computed(() => {
  if (!fit.value) return '';
  const { endMs, offMs } = fit.value;
  if (Math.abs(offMs) <= NEAR_MS) return `It would then end at ${clockTime(endMs)}, on time.`;
  return offMs > 0
    ? `Even so it would end at ${clockTime(endMs)}, ${clockOfMs(offMs)} late: the ranges of the holds allow no more. Skip a step, or end one by hand.`
    : `It would then end at ${clockTime(endMs)}, ${clockOfMs(-offMs)} early: the ranges of the holds allow no more.`;
});
function take(): void {
  // The clock has gone on while it was looked at.
  const { lengths } = session.toEndInTime();
  if (lengths.length > 0) session.happen({ kind: 'refitted', lengths });
  visible.value = false;
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Finish on time" :style="{ width: '560px' }">
    <p v-if="rows.length === 0">Nothing still to come can be made longer or shorter.</p>
    <table v-else class="figures">
      <thead>
        <tr>
          <th scope="col">To come</th>
          <th scope="col" class="number">Now</th>
          <th scope="col" class="number">Then</th>
          <th><span class="sr-only">Sides</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <th scope="row">{{ row.stepIndex + 1 }} {{ row.name }}</th>
          <td class="number">{{ row.from }}</td>
          <td class="number strong">{{ row.to }}</td>
          <td class="quiet">{{ row.sides }}</td>
        </tr>
      </tbody>
    </table>
    <p class="says strong">{{ says }}</p>
    <template #footer>
      <Button label="Not now" outlined @click="visible = false" />
      <Button v-if="rows.length > 0" label="Apply" autofocus @click="take" />
    </template>
  </Dialog>
</template>

<style scoped>
.says {
  margin-top: 12px;
}
</style>
