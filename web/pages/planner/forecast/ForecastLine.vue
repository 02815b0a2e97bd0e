<script setup lang="ts">
import { basisInWords, chanceInWords, forecastInWords, type Forecast } from '#core/review';

/** The forecast end as one line under the ribbon. It keeps its space while it is computed. */
const { planId, forecast } = defineProps<{ planId: string; forecast: Forecast | undefined }>();
</script>

<template>
  <p class="small line">
    <RouterLink
      v-if="forecast"
      :to="`/plans/${planId}/fit?view=forecast`"
      :title="`${chanceInWords(forecast)} ${basisInWords(forecast)}`"
      >{{ forecastInWords(forecast) }}{{ forecast.runs === 0 ? ' (assumed)' : '' }}</RouterLink
    >
  </p>
</template>

<style scoped>
.line {
  min-height: 20px;
  padding-bottom: 3px;
  text-align: right;
}
a {
  color: var(--ink-2);
  text-decoration: none;
}
a:hover {
  text-decoration: underline;
}
</style>
