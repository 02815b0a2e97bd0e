<script setup lang="ts" generic="T extends string">
import { computed } from 'vue';
import UndoButtons from './UndoButtons.vue';
import { useRoute, useRouter } from 'vue-router';
import BackLink from '../../ui/BackLink.vue';
import ViewTabs from '../../ui/ViewTabs.vue';
import { usePageTitle } from '../../ui/page-title';
import { useUndoKeys } from '../../ui/use-undo-keys';
import { useEditor } from '../../state/editor';

/**
 * The frame of a planner page with several views: back link, views, undo, and what the page adds (`head`, `end`). The
 * view is part of the address, so that it survives a reload and Back works; the slot gets it.
 */
const { views } = defineProps<{
  /** The first is the one it opens with. */
  views: readonly [{ value: T; label: string }, ...{ value: T; label: string }[]];
}>();
const editor = useEditor();
const route = useRoute();
const router = useRouter();
useUndoKeys(editor.undo, editor.redo);

const view = computed<T>({
  get: () => (views.find(({ value }) => value === route.query.view) ?? views[0]).value,
  set: (value) => void router.replace({ query: { view: value } }),
});
const shownView = computed(() => views.find(({ value }) => value === view.value)?.label ?? '');
usePageTitle(() => [shownView.value, editor.plan?.title]);
</script>

<template>
  <main v-if="editor.plan && editor.timeline" class="room">
    <header class="screen-only">
      <BackLink class="back" :to="editor.path" :label="editor.plan.title" />
      <ViewTabs v-model="view" label="View" :views="views" />
      <slot name="head" :view="view" :plan="editor.plan" />
      <span class="end">
        <UndoButtons />
        <slot name="end" :view="view" />
      </span>
    </header>
    <h1 class="sr-only">{{ shownView }}: {{ editor.plan.title }}</h1>
    <div role="tabpanel" class="panel" :aria-label="shownView">
      <slot :view="view" :plan="editor.plan" :timeline="editor.timeline" />
    </div>
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
.panel {
  display: contents;
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
@media (width < 640px) {
  .room {
    padding: 10px 16px 32px;
  }
}
</style>
