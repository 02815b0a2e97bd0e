import { onMounted, shallowRef } from 'vue';
import type { BreathStep } from '#core/plan';
import { listRuns } from '../../client/runs';

/** A weekly class that slipped by some days is still the one before; after longer there is no week to compare with. */
const SINCE_MS = 10 * 24 * 3600 * 1000;

/** How a breath step was when its plan was last taught, if that was within the last ten days; asked once. */
export function useLastTaught(planId: string, stepId: string) {
  const last = shallowRef<{ atMs: number; step: BreathStep }>();
  onMounted(async () => {
    // Without the server nothing is compared; the planner itself says when it cannot be reached.
    const found = await listRuns(1, planId).catch(() => undefined);
    const run = found?.runs[0];
    const step = run?.plan.steps.find(({ id }) => id === stepId);
    const atMs = run ? new Date(run.createdAt).getTime() : 0;
    if (step?.kind === 'breath' && Date.now() - atMs <= SINCE_MS) last.value = { atMs, step };
  });
  return last;
}
