import { onMounted, shallowRef } from 'vue';
import { weekBefore, type BreathPractice } from '#core/breath';
import { practiceOf, type Plan } from '#core/plan';
import { annotationsOf } from '#core/review';
import { listRuns, readRun } from '../../../client/runs';

/** So many of the latest sessions are looked through for the one of the week before. */
const SESSIONS = 20;

/**
 * How a step’s breath was taught, and how easy it was, a week before the class it is planned for, or before today;
 * nothing for a plan without an id.
 */
export function useLastTaught(plan: Pick<Plan, 'startsAt'> & { id: string }, stepId: string) {
  const last = shallowRef<{ atMs: number; practice: BreathPractice; easy: boolean | undefined }>();
  onMounted(async () => {
    if (plan.id === '') return;
    const atMs = plan.startsAt ? new Date(plan.startsAt).getTime() : Date.now();
    // Without the server nothing is compared; the planner itself says when it cannot be reached.
    const { items } = await listRuns(SESSIONS, plan.id).catch(() => ({ items: [] }));
    const before = weekBefore(
      items.map(({ id, createdAt }) => ({ id, atMs: new Date(createdAt).getTime() })),
      atMs,
    );
    const run = before && (await readRun(before.id).catch(() => undefined));
    const practice = practiceOf(run?.plan.steps.find(({ id }) => id === stepId));
    if (!run || !practice) return;
    const review = annotationsOf(run.events).review.steps.find((one) => one.stepId === stepId)?.breath;
    const ease = review?.inOut ?? undefined;
    last.value = { atMs: before.atMs, practice, easy: ease && ease === 'easy' };
  });
  return last;
}
