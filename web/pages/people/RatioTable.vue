<script setup lang="ts">
import { computed } from 'vue';
import { practisedAs, ratioInWords, ratioOffers, type MeasuredBreath, type Ratio, type Rung } from '#core/breath';

/**
 * What every ratio of the ladder would mean for a person: count, cycle, breaths a minute, longest hold, offered or why
 * not.
 */
const { measured, ladder } = defineProps<{ measured: MeasuredBreath; ladder: readonly Rung[] }>();

const number = (value: number | undefined, digits = 1): string => (value === undefined ? '' : value.toFixed(digits));
const inWords = (ratio: Ratio, countSeconds: number): string => {
  const { counts, countSeconds: each } = practisedAs(ratio, countSeconds);
  return `${ratioInWords(counts).replaceAll(' : ', '-')} at ${each.toFixed(1)} s`;
};
const rows = computed(() =>
  ratioOffers(measured, ladder).map((offer, i) => ({
    key: i,
    ratio: ratioInWords(offer.ratio),
    count: number(offer.countSeconds),
    practised: offer.offered && offer.countSeconds !== undefined ? inWords(offer.ratio, offer.countSeconds) : '',
    cycle: number(offer.cycleSeconds),
    rate: number(offer.breathsAMinute),
    hold: offer.longestHoldSeconds ? number(offer.longestHoldSeconds) : offer.longestHoldSeconds === 0 ? 'none' : '',
    offered: offer.offered,
    says: offer.offered
      ? offer.gate > 0
        ? `after ${offer.gate} easy ${offer.gate === 1 ? 'session' : 'sessions'} at the one before`
        : 'from the start'
      : offer.reason,
  })),
);
</script>

<template>
  <div class="scroll">
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">Ratio</th>
          <th scope="col" class="number">Count, s</th>
          <th scope="col" class="number">Cycle, s</th>
          <th scope="col" class="number">Per minute</th>
          <th scope="col" class="number">Longest hold, s</th>
          <th scope="col">Offered</th>
          <th scope="col">Practised as</th>
          <th scope="col">When, or why not</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key" :class="{ no: !row.offered }">
          <th scope="row">{{ row.ratio }}</th>
          <td class="number">{{ row.count }}</td>
          <td class="number">{{ row.cycle }}</td>
          <td class="number">{{ row.rate }}</td>
          <td class="number">{{ row.hold }}</td>
          <td>{{ row.offered ? 'yes' : 'no' }}</td>
          <td>{{ row.practised }}</td>
          <td class="quiet">{{ row.says }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
th,
td {
  white-space: nowrap;
}
td:last-child {
  white-space: normal;
}
.no th,
.no td {
  color: var(--ink-2);
  font-weight: 400;
}
</style>
