<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { people } from '../../shared/plan-words';
import AppIcon from '../../shared/AppIcon.vue';
import BackLink from '../../shared/BackLink.vue';
import ChoiceField from '../../shared/fields/ChoiceField.vue';
import IconButton from '../../shared/IconButton.vue';
import { useUndoKeys } from '../../shared/use-undo-keys';
import { useDemand } from '../../stores/demand';
import { useEditor } from '../../stores/editor';
import PlacePick from '../PlacePick.vue';
import HomeSheet from './HomeSheet.vue';
import NeedsView from './NeedsView.vue';
import PackingView from './PackingView.vue';
import SetUpSheet from './SetUpSheet.vue';

/** The props of a plan: what the group needs, what to pack, how to lay it out, and how it goes at home. */
const VIEWS = [
  { value: 'needs' as const, label: 'For the group' },
  { value: 'packing' as const, label: 'Packing list' },
  { value: 'sheet' as const, label: 'Set-up sheet' },
  { value: 'home' as const, label: 'At home' },
];
type PropsView = (typeof VIEWS)[number]['value'];

const editor = useEditor();
const demand = useDemand();
const route = useRoute();
const router = useRouter();
useUndoKeys(editor.undo, editor.redo);

const plan = computed(() => editor.plan);
/** The view is part of the address, so that it can be kept and gone back from. */
const view = computed({
  get: () => VIEWS.find(({ value }) => value === route.query.view)?.value ?? 'needs',
  set: (value: PropsView) => void router.replace({ query: { view: value } }),
});
const print = (): void => window.print();
</script>

<template>
  <main v-if="plan && editor.timeline" class="room">
    <header class="screen-only">
      <BackLink class="back" :to="`/plans/${editor.id}`" :label="plan.title" />
      <ChoiceField v-model="view" label="View" :options="VIEWS" />
      <PlacePick :plan="plan" />
      <span class="quiet">{{ people(plan.groupSize) }}</span>
      <span class="end">
        <IconButton icon="undo" label="Undo" :disabled="!editor.canUndo" @click="editor.undo()" />
        <IconButton icon="redo" label="Redo" :disabled="!editor.canRedo" @click="editor.redo()" />
        <Button v-if="view !== 'needs'" label="Print" size="small" @click="print"
          ><template #icon><AppIcon name="print" /></template
        ></Button>
      </span>
    </header>
    <p v-if="demand.tooMany" class="caution strong screen-only" role="alert">
      <AppIcon name="warn" :size="16" /> {{ demand.tooMany }}
    </p>
    <NeedsView v-if="view === 'needs'" :plan="plan" :timeline="editor.timeline" />
    <PackingView v-else-if="view === 'packing'" :plan="plan" :timeline="editor.timeline" />
    <SetUpSheet v-else-if="view === 'sheet'" :plan="plan" :timeline="editor.timeline" />
    <HomeSheet v-else :plan="plan" :timeline="editor.timeline" />
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
  gap: 4px;
  align-items: center;
  margin-left: auto;
}
.caution {
  display: flex;
  gap: 6px;
  align-items: center;
}
@media (width < 640px) {
  .room {
    padding: 10px 16px 32px;
  }
}
</style>
