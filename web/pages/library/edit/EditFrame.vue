<script setup lang="ts">
import { useUndoKeys } from '../../../ui/use-undo-keys';
import { useElementSize, useEventListener } from '@vueuse/core';
import { nextTick, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import EditHeader from './EditHeader.vue';
import ConflictDialog from '../../../widgets/documents/ConflictDialog.vue';
import { useEntry } from './use-entry';

/**
 * What the editors of positions and techniques share: opening, saving, keys, and what is said when there is nothing.
 */
const { name, kind } = defineProps<{ name: string; kind: 'position' | 'technique' }>();

const draft = useEntry();
const router = useRouter();
const state = ref<'opening' | 'here' | 'missing' | 'unknown'>('opening');
const page = useTemplateRef<HTMLElement>('page');
const { height } = useElementSize(useTemplateRef<HTMLElement>('head'), undefined, { box: 'border-box' });

async function open(): Promise<void> {
  state.value = 'opening';
  try {
    state.value = (await draft.open()) ? 'here' : 'missing';
  } catch {
    state.value = 'unknown';
  }
}
void open();

async function save(): Promise<void> {
  // What is still being typed counts as typed.
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  await nextTick();
  const isSaved = await draft.save();
  const id = draft.document.value?.entry.id;
  if (isSaved && id !== undefined) {
    await router.push(kind === 'position' ? `/library/${id}` : `/library/breath/${id}`);
    return;
  }
  await nextTick();
  // To the first field that needs correcting, wherever it is on the page.
  page.value
    ?.querySelector<HTMLElement>('[aria-invalid="true"], .body [role="alert"]')
    ?.scrollIntoView({ block: 'center' });
  page.value?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus({ preventScroll: true });
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || window.document.querySelector('[role="dialog"]')) return;
  const key = event.key.toLowerCase();
  if (key !== 's') return;
  event.preventDefault();
  void save();
});
useUndoKeys(
  () => draft.undo(),
  () => draft.redo(),
);
</script>

<template>
  <main v-if="state === 'here'" ref="page" :style="{ '--head-height': `${height}px` }">
    <div ref="head" class="head"><EditHeader :name="name" @save="save" /></div>
    <div class="body">
      <h2 class="sr-only">Fields of the entry</h2>
      <slot />
    </div>
    <ConflictDialog :conflict="draft.conflict.value" noun="entry" keeps-copy :resolve="draft.resolve" />
  </main>
  <main v-else-if="state === 'unknown'" class="missing">
    <p class="caution strong" role="alert">
      {{ draft.trouble.value }} <button type="button" class="link-button" @click="open">Try again</button>
    </p>
  </main>
  <main v-else-if="state === 'missing'" class="missing">
    <h1>Not in your library</h1>
    <p>
      There is no custom entry here. Entries that come with Zovrin cannot be changed: make a copy and change that.
      <RouterLink to="/library">Back to the library</RouterLink>
    </p>
  </main>
</template>

<style scoped>
.head {
  position: sticky;
  z-index: 4;
  top: 0;
}
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
}
.missing {
  padding: 40px 32px;
}
@media (width < 900px) {
  .body {
    grid-template-columns: 1fr;
  }
}
</style>
