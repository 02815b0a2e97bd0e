<script setup lang="ts">
import { computed, defineAsyncComponent, useTemplateRef } from 'vue';
import { useIncoming } from '../../state/incoming';
import ImportStart from './ImportStart.vue';

const OutlineReview = defineAsyncComponent(() => import('./OutlineReview.vue'));
const CalendarDates = defineAsyncComponent(() => import('./CalendarDates.vue'));
const PeopleRows = defineAsyncComponent(() => import('./PeopleRows.vue'));
const CaptionsReview = defineAsyncComponent(() => import('./captions/CaptionsReview.vue'));
const FoundFiles = defineAsyncComponent(() => import('./FoundFiles.vue'));

/** What somebody brings along: it is read, shown with every guess, and taken only then. */
const incoming = useIncoming();
const part = computed(() => {
  if (incoming.shown?.kind === 'calendar') return CalendarDates;
  if (incoming.shown?.kind === 'people') return PeopleRows;
  if (incoming.shown?.kind === 'captions') return CaptionsReview;
  if (incoming.files.length > 0) return FoundFiles;
  return incoming.text !== '' ? OutlineReview : ImportStart;
});
const main = useTemplateRef<HTMLElement>('main');
/** What was read begins at its heading, for whoever cannot see that everything below it is new. */
function focusHeading(): void {
  if (part.value !== ImportStart) main.value?.querySelector<HTMLElement>('h1')?.focus();
}
</script>

<template>
  <main ref="main">
    <component :is="part" @vue:mounted="focusHeading" />
  </main>
</template>

<style scoped>
main {
  max-width: 1280px;
  padding: 14px 32px 24px;
}
main :deep(h1:focus) {
  outline: none;
}
@media (width < 700px) {
  main {
    padding: 12px 16px 24px;
  }
}
</style>
