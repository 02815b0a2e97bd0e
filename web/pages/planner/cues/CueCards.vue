<script setup lang="ts">
import { computed } from 'vue';
import { runningOrder, type OrderRow } from '#core/exchange';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { useLibrary } from '../../../state/library';

/** A card for each step, in letters that can be read from a mat: to be cut apart, or left on the page. */
const { path, plan, timeline } = defineProps<{ path: string; plan: Plan; timeline: Timeline }>();

const library = useLibrary();
const rows = computed(() => runningOrder(plan, timeline, library.all));
function lengthOf({ turns }: OrderRow): string {
  const [one, other] = turns.filter(({ side }) => side === 'left' || side === 'right');
  if (!one || !other) return turns.map(({ ms }) => clockOfMs(ms)).join(', then ');
  if (one.ms === other.ms) return `${clockOfMs(one.ms)} each side`;
  return [one, other].map(({ side, ms }) => `${side} ${clockOfMs(ms)}`).join(', ');
}
const sidesOf = ({ turns }: OrderRow): string[] => turns.map(({ means }) => means).filter((means) => means !== '');
</script>

<template>
  <article class="sheet">
    <header>
      <h2 class="sheet-title">Cue cards: {{ plan.title }}</h2>
    </header>
    <p v-if="rows.length === 0" class="quiet">
      This plan has no steps yet. <RouterLink :to="path">Add the first one</RouterLink>.
    </p>
    <ol>
      <li v-for="row in rows" :key="row.number">
        <p class="from">
          <span>{{ row.number }}</span> <span>{{ clockOfMs(row.startMs) }}</span>
        </p>
        <h3>{{ row.name }}</h3>
        <p class="length">{{ lengthOf(row) }}</p>
        <p v-if="row.counts">{{ row.counts }}</p>
        <p v-for="means in sidesOf(row)" :key="means">{{ means }}</p>
        <p v-if="row.before" class="props">{{ row.before }}</p>
        <p v-if="row.atChange" class="props">at the change: {{ row.atChange }}</p>
        <p v-for="prompt in row.prompts" :key="prompt">{{ prompt }}</p>
      </li>
    </ol>
  </article>
</template>

<style scoped>
ol {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 380px), 1fr));
  gap: 12px;
  padding: 0;
  list-style: none;
}
li {
  padding: 12px 16px 14px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  font-size: 19px;
  line-height: 25px;
  break-inside: avoid;
}
.from {
  display: flex;
  justify-content: space-between;
  color: var(--ink-2);
  font-variant-numeric: tabular-nums;
}
h3 {
  font-size: 28px;
  line-height: 34px;
  overflow-wrap: anywhere;
}
.length {
  font-weight: 600;
  font-size: 24px;
  line-height: 30px;
  font-variant-numeric: tabular-nums;
}
.props {
  color: var(--ink-2);
}
@media print {
  ol {
    grid-template-columns: 1fr 1fr;
    gap: 5mm;
  }
  li {
    border-color: #555;
  }
}
</style>
