<script setup lang="ts">
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import BackLink from '../../shared/BackLink.vue';
import ChoiceField from '../../shared/fields/ChoiceField.vue';
import IconButton from '../../shared/IconButton.vue';
import { useUndoKeys } from '../../shared/use-undo-keys';
import { useEditor } from '../../stores/editor';
import ForecastView from './ForecastView.vue';
import LengthsView from './LengthsView.vue';
import OrderView from './OrderView.vue';
import VariantsView from './VariantsView.vue';

/** Making a plan fit: its lengths to the hour, a quieter order, when it would end, and variants beside each other. */
const VIEWS = [
  { value: 'lengths' as const, label: 'Fit to the hour' },
  { value: 'order' as const, label: 'Order' },
  { value: 'forecast' as const, label: 'When it ends' },
  { value: 'variants' as const, label: 'Variants' },
];
type FitView = (typeof VIEWS)[number]['value'];

const editor = useEditor();
const route = useRoute();
const router = useRouter();
useUndoKeys(editor.undo, editor.redo);

/** The view is part of the address, so that it can be kept and gone back from. */
const view = computed({
  get: () => VIEWS.find(({ value }) => value === route.query.view)?.value ?? 'lengths',
  set: (value: FitView) => void router.replace({ query: { view: value } }),
});
</script>

<template>
  <main v-if="editor.plan && editor.timeline" class="room">
    <header>
      <BackLink class="back" :to="`/plans/${editor.id}`" :label="editor.plan.title" />
      <ChoiceField v-model="view" label="View" :options="VIEWS" />
      <span class="end">
        <IconButton icon="undo" label="Undo" hint="Undo (Ctrl Z)" :disabled="!editor.canUndo" @click="editor.undo()" />
        <IconButton
          icon="redo"
          label="Redo"
          hint="Redo (Ctrl Shift Z)"
          :disabled="!editor.canRedo"
          @click="editor.redo()"
        />
      </span>
    </header>
    <p v-if="editor.plan.steps.length === 0" class="quiet none">
      This plan has no steps yet. <RouterLink :to="`/plans/${editor.id}`">Add some</RouterLink>, then they can be
      fitted.
    </p>
    <template v-else>
      <LengthsView v-if="view === 'lengths'" :plan="editor.plan" :timeline="editor.timeline" />
      <OrderView v-else-if="view === 'order'" :plan="editor.plan" :timeline="editor.timeline" />
      <ForecastView v-else-if="view === 'forecast'" :plan="editor.plan" :timeline="editor.timeline" />
      <VariantsView v-else :plan="editor.plan" :timeline="editor.timeline" />
    </template>
  </main>
</template>

<style scoped>
.room {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 10px 32px 40px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
.back {
  max-width: 280px;
}
.end {
  display: flex;
  gap: 2px;
  margin-left: auto;
}
.none {
  padding: 24px 0;
}
@media (width < 640px) {
  .room {
    padding: 10px 12px 32px;
  }
}
</style>
