<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, shallowRef } from 'vue';
import { applyEdit, type Plan } from '#core/plan';
import { adoptTimes, adoptedTimes, type RunRecord } from '#core/review';
import type { Timeline } from '#core/timeline';
import type { StoredPlan } from '#api';
import { ApiProblem } from '../../../client/http';
import { planClient } from '../../../client/documents';
import { adoptedInWords } from './words';

/** The times as they really were, step by step, each to be applied to the plan with one button and undone. */
const { planId, timeline, record } = defineProps<{ planId: string; timeline: Timeline; record: RunRecord }>();

const stored = shallowRef<StoredPlan>();
const trouble = ref('');
const taken = ref<{ stepId: string; before: Plan['steps'][number] }[]>([]);

async function load(): Promise<void> {
  trouble.value = '';
  try {
    stored.value = await planClient.at(planId).read();
  } catch (error) {
    const gone = error instanceof ApiProblem && error.status === 404;
    trouble.value = gone ? 'The plan is no longer here, so nothing can be put into it.' : (error as Error).message;
  }
}
void load();

const offers = computed(() =>
  (stored.value?.document.steps ?? []).flatMap((step, i) => {
    const { times } = adoptedTimes(step, timeline, record);
    const back = taken.value.find(({ stepId }) => stepId === step.id);
    return times.length > 0 || back ? { step, number: i + 1, words: times.map(adoptedInWords).join(', '), back } : [];
  }),
);

/** Changes the plan as it is by now: one that was saved elsewhere meanwhile is read again first. */
async function change(to: (plan: Plan) => Plan): Promise<boolean> {
  for (let tries = 0; tries < 3 && stored.value; tries++) {
    const { id, revision, document } = stored.value;
    try {
      const changed = to(document);
      stored.value = { ...stored.value, ...(await planClient.at(id).save(revision, changed)), document: changed };
      trouble.value = '';
      return true;
    } catch (error) {
      const current = planClient.at(id).conflictOf(error);
      if (!current) {
        trouble.value = `${(error as Error).message} The plan is as it was.`;
        return false;
      }
      stored.value = current;
    }
  }
  return false;
}
async function take(stepId: string): Promise<void> {
  const before = stored.value?.document.steps.find((step) => step.id === stepId);
  if (!before) return;
  const done = await change((plan) => {
    const edited = applyEdit(plan, adoptTimes(plan, stepId, timeline, record));
    if (!edited.ok) throw new Error(edited.issues[0]?.reason ?? 'These times do not fit the plan.');
    return edited.plan;
  });
  if (done) taken.value = [...taken.value, { stepId, before }];
}
async function takeBack(stepId: string): Promise<void> {
  const known = taken.value.find((one) => one.stepId === stepId);
  if (!known) return;
  const done = await change((plan) => ({
    ...plan,
    steps: plan.steps.map((step) => (step.id === stepId ? known.before : step)),
  }));
  if (done) taken.value = taken.value.filter((one) => one !== known);
}
</script>

<template>
  <section aria-labelledby="next-title">
    <h2 id="next-title">For next time</h2>
    <p v-if="record.annotations.review.change" class="change">{{ record.annotations.review.change }}</p>
    <p v-if="trouble" class="caution" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
    </p>
    <ul>
      <li v-for="{ step, number, words, back } in offers" :key="step.id">
        <span
          >{{ number }} {{ step.name }}
          <span class="small quiet">{{ back ? 'has the times as taught' : words }}</span></span
        >
        <Button v-if="back" text label="Take back" :aria-label="`Take back, ${step.name}`" @click="takeBack(step.id)" />
        <Button v-else outlined label="Put in plan" :aria-label="`Put in plan, ${step.name}`" @click="take(step.id)" />
      </li>
    </ul>
    <p v-if="stored && offers.length === 0" class="quiet">The plan has the times as they were taught.</p>
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
