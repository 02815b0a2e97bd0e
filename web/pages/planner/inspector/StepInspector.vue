<script setup lang="ts">
import { computed } from 'vue';
import { familyLabel } from '#core/catalogue';
import { setStepCommon, type Step } from '#core/plan';
import type { Timeline } from '#core/timeline';
import AppIcon from '../../../ui/AppIcon.vue';
import IconButton from '../../../ui/IconButton.vue';
import TextField from '../../../ui/fields/TextField.vue';
import { troubleLines } from '../../../widgets/props/need-words';
import { useShortages } from '../../../widgets/props/use-shortages';
import { useEdit } from '../use-edit';
import ActionMenu from '../../../ui/menus/ActionMenu.vue';
import { useStepActions } from '../steps/use-step-actions';
import { useStepMenu } from '../steps/step-menu';
import { useInspectorTab } from './inspector-tabs';
import BreathInspector from './BreathInspector.vue';
import HoldInspector from './HoldInspector.vue';
import PlainInspector from './PlainInspector.vue';
import { useLibrary } from '../../../state/library';

const { step, index, timeline } = defineProps<{ step: Step; index: number; timeline: Timeline }>();
const library = useLibrary();

const actions = useStepActions();
const menu = useStepMenu(actions);
const shortages = useShortages();
const edit = useEdit();
const about = computed(() => {
  if (step.kind === 'hold') {
    const position = library.all.position(step.position);
    if (!position) return 'not in your library, using the times in the plan';
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
    const technique = library.all.technique(step.technique);
    return technique
      ? [technique.names.sanskrit, technique.round].filter(Boolean).join(' · ')
      : 'not in your library, using the counts in the plan';
  }
  return { rest: 'a still rest', move: 'a short release', talk: 'talk' }[step.kind];
});
const notes = computed(() => timeline.notes.filter(({ stepIndex, kind }) => stepIndex === index && kind !== 'uneven'));

/** What the place lacks for this step. */
const lacking = computed(() => {
  const trouble = shortages.value.get(index);
  return trouble ? troubleLines(trouble) : [];
});
const hasTabs = computed(() => step.kind === 'hold' || step.kind === 'breath');
const tab = useInspectorTab(['main', 'props', 'cues', 'breath', 'cautions', 'about']);
</script>

<template>
  <h2 class="sr-only">{{ step.name }}</h2>
  <header>
    <div class="names">
      <TextField
        class="name"
        hide-label
        label="Name"
        :model-value="step.name"
        :accept="(name) => edit(setStepCommon(step.id, { name }))"
      />
      <p class="small quiet about" :title="about">{{ about }}</p>
    </div>
    <div class="actions">
      <IconButton
        :icon="step.locked ? 'lock' : 'unlock'"
        :label="step.locked ? 'Unlock its length' : 'Lock its length'"
        :hint="step.locked ? 'Length is locked' : 'Lock its length'"
        :aria-pressed="step.locked"
        @click="actions.toggleLock"
      />
      <IconButton icon="copy" label="Duplicate" hint="Duplicate (D)" @click="actions.duplicate" />
      <IconButton icon="delete" label="Delete step" hint="Delete" @click="actions.remove" />
      <ActionMenu label="More for this step" :groups="menu" />
    </div>
  </header>
  <p v-for="note in notes" :key="note.kind + note.message" class="note caution small">
    <AppIcon name="warn" :size="14" /> {{ note.message }}
  </p>
  <div v-if="lacking.length > 0" class="short">
    <p v-for="line in lacking" :key="line" class="note caution small" role="alert">
      <AppIcon name="warn" :size="14" /> {{ line }}
    </p>
    <button v-if="hasTabs && tab !== 'props'" type="button" class="link-button small" @click="tab = 'props'">
      Solutions
    </button>
  </div>
  <HoldInspector v-if="step.kind === 'hold'" :step="step" :index="index" :timeline="timeline" />
  <BreathInspector v-else-if="step.kind === 'breath'" :step="step" :index="index" :timeline="timeline" />
  <PlainInspector v-else :step="step" :index="index" :timeline="timeline" />
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
.about {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
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
.short {
  margin: 2px 0 6px;
}
@media (width < 640px) {
  header {
    flex-wrap: wrap;
  }
  .names {
    flex-basis: 100%;
  }
}
</style>
