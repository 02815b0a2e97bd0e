<script setup lang="ts">
import { computed } from 'vue';
import type { Block } from '#core/timeline';
import type { ListedRun } from '#api';
import { dayOf } from '../../ui/dates';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';

const { runs, pxPerMs, loading } = defineProps<{ runs: readonly ListedRun[]; pxPerMs: number; loading: boolean }>();

const taught = computed(() =>
  runs.map(({ id, createdAt, summary }) => ({
    id,
    title: summary.title,
    day: dayOf(summary.startedAtMs ?? new Date(createdAt).getTime()),
    ribbon: summary.ribbon as Block[],
    totals: summary.totals,
    says: summary.says,
  })),
);
</script>

<template>
  <section aria-labelledby="lately-title">
    <header>
      <h2 id="lately-title">Recently taught</h2>
      <RouterLink to="/history" class="link-button">All sessions</RouterLink>
    </header>
    <p v-if="loading && taught.length === 0" class="quiet empty" role="status">Loading…</p>
    <p v-else-if="taught.length === 0" class="quiet empty">
      Nothing yet. Sessions you teach appear here as they happened.
    </p>
    <RouterLink v-for="run in taught" :key="run.id" :to="`/history/${run.id}`" class="run">
      <span class="head">
        <strong>{{ run.title }}</strong>
        <span class="small quiet">{{ run.day }}</span>
      </span>
      <RibbonThumb :ribbon="run.ribbon" :totals="run.totals" :px-per-ms="pxPerMs" :width="336" :height="40" />
      <span class="says">{{ run.says }}</span>
    </RouterLink>
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  padding-bottom: 8px;
  border-bottom: 1px solid var(--line-strong);
}
.run {
  display: block;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
  text-decoration: none;
}
.run:hover strong {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.head {
  display: flex;
  justify-content: space-between;
}
strong {
  font-weight: 600;
}
.run svg {
  max-width: 100%;
}
.says {
  font-size: 14px;
}
.empty {
  padding: 16px 0;
}
</style>
