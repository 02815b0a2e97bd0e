<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { isUnscreened, SESSION_STEP, type Cell, type Matrix } from '#core/caution';
import type { Plan } from '#core/plan';
import { useKnowledge } from '../../../state/knowledge';
import { useScreening } from '../../../state/screening';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';
import { cellInWords, isBare, openInWords } from './words';

/** People against steps. Arrow keys go from cell to cell; the selected one is explained beside it. */
const { plan, matrix } = defineProps<{ plan: Plan; matrix: Matrix }>();
const chosen = defineModel<{ personId: string; stepId: string } | null>({ required: true });

const screening = useScreening();
const known = useKnowledge();
const table = useTemplateRef<HTMLElement>('table');
const columns = computed(() => [
  ...plan.steps.map((step, i) => ({
    id: step.id,
    name: step.name,
    number: String(i + 1),
    isBlind: isUnscreened(step, known.knowledge),
  })),
  { id: SESSION_STEP, name: 'the class as a whole', number: 'all', isBlind: false },
]);
const rows = computed(() =>
  matrix.rows.map((row) => ({
    id: row.personId,
    name: screening.shown(row.personId),
    open: openInWords(row),
    notScreened: row.notScreened.length,
    stale: row.stale.length,
    cells: [...row.cells, row.session].map((cell: Cell) => ({ cell, words: cellInWords(cell) })),
  })),
);
/** Where the tab key stops. */
const at = ref<[row: number, column: number]>([0, 0]);

async function go(row: number, column: number): Promise<void> {
  at.value = [
    Math.min(Math.max(0, row), rows.value.length - 1),
    Math.min(Math.max(0, column), columns.value.length - 1),
  ];
  await nextTick();
  table.value?.querySelector<HTMLElement>(`[data-at="${at.value.join()}"]`)?.focus();
}
function onKey(event: KeyboardEvent, row: number, column: number): void {
  const to: readonly [row: number, column: number] | undefined = {
    ArrowRight: [row, column + 1],
    ArrowLeft: [row, column - 1],
    ArrowDown: [row + 1, column],
    ArrowUp: [row - 1, column],
    Home: [row, 0],
    End: [row, columns.value.length - 1],
  }[event.key] as [number, number] | undefined;
  if (!to) return;
  event.preventDefault();
  void go(...to);
}
function choose(row: number, column: number): void {
  const [person, step] = [rows.value[row], columns.value[column]];
  if (!person || !step) return;
  at.value = [row, column];
  chosen.value = { personId: person.id, stepId: step.id };
}
const isChosen = (personId: string, stepId: string): boolean =>
  chosen.value?.personId === personId && chosen.value.stepId === stepId;
</script>

<template>
  <div class="frame" role="region" aria-label="Cautions by person and step" tabindex="-1">
    <table ref="table" role="grid">
      <thead>
        <tr>
          <th scope="col" class="who">{{ rows.length }} people</th>
          <th v-for="column in columns" :key="column.id" scope="col" :title="column.name">
            <span class="number">{{ column.number }}</span>
            <span class="step">{{ column.name }}</span>
            <span v-if="column.isBlind" class="blind">not screened</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, r) in rows" :key="row.id">
          <th scope="row" class="who">
            <span class="name">{{ row.name }}</span>
            <span v-if="row.notScreened" class="unknown" title="Has a condition that cannot be screened"
              >?<span class="sr-only"> not screened: {{ row.notScreened }}</span></span
            >
            <span v-if="row.stale" class="small caution">check the date</span>
          </th>
          <td v-for="({ cell, words }, c) in row.cells" :key="columns[c]?.id">
            <button
              type="button"
              class="cell"
              :class="{ chosen: isChosen(row.id, columns[c]?.id ?? ''), bare: isBare(cell) }"
              :data-at="`${r},${c}`"
              :tabindex="r === at[0] && c === at[1] ? 0 : -1"
              :aria-label="`${row.name}, ${columns[c]?.number} ${columns[c]?.name}: ${words || (columns[c]?.isBlind ? 'not screened' : 'nothing')}`"
              :aria-pressed="isChosen(row.id, columns[c]?.id ?? '')"
              @click="choose(r, c)"
              @keydown="onKey($event, r, c)"
            >
              <template v-if="!isBare(cell)">
                <CautionMark
                  :level="cell.insteadLevel ?? cell.level"
                  :state="cell.insteadLevel ? 'open' : cell.state"
                />
                <span class="word">{{ words }}</span>
              </template>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.frame {
  max-height: min(70vh, 640px);
  overflow: auto;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
}
table {
  width: 100%;
  border-collapse: separate;
  border-spacing: 0;
  font-size: 12.5px;
  line-height: 14px;
}
thead th {
  position: sticky;
  z-index: 2;
  top: 0;
  height: 52px;
  padding: 4px 3px;
  border-bottom: 1px solid var(--line-strong);
  background: var(--sheet);
  color: var(--ink-2);
  font-weight: 400;
  text-align: center;
  vertical-align: top;
}
.number {
  display: block;
  color: var(--ink);
  font-weight: 600;
}
.step {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow-wrap: break-word;
  hyphens: auto;
}
.blind {
  display: block;
  color: var(--caution);
  line-height: 12px;
}
.who {
  position: sticky;
  z-index: 1;
  left: 0;
  min-width: 76px;
  max-width: 180px;
  padding: 0 6px 0 10px;
  border-right: 1px solid var(--line-strong);
  background: var(--sheet);
  text-align: left;
  font-weight: 600;
}
thead .who {
  z-index: 3;
  vertical-align: bottom;
  text-align: left;
}
.unknown {
  float: right;
  width: 16px;
  border: 1px dashed var(--line-strong);
  border-radius: 3px;
  color: var(--ink-2);
  text-align: center;
}
.name {
  display: inline-block;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
td {
  min-width: 51px;
  padding: 0;
  border-bottom: 1px solid var(--line);
  border-left: 1px solid var(--line);
}
tbody th {
  border-bottom: 1px solid var(--line);
}
.cell {
  display: flex;
  flex-direction: column;
  gap: 1px;
  align-items: center;
  justify-content: center;
  width: 100%;
  height: 36px;
  padding: 0;
  border: 0;
  background: none;
  font-size: 11px;
  line-height: 13px;
  letter-spacing: -0.01em;
  cursor: pointer;
}
.cell:hover {
  background: var(--well);
}
.cell:focus-visible {
  outline-offset: -2px;
}
.chosen {
  box-shadow: inset 0 0 0 2px var(--ink);
}
.word {
  white-space: nowrap;
}
@media (pointer: coarse) {
  .cell {
    height: 46px;
  }
}
</style>
