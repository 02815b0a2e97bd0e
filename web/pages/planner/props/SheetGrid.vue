<script setup lang="ts" generic="T extends SheetCell">
import { computed } from 'vue';
import PositionFigure from '../../../widgets/figures/PositionFigure.vue';
import { useLibrary } from '../../../state/library';
import type { SheetCell } from './sheet';

/** Cells of a sheet, as many to a row as one printed page needs to hold them all. */
const { cells } = defineProps<{ cells: readonly T[] }>();

const library = useLibrary();
/** The height of an A4 page within its margins, less the heading, in millimetres. */
const PAGE_MM = 252;
const columns = computed(() => (cells.length <= 6 ? 2 : cells.length <= 15 ? 3 : cells.length <= 28 ? 4 : 5));
const rows = computed(() => Math.ceil(cells.length / columns.value));
const cellMm = computed(() => Math.min(64, Math.floor(PAGE_MM / rows.value)));
const positionOf = ({ step }: SheetCell) => {
  const id = step.kind === 'hold' ? step.position : step.kind === 'breath' ? step.moves?.position : undefined;
  return id === undefined ? undefined : library.all.position(id);
};
</script>

<template>
  <ol class="grid" :style="{ '--columns': columns, '--cell': `${cellMm}mm` }">
    <li v-for="cell in cells" :key="cell.step.id" class="cell" :class="{ dense: columns > 3 }">
      <p class="name">
        <span class="number">{{ cell.number }}</span> {{ cell.step.name }}
      </p>
      <div v-if="positionOf(cell)" class="figure">
        <PositionFigure :position="positionOf(cell)" :set-up="cell.setUp" :label="cell.step.name" :least="1500" />
      </div>
      <div class="words small"><slot :cell="cell" /></div>
    </li>
  </ol>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 0 24px;
}
.cell {
  padding: 8px 0 12px;
  border-top: 1px solid var(--line-strong);
}
.name {
  overflow: hidden;
  font-weight: 600;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.number {
  margin-right: 4px;
  color: var(--ink-2);
  font-weight: 400;
}
.figure {
  height: 104px;
  margin: 4px 0 6px;
}
@media print {
  .grid {
    grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
    gap: 0 5mm;
  }
  .cell {
    display: flex;
    flex-direction: column;
    height: var(--cell);
    overflow: hidden;
    padding: 1.5mm 0 1mm;
    break-inside: avoid;
  }
  .figure {
    flex: 1 1 auto;
    height: auto;
    min-height: 0;
    margin: 1mm 0;
  }
  .words {
    flex: none;
    max-height: 62%;
    overflow: hidden;
  }
  .dense .words {
    font-size: 9px;
    line-height: 11px;
  }
}
</style>
