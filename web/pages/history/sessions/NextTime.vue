<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { applyEdit, replaceStep, type Plan, type PlanEdit, type Step } from '#core/plan';
import { adoptTimes, adoptedTimes, type RunRecord } from '#core/review';
import type { Timeline } from '#core/timeline';
import { planSource } from '../../../state/plan-source';
import { useSyncedDocument } from '../../../sync/source';
import ConflictDialog from '../../../widgets/documents/ConflictDialog.vue';
import { adoptedInWords } from './words';

/** The times as they really were, step by step, each to be applied to the plan with one button and undone. */
const { planId, timeline, record } = defineProps<{ planId: string; timeline: Timeline; record: RunRecord }>();

const synced = useSyncedDocument<Plan>(planSource(planId));
void synced.ready();
const plan = computed(() => synced.document.value);
const refused = ref('');
const trouble = computed(() =>
  synced.isMissing.value
    ? 'The plan could not be found, so nothing can be added to it.'
    : refused.value || synced.trouble.value,
);
/** The steps that have the times as taught, as they were before. */
const adopted = ref<{ stepId: string; before: Step }[]>([]);

const offers = computed(() =>
  (plan.value?.steps ?? []).flatMap((step, i) => {
    const { times } = adoptedTimes(step, timeline, record);
    const back = adopted.value.find(({ stepId }) => stepId === step.id);
    return times.length > 0 || back ? [{ step, number: i + 1, words: times.map(adoptedInWords).join(', '), back }] : [];
  }),
);

/** Changes the plan as it is by now, and returns whether that was accepted. */
function change(edit: PlanEdit): boolean {
  if (!plan.value) return false;
  const result = applyEdit(plan.value, edit);
  refused.value = result.ok ? '' : (result.issues[0]?.reason ?? 'These times do not fit the plan.');
  if (result.ok) synced.apply({ name: edit.kind, edit }, result.plan);
  return result.ok;
}
function adopt(stepId: string): void {
  const before = plan.value?.steps.find((step) => step.id === stepId);
  if (!plan.value || !before) return;
  if (change(adoptTimes(plan.value, stepId, timeline, record))) adopted.value = [...adopted.value, { stepId, before }];
}
function takeBack(stepId: string): void {
  const known = adopted.value.find((one) => one.stepId === stepId);
  if (known && change(replaceStep(stepId, known.before))) adopted.value = adopted.value.filter((one) => one !== known);
}
</script>

<template>
  <section aria-labelledby="next-title">
    <h2 id="next-title">For next time</h2>
    <p v-if="record.annotations.review.change" class="change">{{ record.annotations.review.change }}</p>
    <p v-if="trouble" class="caution" role="alert">
      {{ trouble }}
      <button v-if="plan && !refused" type="button" class="link-button" @click="synced.save()">Save again</button>
      <button v-else-if="!plan && !synced.isMissing.value" type="button" class="link-button" @click="synced.load()">
        Try again
      </button>
    </p>
    <ul>
      <li v-for="{ step, number, words, back } in offers" :key="step.id">
        <span
          >{{ number }} {{ step.name }}
          <span class="small quiet">{{ back ? 'now has the times as taught' : words }}</span></span
        >
        <Button v-if="back" text label="Undo" :aria-label="`Undo, ${step.name}`" @click="takeBack(step.id)" />
        <Button v-else outlined label="Use in plan" :aria-label="`Use in plan, ${step.name}`" @click="adopt(step.id)" />
      </li>
    </ul>
    <p v-if="plan && offers.length === 0" class="quiet">The plan already has the times as taught.</p>
    <ConflictDialog :conflict="synced.conflict.value" noun="plan" keeps-copy :resolve="synced.resolve" />
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 8px;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li > :last-child {
  flex: none;
}
li > span {
  min-width: 0;
  overflow-wrap: anywhere;
}
li .small {
  display: block;
}
.change {
  padding-bottom: 10px;
  white-space: pre-line;
}
</style>
