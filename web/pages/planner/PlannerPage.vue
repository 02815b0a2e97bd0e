<script setup lang="ts">
import Button from 'primevue/button';
import { onBeforeUnmount, ref } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import { ApiProblem } from '../../client/http';
import { useEditor } from '../../state/editor';
import ConflictDialog from '../../widgets/documents/ConflictDialog.vue';
import PlanConflict from './PlanConflict.vue';

/** The planner: the pages of one open plan, or of one week of a course, share its undo. */
const { id, week = '' } = defineProps<{
  id: string;
  /** Where it is a week of a course: its number, and the id is that of the course. */
  week?: string;
}>();

const editor = useEditor();
const trouble = ref('');
const missing = ref(false);
const ready = ref(false);
const noun = week === '' ? 'This plan' : 'This week';

async function open(): Promise<void> {
  trouble.value = '';
  try {
    if (week === '') await editor.open(id);
    else await editor.openWeek(id, Number(week));
    missing.value = editor.plan === undefined;
    trouble.value = missing.value ? `${noun} could not be found. This class is not held.` : '';
    ready.value = true;
  } catch (error) {
    missing.value = error instanceof ApiProblem && error.status === 404;
    trouble.value = missing.value ? `${noun} could not be found. It may be in the bin.` : (error as Error).message;
  }
}

const warn = (event: BeforeUnloadEvent): void => {
  if (editor.storageFull && editor.state !== 'saved') event.preventDefault();
};
window.addEventListener('beforeunload', warn);
onBeforeRouteLeave(() => void editor.close());
onBeforeUnmount(() => window.removeEventListener('beforeunload', warn));
void open();
</script>

<template>
  <template v-if="ready && editor.plan && editor.timeline">
    <RouterView />
    <ConflictDialog v-if="editor.week" :conflict="editor.week.conflict.value" noun="course" :resolve="editor.resolve" />
    <PlanConflict v-else />
  </template>
  <main v-else-if="trouble" class="trouble">
    <p class="caution strong" role="alert">{{ trouble }}</p>
    <Button v-if="!missing" label="Try again" outlined @click="open" />
    <RouterLink v-if="week !== ''" :to="`/courses/${id}`">The course</RouterLink>
    <RouterLink v-else to="/">All plans</RouterLink> <RouterLink to="/bin">Bin</RouterLink>
  </main>
</template>

<style scoped>
.trouble {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 32px;
}
</style>
