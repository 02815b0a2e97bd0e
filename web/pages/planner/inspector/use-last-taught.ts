import { onMounted, shallowRef } from 'vue';
import type { BreathPractice } from '#core/breath';
import type { Step } from '#core/plan';
import { listRuns, readRun } from '../../../client/runs';

/** A weekly class that slipped by some days is still the one before; after longer there is no week to compare with. */
const SINCE_MS = 10 * 24 * 3600 * 1000;

/** The breath of a step: its own, or the one inside a hold. */
const practiceOf = (step: Step | undefined): BreathPractice | undefined =>
  step?.kind === 'breath' ? step.practice : step?.kind === 'hold' ? step.breath?.practice : undefined;

/** How a step's breath was when its plan was last taught, if that was within the last ten days; asked once. */
export function useLastTaught(planId: string, stepId: string) {
  const last = shallowRef<{ atMs: number; practice: BreathPractice }>();
  onMounted(async () => {
    // Without the server nothing is compared; the planner itself says when it cannot be reached.
    const run = await listRuns(1, planId)
      .then(({ items: [latest] }) => latest && readRun(latest.id))
      .catch(() => undefined);
    const practice = practiceOf(run?.plan.steps.find(({ id }) => id === stepId));
    const atMs = run ? new Date(run.createdAt).getTime() : 0;
    if (practice && Date.now() - atMs <= SINCE_MS) last.value = { atMs, practice };
  });
  return last;
}
