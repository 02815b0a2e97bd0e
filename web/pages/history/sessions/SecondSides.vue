<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { clockOfMs } from '#core/time';
import type { ListedRun } from '#api';
import { listRuns } from '../../../client/runs';
import { dayOf } from '../../../ui/dates';

/**
 * Which side was shorter in the last sessions of a plan, beyond what was meant: left of the line the left one, right of
 * it the right one.
 */
const { planId, runId } = defineProps<{ planId: string; runId: string }>();

const MOST = 6;
const runs = shallowRef<ListedRun[]>([]);
const trouble = ref('');
void listRuns(MOST, planId).then(
  (found) => (runs.value = found.items),
  (error: Error) => (trouble.value = error.message),
);

const rows = computed(() =>
  runs.value
    .map(({ id, summary }) => ({
      id,
      atMs: summary.startedAtMs ?? 0,
      // Above zero: the right sides had less than the plan means them to have beside the left.
      ms: summary.apartMs - summary.meantMs,
      has: summary.leftDoneMs + summary.rightDoneMs > 0,
    }))
    .filter(({ atMs, has }) => atMs > 0 && has)
    .reverse(),
);
const mostMs = computed(() => Math.max(1000, ...rows.value.map(({ ms }) => Math.abs(ms))));
const HALF = 104;
</script>

<template>
  <section v-if="rows.length > 1 || trouble" aria-labelledby="sides-title">
    <h2 id="sides-title">Shorter sides in the last {{ rows.length }} sessions</h2>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
    <ul>
      <li v-for="{ id, atMs, ms } in rows" :key="id" :class="{ here: id === runId }">
        <RouterLink :to="`/history/${id}`">{{ dayOf(atMs) }}</RouterLink>
        <svg width="208" height="18" viewBox="-104 -9 208 18" aria-hidden="true">
          <path class="r-axis" d="M0 -9V9" />
          <rect
            :class="id !== runId ? 'r-rest' : ms < 0 ? 'r-left' : 'r-right'"
            :x="ms < 0 ? (ms / mostMs) * HALF : 0"
            y="-6"
            :width="(Math.abs(ms) / mostMs) * HALF"
            height="12"
          />
        </svg>
        <span
          >{{ clockOfMs(Math.abs(ms))
          }}<span class="sr-only"> {{ ms < 0 ? 'left shorter' : ms > 0 ? 'right shorter' : 'equal' }}</span></span
        >
      </li>
    </ul>
    <p class="small quiet legend"><span>left shorter</span><span>right shorter</span></p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}
li {
  display: grid;
  grid-template-columns: 84px 208px auto;
  gap: 8px;
  align-items: center;
  min-height: 24px;
  font-size: 13px;
  line-height: 18px;
}
li a {
  display: inline-flex;
  align-items: center;
  min-height: 24px;
}
.here {
  font-weight: 600;
}
.legend {
  display: grid;
  grid-template-columns: 104px 104px;
  padding-left: 92px;
}
.legend span {
  text-align: center;
}
section {
  padding-bottom: 24px;
}
@media (width < 400px) {
  li {
    grid-template-columns: 76px minmax(0, 1fr) auto;
  }
  svg {
    width: 100%;
  }
  .legend {
    grid-template-columns: 1fr 1fr;
    padding-left: 84px;
  }
}
</style>
