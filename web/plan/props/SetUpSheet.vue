<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';
import { classInWords } from '../../shared/plan-words';
import SheetGrid from './SheetGrid.vue';
import { sheetCells } from './sheet';

/** One page for those who lay the room out: each position with its props, per person and for the whole group. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();

const cells = computed(() => sheetCells(plan, timeline));
</script>

<template>
  <article class="sheet">
    <header>
      <h1>Set-ups: {{ plan.title }}</h1>
      <p class="quiet">{{ classInWords(plan) }}</p>
    </header>
    <p v-if="cells.length === 0" class="quiet">No step of this plan has props.</p>
    <SheetGrid v-else :cells="cells">
      <template #default="{ cell }">
        <ul>
          <li v-for="row in cell.rows" :key="row">{{ row }}</li>
        </ul>
        <p v-for="change in cell.changes" :key="change" class="change">{{ change }}</p>
        <p v-if="cell.other" class="change">{{ cell.other }}</p>
        <p v-if="cell.group" class="strong">{{ cell.group }}</p>
      </template>
    </SheetGrid>
  </article>
</template>

<style scoped>
.change {
  font-style: italic;
}
</style>
