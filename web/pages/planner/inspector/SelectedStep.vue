<script setup lang="ts">
import type { Timeline } from '#core/timeline';
import { useEditor } from '../../../state/editor';
import SeveralSteps from './SeveralSteps.vue';
import StepInspector from './StepInspector.vue';

/** The fields of the step that is selected, or what to do where there is none. */
const { timeline } = defineProps<{ timeline: Timeline }>();
const editor = useEditor();
</script>

<template>
  <!-- Changes in one field, without leaving it, are one step of undo. -->
  <div @focusin="editor.seal" @pointerdown.capture="editor.seal">
    <SeveralSteps v-if="editor.selection.length > 1" :timeline="timeline" />
    <StepInspector
      v-else-if="editor.selectedStep"
      :key="editor.selectedStep.id"
      :step="editor.selectedStep"
      :index="editor.selectedIndex"
      :timeline="timeline"
    />
    <p v-else class="quiet none">
      {{
        editor.plan?.steps.length === 0
          ? 'This plan has no steps yet. Add the first below the list: type a position, a breath, rest or talk.'
          : 'Select a step to see and change it.'
      }}
    </p>
  </div>
</template>

<style scoped>
.none {
  padding-top: 24px;
}
</style>
