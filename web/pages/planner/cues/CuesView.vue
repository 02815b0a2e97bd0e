<script setup lang="ts">
import Button from 'primevue/button';
import { useEditor } from '../../../state/editor';
import AppIcon from '../../../ui/AppIcon.vue';
import PlanViews from '../PlanViews.vue';
import CueCards from './CueCards.vue';
import CueSheet from './CueSheet.vue';
import RunningOrder from './RunningOrder.vue';

/** What is said and done in a plan, to read through and to print. */
const VIEWS = [
  { value: 'sheet', label: 'Cue sheet' },
  { value: 'order', label: 'Running order' },
  { value: 'cards', label: 'Cue cards' },
] as const;
const SHEETS = { sheet: CueSheet, order: RunningOrder, cards: CueCards };
const editor = useEditor();
const print = (): void => window.print();
</script>

<template>
  <PlanViews :views="VIEWS">
    <template #end>
      <Button label="Print" size="small" @click="print"
        ><template #icon><AppIcon name="print" /></template
      ></Button>
    </template>
    <template #default="{ view, plan, timeline }">
      <component :is="SHEETS[view]" :path="editor.path" :plan="plan" :timeline="timeline" />
    </template>
  </PlanViews>
</template>
