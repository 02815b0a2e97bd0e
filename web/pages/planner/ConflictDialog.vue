<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { useToast } from 'primevue/usetoast';
import { computed, ref } from 'vue';
import { clockOfMs } from '#core/time';
import { clockTime } from '../../ui/dates';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { useEditor, type Resolution } from '../../state/editor';
import { useLibrary } from '../../state/library';

/** One plan changed in two places: both versions side by side, and neither is lost whichever one goes on. */
const editor = useEditor();
const library = useLibrary();
const toast = useToast();
const trouble = ref('');
const versions = computed(() => {
  const { conflict, plan } = editor;
  if (!conflict || !plan) return [];
  const at = clockTime(new Date(conflict.current.updatedAt).getTime());
  return [
    { choice: 'mine' as Resolution, label: 'In this window', plan, timeline: compileTimeline(plan, library.all) },
    {
      choice: 'theirs' as Resolution,
      label: `Saved elsewhere at ${at}`,
      plan: conflict.current.document,
      timeline: compileTimeline(conflict.current.document, library.all),
    },
  ];
});

async function choose(choice: Resolution): Promise<void> {
  try {
    const copy = await editor.resolve(choice);
    if (copy)
      toast.add({
        severity: 'secondary',
        summary: `The other version is kept as “${copy.document.title}”`,
        life: 8000,
      });
    trouble.value = '';
  } catch (error) {
    trouble.value = `${(error as Error).message} Both versions are still here; try again.`;
  }
}
</script>

<template>
  <Dialog
    :visible="versions.length > 0"
    modal
    :closable="false"
    :close-on-escape="false"
    header="This plan was changed in two places"
    :style="{ width: '640px' }"
  >
    <p>Choose which one goes on under this name. The other is kept beside it as a plan of its own.</p>
    <section v-for="{ choice, label, plan, timeline } in versions" :key="choice">
      <h3>{{ label }}</h3>
      <p class="quiet">“{{ plan.title }}”, {{ plan.steps.length }} steps, {{ clockOfMs(timeline.totals.totalMs) }}</p>
      <RibbonThumb
        :ribbon="ribbonBlocks(timeline.phases)"
        :totals="timeline.totals"
        :px-per-ms="400 / 4_800_000"
        :width="410"
      />
      <Button
        :label="`Go on with this one`"
        :outlined="choice === 'theirs'"
        :aria-label="`Go on with the version ${label.toLowerCase()}`"
        @click="choose(choice)"
      />
    </section>
    <p v-if="trouble" class="caution strong" role="alert">{{ trouble }}</p>
  </Dialog>
</template>

<style scoped>
section {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 16px;
  align-items: center;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
h3,
section p {
  grid-column: 1 / -1;
}
h3 {
  font-size: 19px;
}
</style>
