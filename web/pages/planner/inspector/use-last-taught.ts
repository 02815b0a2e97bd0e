import { onMounted, shallowRef } from 'vue';
import { weekBefore, type BreathPractice } from '#core/breath';
import type { Plan, Step } from '#core/plan';
import { listRuns, readRun } from '../../../client/runs';

/** So many of the latest sessions are looked through for the one of the week before. */
const SESSIONS = 20;

/** The breath of a step: its own, or the one inside a hold. */
const practiceOf = (step: Step | undefined): BreathPractice | undefined =>
  step?.kind === 'breath' ? step.practice : step?.kind === 'hold' ? step.breath?.practice : undefined;

/** How a step's breath was taught a week before the class it is planned for, or before today; asked once. */
export function useLastTaught(plan: Pick<Plan, 'startsAt'> & { id: string }, stepId: string) {
  const last = shallowRef<{ atMs: number; practice: BreathPractice }>();
  onMounted(async () => {
    const atMs = plan.startsAt ? new Date(plan.startsAt).getTime() : Date.now();
    // Without the server nothing is compared; the planner itself says when it cannot be reached.
    const { items } = await listRuns(SESSIONS, plan.id).catch(() => ({ items: [] }));
    const before = weekBefore(
      items.map(({ id, createdAt }) => ({ id, atMs: new Date(createdAt).getTime() })),
      atMs,
    );
    const run = before && (await readRun(before.id).catch(() => undefined));
    const practice = practiceOf(run?.plan.steps.find(({ id }) => id === stepId));
    if (before && practice) last.value = { atMs: before.atMs, practice };
  });
  return last;
}
