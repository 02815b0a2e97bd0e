<script setup lang="ts">
import { computed } from 'vue';
import { homeSetUp, type HomeRow } from '#core/cupboard';
import type { Plan } from '#core/plan';
import { setUpRowInWords } from '#core/props';
import type { Timeline } from '#core/timeline';
import { useLibrary } from '../../../state/library';
import SheetGrid from './SheetGrid.vue';
import { sheetCells } from './sheet';

/** The same plan with things found at home: what lies in place of what, drawn as it then looks. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();

const library = useLibrary();
const cells = computed(() =>
  sheetCells(plan, timeline, library.all).map((cell) => {
    const position = cell.step.kind === 'hold' ? library.all.position(cell.step.position) : undefined;
    const home = homeSetUp(cell.setUp, position);
    return { ...cell, setUp: home.setUp, rows: home.setUp.map(setUpRowInWords), named: home.named, home: home.rows };
  }),
);
function inWords({ row, instead, how }: HomeRow): string {
  const was = setUpRowInWords(row);
  if (how === 'same') return was;
  if (how === 'nothing') return `${was}: do without it`;
  return `${instead.map(setUpRowInWords).join(' and ')}, in place of ${was.split(',')[0]}`;
}
</script>

<template>
  <article class="sheet">
    <header>
      <h2 class="sheet-title">At home: {{ plan.title }}</h2>
      <p class="quiet">
        With blankets, cushions, pillows, towels, thick books, a belt, a scarf, a chair and a wall. Whatever supports
        you must not slip or tip; test it with half your weight first.
      </p>
    </header>
    <p v-if="cells.length === 0" class="quiet">No step of this plan has props.</p>
    <SheetGrid v-else :cells="cells">
      <template #default="{ cell }">
        <p v-if="cell.named" class="quiet">
          {{ cell.named }}
        </p>
        <ul>
          <template v-if="cell.named">
            <li v-for="row in cell.rows" :key="row">{{ row }}</li>
          </template>
          <li v-for="row in cell.home" v-else :key="row.row.id">{{ inWords(row) }}</li>
        </ul>
      </template>
    </SheetGrid>
  </article>
</template>
