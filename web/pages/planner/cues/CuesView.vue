<script setup lang="ts">
import Button from 'primevue/button';
import { useEditor } from '../../../state/editor';
import AppIcon from '../../../ui/AppIcon.vue';
import PlanViews from '../PlanViews.vue';
import CueSheet from './CueSheet.vue';

/** What is said in a plan, to read through and to print. */
const VIEWS = [{ value: 'sheet', label: 'Cue sheet' }] as const;
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
    <template #default="{ plan, timeline }">
      <CueSheet v-if="editor.id" :id="editor.id" :plan="plan" :timeline="timeline" />
    </template>
  </PlanViews>
</template>
