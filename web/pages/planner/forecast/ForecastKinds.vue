<script setup lang="ts">
import type { PaceLine } from '#core/review';

/** How each kind of time goes against plan, and how much evenings differ: what a forecast assumes or has learned. */
const { lines, runs } = defineProps<{ lines: readonly PaceLine[]; runs: number }>();
const percent = (value: number): string =>
  value === 0 ? 'as planned' : `${Math.abs(value)} % ${value > 0 ? 'longer' : 'shorter'}`;
</script>

<template>
  <section aria-labelledby="kinds-title">
    <h3 id="kinds-title">{{ runs === 0 ? 'What is assumed' : 'How your time goes' }}</h3>
    <table>
      <thead class="sr-only">
        <tr>
          <th scope="col">What</th>
          <th scope="col">Compared with plan</th>
          <th scope="col">How much sessions vary</th>
          <th scope="col">Based on</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.kind">
          <th scope="row">{{ line.kind }}</th>
          <td class="strong">{{ percent(line.percent) }}</td>
          <td class="quiet">give or take {{ line.giveOrTake }} %</td>
          <td class="small quiet">
            {{ line.runs === 0 ? 'assumed' : `${line.runs} ${line.runs === 1 ? 'evening' : 'evenings'}` }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
h3 {
  font-size: 19px;
  line-height: 28px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  height: 28px;
  border-bottom: 1px solid var(--line);
  text-align: left;
  font-weight: 400;
}
td.strong {
  font-weight: 600;
}
</style>
