<script setup lang="ts">
import { computed } from 'vue';
import { planChanges, type Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import { useEditor } from '../../state/editor';
import { useLibrary } from '../../state/library';
import ConflictDialog from '../../widgets/documents/ConflictDialog.vue';
import { changeInWords } from '../../widgets/plans/change-words';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';

/** The open plan changed in two windows: both versions as ribbons, one below the other. */
const editor = useEditor();
const library = useLibrary();
const drawn = (plan: Plan) => ({ plan, timeline: compileTimeline(plan, library.all) });
const versions = computed(() =>
  editor.conflict && editor.plan ? { mine: drawn(editor.plan), theirs: drawn(editor.conflict.document) } : undefined,
);
const MAX_SHOWN = 3;
/** What differs in this window, in a few words. */
const differences = computed(() => {
  if (!versions.value) return '';
  const changes = planChanges(versions.value.theirs.plan, versions.value.mine.plan).map(changeInWords);
  const more = changes.length - MAX_SHOWN;
  return changes.slice(0, MAX_SHOWN).join('; ') + (more > 0 ? ` and ${more} more` : '');
});
</script>

<template>
  <ConflictDialog :conflict="editor.conflict" noun="plan" keeps-copy :resolve="editor.resolve">
    <template #differences>
      <p v-if="differences" class="small">Different here: {{ differences }}.</p>
    </template>
    <template v-for="choice in ['mine', 'theirs'] as const" :key="choice" #[choice]>
      <div v-if="versions" class="version">
        <p class="quiet">
          “{{ versions[choice].plan.title }}”, {{ versions[choice].plan.steps.length }} steps,
          {{ clockOfMs(versions[choice].timeline.totals.totalMs) }}
        </p>
        <RibbonThumb
          :ribbon="ribbonBlocks(versions[choice].timeline.phases)"
          :totals="versions[choice].timeline.totals"
          :px-per-ms="400 / 4_800_000"
          :width="410"
        />
      </div>
    </template>
  </ConflictDialog>
</template>

<style scoped>
.version {
  overflow: hidden;
}
</style>
