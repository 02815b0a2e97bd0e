<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import { useEditor } from '../../state/editor';
import { useLibrary } from '../../state/library';
import ConflictDialog from '../../widgets/documents/ConflictDialog.vue';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';

/** The plan on the desk changed in two windows: both versions as ribbons, one below the other. */
const editor = useEditor();
const library = useLibrary();
const drawn = (plan: Plan) => ({ plan, timeline: compileTimeline(plan, library.all) });
const versions = computed(() =>
  editor.conflict && editor.plan ? { mine: drawn(editor.plan), theirs: drawn(editor.conflict.document) } : undefined,
);
</script>

<template>
  <ConflictDialog :conflict="editor.conflict" noun="plan" keeps-copy :resolve="editor.resolve">
    <template v-for="choice in ['mine', 'theirs'] as const" :key="choice" #[choice]>
      <div v-if="versions">
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
