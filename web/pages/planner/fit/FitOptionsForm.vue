<script setup lang="ts">
import { computed } from 'vue';
import { classEndsAt, FIT_GRIDS, lastRestIndex, targetLength, usualFitOptions, type FitOptions } from '#core/fit';
import type { Plan } from '#core/plan';
import type { Seconds } from '#core/numbers';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import ClockField from '../../../ui/fields/ClockField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useLibrary } from '../../../state/library';

/** The fit options: a length or an end time, the grid, and what is reserved. */
const { plan, options } = defineProps<{ plan: Plan; options: FitOptions }>();
const emit = defineEmits<{ change: [options: FitOptions | null] }>();
const library = useLibrary();

const KINDS = [
  { value: 'length' as const, label: 'a length' },
  { value: 'endsAt' as const, label: 'an end time' },
];
const GRIDS = FIT_GRIDS.filter((grid) => grid > 1).map((grid) => ({ value: String(grid), label: `${grid} s` }));

/** Accepts a change; returns the reason if it gives no length. */
function put(patch: Partial<FitOptions>): string | undefined {
  const next = { ...options, ...patch };
  const length = targetLength(plan, next);
  if (!length.ok) return length.issues[0]?.reason;
  emit('change', next);
  return undefined;
}
const kind = computed({
  get: () => options.target.kind,
  set: (value) =>
    emit('change', {
      ...options,
      target:
        value === 'length'
          ? { kind: 'length', seconds: plan.classSeconds }
          : { kind: 'endsAt', time: classEndsAt(plan) },
    }),
});
const grid = computed({
  get: () => String(options.gridSeconds),
  set: (value) => void put({ gridSeconds: Number(value) as FitOptions['gridSeconds'] }),
});
const hasLastRest = computed(() => lastRestIndex(plan, library.all) >= 0);
const asUsual = computed(() => JSON.stringify(options) === JSON.stringify(usualFitOptions(plan, library.all)));
const setHour = (time: string) => put({ target: { kind: 'endsAt', time } });
</script>

<template>
  <section class="asked" aria-label="Fit options">
    <span class="group">
      <span class="quiet">Fit to</span>
      <ChoiceField v-model="kind" label="Fit to" :options="KINDS" />
      <TimeField
        v-if="options.target.kind === 'length'"
        label="Length"
        hide-label
        bare="classMinutes"
        :model-value="options.target.seconds"
        :accept="(seconds: Seconds | null) => put({ target: { kind: 'length', seconds: seconds ?? 0 } })"
      />
      <ClockField v-else label="Ends at" hide-label :model-value="options.target.time" :accept="setHour" />
    </span>
    <span class="group">
      <span class="quiet">in steps of</span>
      <ChoiceField v-model="grid" label="In steps of" :options="GRIDS" />
    </span>
    <TimeField
      v-if="hasLastRest"
      label="final rest at least"
      usual="its range"
      :model-value="options.lastRestSeconds"
      :accept="(lastRestSeconds: Seconds | null) => put({ lastRestSeconds })"
    />
    <TimeField
      label="reserved for talking"
      usual="none"
      :model-value="options.talkSeconds === 0 ? null : options.talkSeconds"
      :accept="(seconds: Seconds | null) => put({ talkSeconds: seconds ?? 0 })"
    />
    <button v-if="!asUsual" type="button" class="link-button small" @click="emit('change', null)">
      Reset to defaults
    </button>
  </section>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 26px;
  align-items: center;
}
.group {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
