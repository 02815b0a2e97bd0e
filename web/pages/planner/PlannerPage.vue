<script setup lang="ts">
import Button from 'primevue/button';
import { onBeforeUnmount, ref } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import { ApiProblem } from '../../client/http';
import { useEditor } from '../../state/editor';
import PlanConflict from './PlanConflict.vue';

/** The planner: the pages of one open plan share its undo. */
const { id } = defineProps<{ id: string }>();

const editor = useEditor();
const trouble = ref('');
const missing = ref(false);
const ready = ref(false);

async function open(): Promise<void> {
  trouble.value = '';
  try {
    await editor.open(id);
    ready.value = true;
  } catch (error) {
    missing.value = error instanceof ApiProblem && error.status === 404;
    trouble.value = missing.value ? 'This plan could not be found. It may be in the bin.' : (error as Error).message;
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
    <PlanConflict />
  </template>
  <main v-else-if="trouble" class="trouble">
    <p class="caution strong" role="alert">{{ trouble }}</p>
    <Button v-if="!missing" label="Try again" outlined @click="open" />
    <RouterLink to="/">All plans</RouterLink> <RouterLink to="/bin">Bin</RouterLink>
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
