<script setup lang="ts">
import { computed } from 'vue';
import { familyLabel } from '#core/catalogue';
import { duplicateStep, moveStepTo, removeStep, setStepCommon, type Step } from '#core/plan';
import type { Timeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import AppIcon from '../../shared/AppIcon.vue';
import TextField from '../../shared/fields/TextField.vue';
import { newId } from '../../stores/browser';
import { useEditor } from '../../stores/editor';
import { useEdit } from '../use-edit';
import BreathInspector from './BreathInspector.vue';
import HoldInspector from './HoldInspector.vue';
import PlainInspector from './PlainInspector.vue';

const { step, index, timeline } = defineProps<{ step: Step; index: number; timeline: Timeline }>();

const editor = useEditor();
const edit = useEdit();
const about = computed(() => {
  if (step.kind === 'hold') {
    const position = builtInLibrary.position(step.position);
    if (!position) return 'not in your library, counted with its own times';
    const sides = {
      together: 'both sides together',
      each: 'one side, then the other',
      crossing: 'one limb in front, then the other',
      one: 'one side only',
    };
    return [position.names.sanskrit, position.names.yin, familyLabel(position.family), sides[step.sides.kind]]
      .filter(Boolean)
      .join(' · ');
  }
  if (step.kind === 'breath') {
    const technique = builtInLibrary.technique(step.technique);
    return technique
      ? [technique.names.sanskrit, technique.round].filter(Boolean).join(' · ')
      : 'not in your library, counted with its own counts';
  }
  return { rest: 'a still rest', move: 'a short loosening', talk: 'talk' }[step.kind];
});
const notes = computed(() => timeline.notes.filter(({ stepIndex, kind }) => stepIndex === index && kind !== 'uneven'));

function duplicate(): void {
  const id = newId();
  if (editor.edit(duplicateStep(step.id, id)).length === 0) editor.selected = id;
}
</script>

<template>
  <header>
    <div class="names">
      <TextField
        class="name"
        hide-label
        label="Name"
        :model-value="step.name"
        :accept="(name) => edit(setStepCommon(step.id, { name }))"
      />
      <p class="small quiet">{{ about }}</p>
    </div>
    <div class="actions">
      <button
        type="button"
        class="icon-button"
        aria-label="Move up"
        title="Move up (Alt ↑)"
        :disabled="index === 0"
        @click="editor.edit(moveStepTo(step.id, index - 1))"
      >
        <AppIcon name="up" />
      </button>
      <button
        type="button"
        class="icon-button"
        aria-label="Move down"
        title="Move down (Alt ↓)"
        :disabled="index === timeline.steps.length - 1"
        @click="editor.edit(moveStepTo(step.id, index + 1))"
      >
        <AppIcon name="down" />
      </button>
      <button
        type="button"
        class="icon-button"
        :aria-pressed="step.locked"
        :aria-label="step.locked ? 'Length is locked: free it' : 'Lock its length'"
        :title="step.locked ? 'Length is locked' : 'Lock its length'"
        @click="editor.edit(setStepCommon(step.id, { locked: !step.locked }))"
      >
        <AppIcon :name="step.locked ? 'lock' : 'unlock'" />
      </button>
      <button type="button" class="icon-button" aria-label="Duplicate" title="Duplicate (D)" @click="duplicate">
        <AppIcon name="copy" />
      </button>
      <button
        type="button"
        class="icon-button"
        aria-label="Delete step"
        title="Delete"
        @click="editor.edit(removeStep(step.id))"
      >
        <AppIcon name="remove" />
      </button>
    </div>
  </header>
  <p v-for="note in notes" :key="note.kind + note.message" class="note caution small">
    <AppIcon name="warn" :size="14" /> {{ note.message }}
  </p>
  <HoldInspector v-if="step.kind === 'hold'" :step="step" :index="index" :timeline="timeline" />
  <BreathInspector v-else-if="step.kind === 'breath'" :step="step" :index="index" :timeline="timeline" />
  <PlainInspector v-else :step="step" />
</template>

<style scoped>
header {
  display: flex;
  gap: 8px;
  align-items: flex-start;
}
.names {
  flex: 1;
  min-width: 0;
}
.name :deep(input) {
  height: 30px;
  margin-left: -8px;
  border-color: transparent;
  background: none;
  font: 600 22px/26px var(--head);
  text-overflow: ellipsis;
}
.name :deep(input:hover) {
  border-color: var(--line-strong);
}
.actions {
  display: flex;
}
.note {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-top: 4px;
}
</style>
