import { libraryOf, type Library, type Position, type Technique } from '#core/catalogue';
import {
  fitHolds,
  priceOf,
  fitToEndOnTime,
  usualFitOptions,
  type Fit,
  type FitOptions,
  type Planned,
  type Price,
  type OnTimeFit,
} from '#core/fit';
import {
  fitsWall,
  packingList,
  propDemand,
  propSolutions,
  type Demand,
  type PackingList,
  type PropSolution,
} from '#core/cupboard';
import {
  courseBalance,
  deriveCourse,
  entriesOfCourse,
  threadWeeks,
  whatFollows,
  type Course,
  type CourseRecord,
  type CourseSettings,
  type CourseWeek,
  type Follows,
  type ThreadWeeks,
  type WeekBalance,
} from '#core/course';
import { heldBack, orderSteps, type HeldBack, type Order, type OrderRules } from '#core/order';
import { entriesOf, type Plan } from '#core/plan';
import { forecastFinish, pacesOf, SIMULATED, type Forecast, type PaceOfRun, type Paces } from '#core/review';
import {
  compileTimeline,
  ribbonBlocks,
  type Block,
  type TimelineRules,
  type Timeline,
  type Totals,
} from '#core/timeline';
import type { Seconds } from '#core/numbers';
import type { Available, SetUp } from '#core/props';

/** A course with what it is worked out by: the record of its group, and the rules of growth in use. */
interface CourseAsk {
  course: Course;
  record: CourseRecord;
  rules: Pick<CourseSettings, 'ladder' | 'growth'>;
}

/** A week of a course with its ribbon. */
export type DrawnWeek = CourseWeek & { ribbon: Block[]; totals: Totals };
/** The weeks of a course, what grows in it, and its weeks in figures. */
export interface WorkedOutCourse {
  weeks: DrawnWeek[];
  threads: ThreadWeeks[];
  balance: WeekBalance[];
}

/** What can be worked out for a plan away from the page, with what comes of it. */
export interface Jobs {
  fit: { ask: { options: FitOptions }; answer: Fit };
  order: { ask: { rules: OrderRules }; answer: Order };
  heldBack: { ask: { rules: OrderRules; order: Extract<Order, { kind: 'ordered' }> }; answer: HeldBack[] };
  /** What each of some lengths more or less of a step costs. */
  price: { ask: { stepId: string; by: readonly Seconds[]; options: FitOptions }; answer: Price[] };
  forecast: {
    ask: { runs: readonly PaceOfRun[]; seed: number; evenings: number };
    answer: { forecast: Forecast; paces: Paces };
  };
  /** The plan unfolded in time, under these rules. */
  timeline: { ask: { rules: TimelineRules }; answer: Timeline };
  sure: { ask: { runs: readonly PaceOfRun[]; seed: number; evenings: number }; answer: OnTimeFit };
  /** What a plan needs for its group, and how a cupboard meets it. */
  props: { ask: { available: Available }; answer: Demand };
  /** What else could be done in steps that need more props than there are, by step id; `atWall` people can be at the wall. */
  propSolutions: {
    ask: { stepIds: readonly string[]; candidates: readonly Position[]; available: Available; atWall: number | null };
    answer: Record<string, PropSolution[]>;
  };
  /** What to bring from a cupboard of the teacher's to a place with these props. */
  packing: { ask: { there: Available; own: Available }; answer: PackingList };
  /** The weeks of a course; the plan of the job is its base. */
  course: { ask: CourseAsk; answer: WorkedOutCourse };
  /** What each of some changes of a course does to its weeks. */
  courseFollows: { ask: CourseAsk & { changed: readonly Course[] }; answer: Follows[][] };
}
export type JobKind = keyof Jobs;

/** A job as a value that goes to a worker: a plan, the library entries it stands on, and what is asked. */
export interface Job<K extends JobKind = JobKind> {
  kind: K;
  plan: Plan;
  positions: readonly Position[];
  techniques: readonly Technique[];
  ask: Jobs[K]['ask'];
}

/** A job for a plan, with the entries it uses of a library. */
export function jobOf<K extends JobKind>(kind: K, plan: Plan, library: Library, ask: Jobs[K]['ask']): Job<K> {
  const ids = 'course' in ask ? entriesOfCourse(ask.course) : entriesOf(plan);
  return {
    kind,
    plan,
    positions: ids.flatMap((id) => library.position(id) ?? []),
    techniques: ids.flatMap((id) => library.technique(id) ?? []),
    ask,
  };
}

type Ticks = (share: number) => void;

const WORK: { [K in JobKind]: (planned: Planned, ask: Jobs[K]['ask'], ticks: Ticks) => Jobs[K]['answer'] } = {
  fit: (planned, { options }, ticks) => fitHolds(planned, options, ticks),
  order: (planned, { rules }, ticks) => orderSteps(planned, rules, ticks),
  heldBack: (planned, { rules, order }, ticks) => heldBack(planned, rules, order, ticks),
  price: (planned, { stepId, by, options }) => by.map((seconds) => priceOf(planned, stepId, seconds, options)),
  forecast({ plan, library }, { runs, seed, evenings }, ticks) {
    const paces = pacesOf(runs);
    return { forecast: forecastFinish(compileTimeline(plan, library), paces, seed, evenings, ticks), paces };
  },
  sure: (planned, { runs, seed, evenings }) =>
    fitToEndOnTime(planned, usualFitOptions(planned.plan, planned.library), pacesOf(runs), seed, evenings),
  timeline: ({ plan, library }, { rules }) => compileTimeline(plan, library, rules),
  props: ({ plan, library }, { available }) => propDemand(compileTimeline(plan, library), plan.groupSize, available),
  propSolutions({ plan, library }, { stepIds, candidates, available, atWall }, ticks) {
    const canUseWall = (setUp: SetUp, people: number): boolean => fitsWall(setUp, people, atWall);
    const steps = plan.steps.filter(({ id }) => stepIds.includes(id));
    const found = steps.map((step, i): [string, PropSolution[]] => {
      ticks(i / steps.length);
      const isPractised = step.kind === 'hold' || step.kind === 'breath';
      return [step.id, isPractised ? propSolutions(step, plan, library, candidates, available, canUseWall) : []];
    });
    return Object.fromEntries(found);
  },
  packing: ({ plan, library }, { there, own }) =>
    packingList(compileTimeline(plan, library), plan.groupSize, there, own),
  course({ library }, { course, record, rules }) {
    const settings = { library, ...rules };
    const threads = threadWeeks(course, record, settings);
    const weeks = deriveCourse(course, record, settings, threads).map((week) => ({
      ...week,
      timeline: compileTimeline(week.plan, library),
    }));
    return {
      weeks: weeks.map(({ timeline: { phases, totals }, ...week }) => ({
        ...week,
        ribbon: ribbonBlocks(phases),
        totals,
      })),
      threads,
      balance: courseBalance(weeks, library),
    };
  },
  courseFollows: ({ library }, { course, record, rules, changed }) =>
    changed.map((after) => whatFollows(course, after, record, { library, ...rules })),
};

/**
 * Does a job where it is called. `ticks` hears how much is done, from 0 to 1. Throws nothing a caller has to expect.
 */
export function doJob<K extends JobKind>(job: Job<K>, ticks: Ticks = () => undefined): Jobs[K]['answer'] {
  const planned: Planned = { plan: job.plan, library: libraryOf(job.positions, job.techniques) };
  return WORK[job.kind](planned, job.ask, ticks);
}

/** A seed for a plan: the same plan is forecast by the same numbers, so that only what is changed changes them. */
export const FORECAST = { seed: 4711, evenings: SIMULATED } as const;
