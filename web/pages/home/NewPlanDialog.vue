<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { ref } from 'vue';
import type { FieldIssue } from '#core/document';
import { emptyPlan, type Plan, type PlanFile } from '#core/plan';
import { clockOfMs } from '#core/time';
import { TEMPLATES } from '#library';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { openPlanFile } from '../../state/files';
import { useLibrary } from '../../state/library';
import FileButton from '../../ui/fields/FileButton.vue';

const visible = defineModel<boolean>('visible', { required: true });
const emit = defineEmits<{ make: [file: PlanFile] }>();

const reason = ref('');
const issues = ref<FieldIssue[]>([]);
const templates = TEMPLATES.map(({ id, says, plan }) => ({
  id,
  says,
  plan,
  timeline: compileTimeline(plan, useLibrary().all),
}));

function make(plan: Plan, entries: PlanFile['entries'] = []): void {
  visible.value = false;
  emit('make', { plan, entries });
}
async function openFile(file: File): Promise<void> {
  const opened = await openPlanFile(file);
  [reason.value, issues.value] = opened.ok ? ['', []] : [opened.reason, opened.issues];
  if (opened.ok) make(opened.plan, opened.entries);
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="New plan" dismissable-mask :style="{ width: '620px' }">
    <ul>
      <li>
        <button type="button" class="choice" autofocus @click="make(emptyPlan('New plan'))">
          <strong>Blank plan</strong>
          <span class="small quiet">An hour, with no steps yet</span>
        </button>
      </li>
      <li v-for="{ id, says, plan, timeline } in templates" :key="id">
        <button type="button" class="choice" @click="make(plan)">
          <strong>{{ plan.title }}</strong>
          <span class="small quiet">{{ says }} · {{ clockOfMs(timeline.totals.totalMs) }}</span>
          <RibbonThumb
            :ribbon="ribbonBlocks(timeline.phases)"
            :totals="timeline.totals"
            :px-per-ms="330 / 4_500_000"
            :width="336"
            :height="40"
          />
        </button>
      </li>
      <li>
        <FileButton label="Open a plan file" types=".json,application/json" @open="openFile" />
        <span class="small quiet">A file that ends in .zovrin.json</span>
      </li>
    </ul>
    <div v-if="reason" class="refused caution" role="alert">
      <p class="strong">{{ reason }}</p>
      <ul>
        <li v-for="(issue, i) in issues.slice(0, 12)" :key="i" class="small">
          {{ issue.field || 'plan' }}: {{ issue.reason }}
        </li>
      </ul>
    </div>
  </Dialog>
</template>

<style scoped>
.choice {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 2px 16px;
  align-items: center;
  width: 100%;
  padding: 12px 8px;
  border: 0;
  border-top: 1px solid var(--line);
  background: none;
  text-align: left;
  cursor: pointer;
}
.choice:hover,
.file:focus-within {
  background: var(--well);
}
.file:focus-within {
  outline: 2px solid var(--focus);
}
.choice svg {
  grid-column: 2;
  max-width: 100%;
}
strong {
  font-weight: 600;
}
.refused {
  margin-top: 12px;
  padding: 10px 12px;
  border: 1px solid var(--caution);
  border-radius: 4px;
  background: var(--caution-soft);
}
@media (width < 640px) {
  .choice {
    grid-template-columns: 1fr;
  }
  .choice svg {
    grid-column: 1;
  }
}
</style>
