<script setup lang="ts">
import { computed } from 'vue';
import type { AreaWeeks } from '#core/review';
import { shortDayOf } from '../../../ui/dates';

/** Minutes held by part of the body and by week; as much of a cell is filled as of the most there was. */
const { areas } = defineProps<{ areas: AreaWeeks }>();

const mostMs = computed(() => Math.max(1, ...areas.areas.flatMap(({ weekMs }) => weekMs)));
const minutes = (ms: number): string => (ms === 0 ? '' : String(Math.max(1, Math.round(ms / 60_000))));
</script>

<template>
  <div class="matrix">
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">minutes, week of</th>
          <th v-for="week in areas.weeks" :key="week" scope="col" class="number">{{ shortDayOf(week) }}</th>
          <th scope="col" class="number">total</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ area, weekMs, totalMs } in areas.areas" :key="area">
          <th scope="row">{{ area }}</th>
          <td v-for="(ms, i) in weekMs" :key="i" class="number cell">
            <i v-if="ms > 0" :style="{ width: `${(88 * ms) / mostMs}%` }" /><span>{{ minutes(ms) }}</span>
          </td>
          <td class="number strong">{{ minutes(totalMs) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.matrix {
  overflow-x: auto;
}
.figures th,
.figures td {
  padding: 2px 6px 2px 0;
}
.cell {
  position: relative;
  min-width: 52px;
}
i {
  position: absolute;
  top: 4px;
  right: 0;
  bottom: 4px;
  border-right: 2px solid var(--both);
  background: var(--rest);
}
span {
  position: relative;
}
</style>
