<script setup lang="ts">
import { computed } from 'vue';
import { setStepCommon, type FitWeight } from '#core/plan';
import { clockOfMs } from '#core/time';
import IconButton from '../../../ui/IconButton.vue';
import SideGlyph from '../../../widgets/marks/SideGlyph.vue';
import { useEditor } from '../../../state/editor';
import type { FitRow } from './rows';
import WeightSlider from './WeightSlider.vue';

/** Each length before and after, the difference about one line, and its priority. */
const { rows, fitted } = defineProps<{ rows: readonly FitRow[]; fitted: boolean }>();
const chosen = defineModel<string | undefined>('chosen');
const editor = useEditor();

const HALF_PX = 70;
const most = computed(() => Math.max(60_000, ...rows.map(({ gainMs }) => Math.abs(gainMs))));
const width = (ms: number): string => `${(HALF_PX * Math.abs(ms)) / most.value}px`;
const gain = (ms: number): string => (ms === 0 ? '' : `${ms < 0 ? '−' : '+'}${clockOfMs(Math.abs(ms))}`);
/** The lock and the weight stand once for a step, at its first length. */
const leads = (at: number): boolean => rows[at]?.step.id !== rows[at - 1]?.step.id;
const setWeight = (id: string, weight: FitWeight): void => void editor.edit(setStepCommon(id, { weight }));
const setLock = (id: string, locked: boolean): void => void editor.edit(setStepCommon(id, { locked }));
</script>

<template>
  <div class="scrolls" role="region" aria-label="Lengths of the steps" tabindex="0">
    <table>
      <thead>
        <tr class="small quiet">
          <th scope="col" class="step">Step</th>
          <th scope="col" class="number">now</th>
          <th scope="col" class="number">fitted</th>
          <th scope="col" class="gain">difference</th>
          <th scope="col">priority</th>
          <th scope="col"><span class="sr-only">Lock</span></th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, at) in rows"
          :key="row.key"
          :class="{ chosen: row.step.id === chosen, follows: !leads(at) }"
          @click="chosen = row.step.id"
        >
          <th scope="row" class="step">
            <span class="line">
              <span class="small quiet index">{{ leads(at) ? row.index + 1 : '' }}</span>
              <SideGlyph :step="row.step" />
              <span class="name">{{ row.step.name }}</span>
              <span class="small quiet">{{ row.which }}</span>
            </span>
          </th>
          <td class="number">{{ row.from }}</td>
          <td class="number strong">{{ fitted ? row.to : '' }}</td>
          <td class="gain">
            <span class="bar" :class="row.gainMs < 0 ? 'loses' : 'gains'" :style="{ width: width(row.gainMs) }" />
            <span class="told" :class="{ right: row.gainMs < 0 }">{{ fitted ? gain(row.gainMs) : '' }}</span>
          </td>
          <td>
            <WeightSlider
              v-if="leads(at)"
              :name="row.step.name"
              :disabled="row.step.locked"
              :model-value="row.step.weight"
              @update:model-value="setWeight(row.step.id, $event)"
            />
          </td>
          <td>
            <IconButton
              v-if="leads(at)"
              :icon="row.step.locked ? 'lock' : 'unlock'"
              :size="16"
              :label="row.step.locked ? `Free ${row.step.name}` : `Lock ${row.step.name}`"
              :aria-pressed="row.step.locked"
              :class="{ open: !row.step.locked }"
              @click.stop="setLock(row.step.id, !row.step.locked)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  height: 33px;
  padding: 0 10px 0 0;
  border-bottom: 1px solid var(--line);
  text-align: left;
  font-weight: 400;
}
thead th {
  height: 26px;
  border-bottom-color: var(--line-strong);
}
th.step {
  max-width: 320px;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
.line > * {
  flex: none;
}
.line > .name {
  flex: 0 1 auto;
}
.index {
  width: 20px;
  text-align: right;
}
.name {
  overflow: hidden;
  font-weight: 600;
  font-size: 14.5px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.follows .name {
  font-weight: 400;
}
.small {
  white-space: nowrap;
}
.number {
  width: 84px;
  text-align: right;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
td.strong {
  font-weight: 600;
}
.chosen > * {
  background: var(--lit);
}
.gain {
  position: relative;
  width: 220px;
  min-width: 220px;
  padding: 0;
  text-align: center;
}
tbody .gain {
  background: linear-gradient(var(--line), var(--line)) center / 1px 100% no-repeat;
}
.chosen .gain {
  background: linear-gradient(var(--line), var(--line)) center / 1px 100% no-repeat var(--lit);
}
.bar {
  position: absolute;
  top: 11px;
  height: 11px;
  background: var(--ink-3);
}
.loses {
  right: 50%;
  background: none;
  box-shadow: inset 0 0 0 1.5px var(--ink-2);
}
.gains {
  left: 50%;
}
.told {
  position: absolute;
  top: 7px;
  right: calc(50% + 8px);
  font-size: 12.5px;
  font-variant-numeric: tabular-nums;
}
.told.right {
  right: auto;
  left: calc(50% + 8px);
}
.open {
  color: var(--ink-3);
}
@media (width < 860px) {
  .gain {
    width: 120px;
    min-width: 120px;
  }
  .bar {
    max-width: 46px;
  }
  table :deep(.weight .small) {
    display: none;
  }
}
</style>
