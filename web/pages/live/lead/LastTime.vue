<script setup lang="ts">
import { onMounted, shallowRef } from 'vue';
import { planChanges, type Plan, type PlanChange } from '#core/plan';
import { annotationsOf } from '#core/review';
import { listPractisedOf } from '../../../client/practised';
import { listRuns, readRun } from '../../../client/runs';
import { dayOf } from '../../../ui/dates';
import FoldedPart from '../../../ui/FoldedPart.vue';
import { changeInWords } from '../../../widgets/plans/change-words';

/** What was done in the last session of this group, or of this plan: what to change, and what is different today. */
const { planId, plan } = defineProps<{ planId: string; plan: Plan }>();

interface LastTime {
  title: string;
  day: string;
  change: string;
  note: string;
  different: string[];
}
const last = shallowRef<LastTime>();

/** The id of the latest session of the group; where the plan has none, of the plan. */
async function latest(): Promise<string | undefined> {
  const isOfGroup = plan.groupId !== null || plan.group !== '';
  if (!isOfGroup) return (await listRuns(1, planId)).items[0]?.id;
  const sessions = (await listPractisedOf(plan)).filter(({ kind, ended }) => kind === 'run' && ended);
  return sessions.sort((a, b) => b.beganAtMs - a.beganAtMs)[0]?.id;
}
const SHOWN = 5;
/** What the group notices of a step; times of changes, locks and notes are the teacher’s. */
const SEEN: ReadonlySet<string> = new Set(['position', 'sides', 'length', 'stages', 'props', 'breath', 'rest']);
function whatIsSeen(change: PlanChange): PlanChange[] {
  if (change.kind === 'field') return [];
  if (change.kind !== 'step') return [change];
  const facets = change.facets.filter((facet) => SEEN.has(facet));
  return facets.length > 0 ? [{ ...change, facets }] : [];
}
onMounted(async () => {
  // Without the server there is nothing to remember: the class begins all the same.
  const id = await latest().catch(() => undefined);
  const run = id === undefined ? undefined : await readRun(id).catch(() => undefined);
  const started = run?.events.find(({ kind }) => kind === 'started');
  if (!run || !started) return;
  const { review } = annotationsOf(run.events);
  const changes = planChanges(run.plan, plan).flatMap(whatIsSeen);
  const shown = changes.slice(0, SHOWN).map(changeInWords);
  last.value = {
    title: run.plan.title,
    day: dayOf(started.atMs),
    change: review.change,
    note: review.note,
    different: changes.length > SHOWN ? [...shown, `and ${changes.length - SHOWN} more`] : shown,
  };
});
</script>

<template>
  <FoldedPart v-if="last" :title="`Last time, ${last.day}${last.change ? `: ${last.change}` : ''}`">
    <div class="last">
      <p class="small quiet">{{ last.title }}</p>
      <p v-if="last.note">{{ last.note }}</p>
      <template v-if="last.different.length > 0">
        <p class="small quiet">Different today:</p>
        <ul class="small">
          <li v-for="line in last.different" :key="line">{{ line }}</li>
        </ul>
      </template>
      <p v-else class="small quiet">The same today as then.</p>
    </div>
  </FoldedPart>
</template>

<style scoped>
.last {
  text-align: left;
}
</style>
