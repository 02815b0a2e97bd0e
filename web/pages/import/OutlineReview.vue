<script setup lang="ts">
import Button from 'primevue/button';
import Textarea from 'primevue/textarea';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import { clockOfMs } from '#core/time';
import { ribbonBlocks } from '#core/timeline';
import { planClient } from '../../client/documents';
import { createPlan } from '../../client/plans';
import RibbonThumb from '../../widgets/ribbon/RibbonThumb.vue';
import { useIncoming } from '../../state/incoming';
import { useIncomingSteps } from '../../state/incoming-steps';
import ImportHead from './ImportHead.vue';
import OutlineLine from './OutlineLine.vue';
import { useOutline } from './use-outline';

/** Words as they were read, line by line; then made a plan, or added to one. */
const incoming = useIncoming();
const steps = useIncomingSteps();
const router = useRouter();
const { read, plan, timeline, decide, readNow } = useOutline();

const lines = computed(() => read.value?.lines.filter(({ kind }) => kind !== 'blank') ?? []);
const count = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;
const summary = computed(() => {
  const toDecide = lines.value.filter(({ questions }) => questions.length > 0).length;
  const notes = lines.value.filter(({ kind }) => kind === 'note').length;
  return [
    count(lines.value.length, 'line'),
    toDecide > 0 ? `${toDecide} to check` : '',
    notes > 0 ? `${notes} kept as ${notes === 1 ? 'a note' : 'notes'}` : '',
  ]
    .filter(Boolean)
    .join(', ');
});

const editing = ref(false);
const field = useTemplateRef<{ $el: HTMLTextAreaElement }>('field');
async function edit(): Promise<void> {
  editing.value = true;
  await nextTick();
  field.value?.$el.focus();
}

/** The title of the plan it may be added to. */
const intoTitle = ref('');
if (incoming.into !== '')
  planClient
    .at(incoming.into)
    .read()
    .then(
      ({ document }) => (intoTitle.value = document.title),
      () => (incoming.into = ''),
    );

const trouble = ref('');
const busy = ref(false);
async function create(): Promise<void> {
  if (busy.value) return;
  readNow();
  if (!plan.value) return;
  busy.value = true;
  try {
    const { id } = await createPlan(plan.value, []);
    incoming.discard();
    await router.push(`/plans/${id}`);
  } catch (error) {
    trouble.value = `${(error as Error).message} Your text is still here.`;
  }
  busy.value = false;
}
async function add(): Promise<void> {
  readNow();
  if (!plan.value) return;
  const { into } = incoming;
  steps.send(into, plan.value.steps);
  incoming.discard();
  await router.push(`/plans/${into}`);
}
const pxPerMs = 640 / 5_400_000;
</script>

<template>
  <ImportHead title="From your notes" :status="summary">
    <Button label="Discard" outlined @click="incoming.discard()" />
    <Button v-if="!editing" label="Edit the text" outlined @click="edit" />
    <Button v-else label="Show how it reads" outlined @click="editing = false" />
    <template v-if="intoTitle">
      <Button label="New plan" outlined :disabled="!plan?.steps.length" @click="create" />
      <Button :label="`Add to “${intoTitle}”`" :disabled="!plan?.steps.length" @click="add" />
    </template>
    <Button v-else label="Create plan" :disabled="!plan?.steps.length || busy" @click="create" />
  </ImportHead>
  <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
  <Textarea v-if="editing" ref="field" v-model="incoming.text" class="text" rows="18" aria-label="Your notes" />
  <ol v-else aria-label="Lines and what was understood">
    <OutlineLine v-for="line in lines" :key="line.line" :line="line" :plan="plan" @decide="decide" />
  </ol>
  <footer v-if="plan && timeline">
    <span class="quiet">As a plan</span>
    <RibbonThumb
      v-if="plan.steps.length > 0"
      :ribbon="ribbonBlocks(timeline.phases)"
      :totals="timeline.totals"
      :px-per-ms="pxPerMs"
      :width="640"
      :height="52"
    />
    <p v-if="plan.steps.length > 0">
      <strong>{{ clockOfMs(timeline.totals.totalMs) }}</strong> of {{ clockOfMs(timeline.totals.targetMs) }}, with
      set-up and changes
    </p>
    <p v-else>
      No line of it was understood as a step. A step has a name and a length: “Reclined twist 3:30 each side”.
    </p>
  </footer>
</template>

<style scoped>
.text {
  width: 100%;
}
ol {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
  list-style: none;
}
footer {
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
  padding: 8px 0;
  background: var(--paper);
}
footer :deep(svg) {
  max-width: 100%;
}
@media (width < 700px) {
  footer {
    position: static;
  }
}
</style>
