import { computed, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { Course } from '#core/course';
import { restoreVersion } from '#core/plan';
import { newId } from '../../client/new-id';
import { planForWeek, readWeekPlan, withPlan, type WeekPlan } from '../../state/plan-of-week';
import type { useCourse } from './use-course';

/** The plans that were made of the weeks of a course: made when one is needed, and compared with the weeks as they are. */
export function useWeekPlans({ synced, course, worked, taught }: ReturnType<typeof useCourse>) {
  const router = useRouter();
  const { trouble } = synced;
  const take = (name: string, to: Course): void => {
    trouble.value = synced.change(name, to) ?? '';
  };
  const derivedOf = (week: number) => worked.value?.weeks.find((one) => one.week === week);

  /** The plans of the weeks to come, as they are on the server. */
  const plans = shallowRef<ReadonlyMap<number, WeekPlan>>(new Map());
  watch(worked, async (found) => {
    const of = course.value;
    if (!found || !of) return;
    const made = of.plans.filter(({ week }) => !taught.value.has(week));
    const read = await Promise.all(
      made.map(async ({ week }): Promise<[number, WeekPlan][]> => {
        const derived = derivedOf(week);
        // What cannot be asked now is looked at when the plan is opened.
        const plan = derived && (await readWeekPlan(of, week, derived.plan).catch(() => undefined));
        return plan ? [[week, plan]] : [];
      }),
    );
    if (worked.value === found) plans.value = new Map(read.flat());
  });
  /** Whether somebody changed the plan of a week in the planner since it was made. */
  const isChanged = (week: number | null): boolean =>
    week !== null && plans.value.get(week)?.kind === 'changedElsewhere';

  /** Makes what somebody changed in the plan of a week a difference of that week. */
  function takeIn(week: number): void {
    const found = plans.value.get(week);
    if (!course.value || found?.kind !== 'changedElsewhere') return;
    const { document, revision, id: planId } = found.stored;
    const { differences, plans: made } = course.value;
    take('add the changes of a plan', {
      ...course.value,
      differences: [...differences, { id: newId(), week, onward: false, edit: restoreVersion(document) }],
      plans: made.map((one) => (one.week === week ? { week, planId, revision } : one)),
    });
  }

  const isMaking = ref(false);
  /** Makes the plan of a week or brings it up to date, and returns its id; undefined where it cannot be had now. */
  async function make(week: number, anew = false): Promise<string | undefined> {
    const derived = derivedOf(week);
    if (!course.value || !derived || isMaking.value) return undefined;
    isMaking.value = true;
    try {
      const made = await planForWeek(course.value, week, derived.plan, anew);
      // No undo of the course takes a plan back that is there.
      synced.changeForGood((version) => withPlan(version, made));
      await synced.save();
      return made.planId;
    } catch (error) {
      trouble.value = (error as Error).message;
      return undefined;
    } finally {
      isMaking.value = false;
    }
  }
  /** Goes to where the plan of a week is needed. */
  async function goTo(week: number, path: (planId: string) => string): Promise<void> {
    const planId = await make(week);
    if (planId !== undefined) await router.push(path(planId));
  }

  return {
    isChanged,
    takeIn,
    makeAnew: (week: number): Promise<unknown> => make(week, true),
    isReady: computed(() => worked.value !== undefined && !isMaking.value),
    teach: (week: number): Promise<void> => goTo(week, (planId) => `/teach/${planId}`),
    openCautions: (week: number): Promise<void> => goTo(week, (planId) => `/plans/${planId}/people`),
    openStudentPage: (week: number): Promise<void> => goTo(week, (planId) => `/plans/${planId}?share=handout`),
  };
}
