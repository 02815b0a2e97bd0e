<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, toRef, useTemplateRef, watch } from 'vue';
import { useMediaQuery } from '@vueuse/core';
import SessionRibbon from '../../widgets/ribbon/SessionRibbon.vue';
import { holdDefaults, sideSeconds } from '#core/plan';
import { useLibrary } from '../../state/library';
import { useDemand } from '../../state/demand';
import { useEditor } from '../../state/editor';
import AddStep from './steps/AddStep.vue';
import SelectedStep from './inspector/SelectedStep.vue';
import { provideInspectorTab } from './inspector/inspector-tabs';
import PlanHeader from './PlanHeader.vue';
import WeekBar from './WeekBar.vue';
import StepList from './steps/StepList.vue';
import { useForecast } from '../../widgets/jobs/use-forecast';
import ForecastLine from './forecast/ForecastLine.vue';
import { useArrivingStep } from './steps/use-arriving-step';
import { usePlanKeys } from './use-plan-keys';
import { usePageTitle } from '../../ui/page-title';
import { onceOpened } from '../../ui/once-opened';

const Drawer = defineAsyncComponent(() => import('primevue/drawer'));
const AllHoldsDialog = defineAsyncComponent(() => import('./AllHoldsDialog.vue'));
const TimesDialog = defineAsyncComponent(() => import('./TimesDialog.vue'));

/** The steps of the open plan: ribbon, list and the chosen step. */
const editor = useEditor();
const demand = useDemand();
const library = useLibrary();
const list = useTemplateRef('list');
const inspector = useTemplateRef<HTMLElement>('inspector');
const add = useTemplateRef('add');
/** On a phone the inspector comes over the list when a step is chosen. */
const onPhone = useMediaQuery('(width < 640px)');
const drawer = ref(false);
const table = ref(false);
const everTable = onceOpened(table);
const allHolds = ref(false);
const everAllHolds = onceOpened(allHolds);
provideInspectorTab();
const arriving = ref('');
useArrivingStep(
  (reason) => (arriving.value = reason),
  () => list.value?.focusSelected(),
);
const { forecast } = useForecast(toRef(() => editor.plan));

usePlanKeys({
  add: () => add.value?.focus(),
  // Once the step that was selected last has its fields.
  toFields: () => {
    drawer.value = true;
    void nextTick(() => inspector.value?.querySelector<HTMLElement>('input, select, button')?.focus());
  },
  toList: () => list.value?.focusSelected(),
  inFields: (target) => inspector.value?.contains(target) ?? false,
  onSteps: (target) =>
    (target as Element).closest('[role="listbox"], .ribbon') !== null && !inspector.value?.contains(target),
});

/** How many holds are meant to be shorter than the library usually has them: said once, and not at every row. */
const shorter = computed(
  () =>
    editor.plan?.steps.filter((step) => {
      const position = step.kind === 'hold' && step.rangeIsUsual ? library.all.position(step.position) : undefined;
      if (!position || step.kind !== 'hold' || !editor.plan) return false;
      const { left, right } = sideSeconds(step.sides);
      return Math.max(left, right) < holdDefaults(position, editor.plan.approach).minSeconds;
    }).length ?? 0,
);

const choose = (index: number): void => {
  editor.selected = editor.plan?.steps[index]?.id;
};
watch(
  () => editor.selected,
  () => {
    editor.seal();
    inspector.value?.scrollTo({ top: 0 });
  },
);
const chosen = computed(() =>
  editor.selection.map((id) => editor.plan?.steps.findIndex((step) => step.id === id) ?? -1),
);
usePageTitle(() => [editor.plan?.title, 'Plan']);
</script>

<template>
  <main v-if="editor.plan && editor.timeline" class="plan">
    <PlanHeader :plan="editor.plan" :timeline="editor.timeline" />
    <WeekBar v-if="editor.week" />
    <div class="timeline">
      <SessionRibbon
        shelf
        :stock="demand.available"
        :plan="editor.plan"
        :timeline="editor.timeline"
        :selected="editor.selectedIndex"
        :chosen="chosen"
        :soft="forecast"
        @select="choose"
      />
      <div class="below">
        <span class="links">
          <button type="button" class="link-button small" @click="table = true">Show as a table</button>
          <button type="button" class="link-button small" @click="allHolds = true">All holds</button>
          <span v-if="shorter > 0" class="small quiet">
            {{ shorter === 1 ? 'One hold is' : `${shorter} holds are` }} shorter than usual.
          </span>
        </span>
        <ForecastLine v-if="!editor.week" :plan-id="editor.id" :forecast="forecast" />
      </div>
      <AllHoldsDialog v-if="everAllHolds" v-model:visible="allHolds" :plan="editor.plan" />
      <TimesDialog v-if="everTable" v-model:visible="table" :plan="editor.plan" :timeline="editor.timeline" />
    </div>
    <div class="columns">
      <div class="steps">
        <StepList ref="list" :plan="editor.plan" :timeline="editor.timeline" @chosen="drawer = true" />
        <AddStep ref="add" @added="list?.focusSelected()" />
        <p v-if="arriving" class="caution small" role="alert">{{ arriving }}</p>
      </div>
      <aside v-if="!onPhone" ref="inspector" aria-label="Selected step" class="inspector">
        <SelectedStep :timeline="editor.timeline" />
      </aside>
      <Drawer
        v-else
        v-model:visible="drawer"
        position="bottom"
        header="Selected step"
        aria-label="Selected step"
        :style="{ height: '88dvh' }"
        @hide="list?.focusSelected()"
      >
        <section aria-label="Fields"><SelectedStep :timeline="editor.timeline" /></section>
      </Drawer>
    </div>
  </main>
</template>

<style scoped>
.links button {
  min-height: 24px;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.plan {
  display: flex;
  flex-direction: column;
  height: calc(100vh - 42px);
  min-height: 640px;
}
/* What changes in one part is laid out and painted there alone. */
.timeline,
.inspector {
  contain: layout paint style;
  will-change: transform;
}
.timeline {
  padding: 6px 32px 0;
  border-bottom: 1px solid var(--line-strong);
}
.below {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
}
.below button {
  padding: 0;
}
.columns {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, 736fr) minmax(0, 544fr);
  min-height: 0;
}
.steps {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.inspector {
  overflow: auto;
  background: var(--sheet);
  padding: 12px 32px 24px 24px;
}
@media (width < 1060px) {
  .plan {
    height: auto;
  }
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .inspector {
    padding: 16px 32px 32px;
    border-top: 1px solid var(--line-strong);
  }
}
@media (width < 640px) {
  .timeline {
    padding: 6px 12px 0;
  }
}
</style>
