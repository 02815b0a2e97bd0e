import { median, type Ms } from '#core/numbers';
import type { RunEvent } from '#core/run';
import type { Phase, PhaseKind, Timeline } from '#core/timeline';
import { compareRun } from './compare';

/** Kinds of time that go faster or slower than planned, each in its own way. */
export const PACE_KINDS = ['setup', 'switch', 'enter', 'leave', 'talk', 'loosen', 'hold', 'rest', 'breath'] as const;
export type PaceKind = (typeof PACE_KINDS)[number];

const KIND_OF: Record<PhaseKind, PaceKind> = {
  setup: 'setup',
  switch: 'switch',
  enter: 'enter',
  leave: 'leave',
  talk: 'talk',
  loosen: 'loosen',
  move: 'loosen',
  hold: 'hold',
  rest: 'rest',
  rebound: 'rest',
  quiet: 'rest',
  in: 'breath',
  holdFull: 'breath',
  out: 'breath',
  holdEmpty: 'breath',
  ownPace: 'breath',
  strokes: 'breath',
  retention: 'breath',
  recover: 'breath',
};

/** Planned time that goes at one pace: what one step has of a kind, on one side of a hold. */
export interface Stretch {
  stepIndex: number;
  kind: PaceKind;
  plannedMs: Ms;
  /** The phases it is made of. */
  phases: readonly number[];
}

/** A timeline as what goes at one pace each: each side of a hold, each set-up, the whole breath of a step. */
export function stretchesOf({ phases }: Pick<Timeline, 'phases'>): Stretch[] {
  const stretches = new Map<string, { stepIndex: number; kind: PaceKind; plannedMs: Ms; phases: number[] }>();
  for (const phase of phases) {
    const kind = KIND_OF[phase.kind];
    const apart = kind === 'breath' || phase.kind === 'hold' ? turnOf(phase) : phase.index;
    const key = `${phase.stepIndex} ${kind} ${apart}`;
    const known = stretches.get(key) ?? { stepIndex: phase.stepIndex, kind, plannedMs: 0 as Ms, phases: [] };
    known.plannedMs += phase.endMs - phase.startMs;
    known.phases.push(phase.index);
    stretches.set(key, known);
  }
  return [...stretches.values()];
}

const turnOf = (phase: Phase): number => (phase.kind === 'hold' ? phase.turn : -1);

/** How one kind of time went in one run: the mean logarithm of done ÷ planned, how much it varied, over how many. */
interface KindOfRun {
  /** ln(done ÷ planned) of all of it together. */
  log: number;
  /** Variance of the logarithms of the single stretches about it. */
  variance: number;
  count: number;
}

/** How a run went against its plan, by kind; what its pauses and added rests came to, as ln(by the clock ÷ led). */
export interface PaceOfRun {
  beganAtMs: Ms;
  kinds: Partial<Record<PaceKind, KindOfRun>>;
  stops: number;
}

/** How much of a plan a run must have led to say how it goes. */
const MIN_LED = 0.5;

/**
 * How a run went against its plan; null if it was not ended or less than half of it was led, or where the plan was made
 * of what was measured. What was left out says nothing.
 */
export function paceOfRun(timeline: Timeline, events: readonly RunEvent[]): PaceOfRun | null {
  const record = compareRun(timeline, events);
  if (record.startedAtMs === null || record.endedAtMs === null || !record.ended) return null;
  if (record.annotations.measuredFrom !== null) return null;
  const done = new Map<number, Ms>();
  let ledMs = 0;
  for (const { phase, activeMs } of record.spans) {
    done.set(phase, (done.get(phase) ?? 0) + activeMs);
    ledMs += activeMs;
  }
  const led = stretchesOf(timeline).flatMap((stretch) => {
    const doneMs = stretch.phases.reduce((sum, phase) => sum + (done.get(phase) ?? 0), 0);
    return doneMs > 0 ? [{ ...stretch, doneMs }] : [];
  });
  if (led.reduce((sum, { plannedMs }) => sum + plannedMs, 0) < MIN_LED * timeline.totals.totalMs) return null;
  const kinds: PaceOfRun['kinds'] = {};
  for (const kind of PACE_KINDS) {
    const of = led.filter((stretch) => stretch.kind === kind);
    if (of.length === 0) continue;
    const sum = (pick: (one: (typeof of)[number]) => Ms): Ms => of.reduce((all, one) => all + pick(one), 0);
    const log = Math.log(sum(({ doneMs }) => doneMs) / sum(({ plannedMs }) => plannedMs));
    const offs = of.map(({ doneMs, plannedMs }) => (Math.log(doneMs / plannedMs) - log) ** 2);
    // The middle one, so that one set-up that went wrong does not make all of them uncertain: for a normal spread the
    // middle of the squares is 0.455 of their mean.
    kinds[kind] = { log, variance: of.length > 1 ? (median(offs) ?? 0) / 0.455 : 0, count: of.length };
  }
  const elapsedMs = Math.max(ledMs, record.endedAtMs - record.startedAtMs);
  return { beganAtMs: record.startedAtMs, kinds, stops: Math.log(elapsedMs / Math.max(1, ledMs)) };
}

/**
 * How a kind of time goes: ln(done ÷ planned) in the middle, how much evenings differ, how much stretches of one
 * evening do.
 */
interface Pace {
  log: number;
  between: number;
  within: number;
  /** How uncertain the middle itself still is. */
  unsure: number;
  /**
   * How much of that is what was assumed, from 1 with no run towards 0: in it, kinds that go together are off together.
   */
  assumed: number;
  /** How many runs it is learned from. */
  runs: number;
}

interface Prior {
  /**
   * Done ÷ planned, and how much it differs from one teacher to another, from evening to evening and within one, as a
   * share.
   */
  ratio: number;
  teachers: number;
  between: number;
  within: number;
}

/**
 * What is assumed of a teacher nothing is known of; our own assumptions. What the clock leads goes as planned; what
 * people do takes a little longer, and differs most from one teacher to another.
 */
export const PACE_PRIORS: Record<PaceKind, Prior> = {
  setup: { ratio: 1.1, teachers: 0.3, between: 0.2, within: 0.35 },
  switch: { ratio: 1.1, teachers: 0.3, between: 0.2, within: 0.3 },
  enter: { ratio: 1.05, teachers: 0.25, between: 0.15, within: 0.25 },
  leave: { ratio: 1.05, teachers: 0.25, between: 0.15, within: 0.25 },
  talk: { ratio: 1.15, teachers: 0.3, between: 0.25, within: 0.35 },
  loosen: { ratio: 1.05, teachers: 0.25, between: 0.15, within: 0.25 },
  hold: { ratio: 1, teachers: 0.02, between: 0.015, within: 0.04 },
  rest: { ratio: 1, teachers: 0.04, between: 0.03, within: 0.06 },
  breath: { ratio: 1, teachers: 0.02, between: 0.015, within: 0.03 },
};
/** Pauses and rests that are added, as a share of what is led. */
const STOPS_PRIOR: Prior = { ratio: 1.005, teachers: 0.01, between: 0.01, within: 0 };

/** As how many evenings the assumption of how much evenings differ counts. */
export const PRIOR_RUNS = 3;
/**
 * From how many times the usual difference on an evening counts for less (P. J. Huber, Ann. Math. Statist. 35, 1964).
 */
const HUBER = 1.345;
const ROUNDS = 25;

/** What was learned of one kind of time: a middle and a spread of logarithms, and how sure the middle is. */
type Learned = Pick<Pace, 'log' | 'between' | 'unsure' | 'assumed'>;

/**
 * A teacher's own middle and the spread of their evenings, from logarithms of evenings. The middle is drawn towards
 * what is assumed by as much as evenings differ more than teachers do (A. Gelman et al., Bayesian Data Analysis, 2013,
 * 2.5: normal with a normal prior); evenings that are far off the others count for less the farther off they are.
 */
export function shrunkEstimate(logs: readonly number[], prior: Pick<Prior, 'ratio' | 'teachers' | 'between'>): Learned {
  const start = Math.log(prior.ratio);
  let log = median(logs) ?? start;
  let between = prior.between;
  // As how many evenings the assumed middle counts.
  const counts = (): number => (between / prior.teachers) ** 2;
  let weight = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const [from, width] = [log, HUBER * between];
    const weightOf = (one: number): number => Math.min(1, width / Math.max(1e-9, Math.abs(one - from)));
    weight = logs.reduce((sum, one) => sum + weightOf(one), 0);
    const middle = logs.reduce((sum, one) => sum + weightOf(one) * one, counts() * start) / (counts() + weight);
    const squares = logs.reduce((sum, one) => sum + weightOf(one) * (one - middle) ** 2, 0);
    log = middle;
    between = Math.sqrt((PRIOR_RUNS * prior.between ** 2 + squares) / (PRIOR_RUNS + weight));
  }
  const assumed = counts() / (counts() + weight);
  return { log, between, unsure: between / Math.sqrt(counts() + weight), assumed };
}

/** How a teacher's time goes, learned from past runs: by kind, and for pauses and added rests. */
export interface Paces {
  kinds: Record<PaceKind, Pace>;
  stops: Pace;
  runs: number;
}

function paceOf(of: readonly KindOfRun[], prior: Prior): Pace {
  const middle = shrunkEstimate(
    of.map((one) => one.log),
    prior,
  );
  const freedom = of.reduce((sum, { count }) => sum + count - 1, 0);
  const variance = median(of.map((one) => one.variance)) ?? 0;
  const within = Math.sqrt((PRIOR_RUNS * prior.within ** 2 + freedom * variance) / (PRIOR_RUNS + freedom));
  return { ...middle, within, runs: of.length };
}

/** How a teacher's time goes, from past runs; without any, what is assumed. */
export function pacesOf(runs: readonly PaceOfRun[]): Paces {
  const kinds = Object.fromEntries(
    PACE_KINDS.map((kind) => [
      kind,
      paceOf(
        runs.flatMap((run) => run.kinds[kind] ?? []),
        PACE_PRIORS[kind],
      ),
    ]),
  ) as Record<PaceKind, Pace>;
  const stops = shrunkEstimate(
    runs.map((run) => run.stops),
    STOPS_PRIOR,
  );
  return { kinds, stops: { ...stops, within: 0, runs: runs.length }, runs: runs.length };
}
