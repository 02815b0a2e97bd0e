import { normals, seeded, type Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { PACE_KINDS, PRIOR_RUNS, stretchesOf, type PaceKind, type Paces } from './pace';

/** How many evenings are simulated. */
export const SIMULATED = 20_000;

/** Kinds of time that go together from one teacher to another, and how much of what is assumed of them does. */
const CHANGES: ReadonlySet<PaceKind> = new Set(['setup', 'switch', 'enter', 'leave']);
const TOGETHER = 0.7;

/** When a session would end. Lengths from its beginning, in milliseconds. */
export interface Forecast {
  plannedMs: Ms;
  targetMs: Ms;
  /** One in ten evenings ends before `earlyMs`, half before `middleMs`, nine in ten before `lateMs`. */
  earlyMs: Ms;
  middleMs: Ms;
  lateMs: Ms;
  /** How many of all evenings end on time, from 0 to 1. */
  chance: number;
  /** How much of what is uncertain each step brings, from 0 to 1, together 1; by place in the plan. */
  uncertain: readonly number[];
  /** How many past runs it stands on. */
  runs: number;
}

/**
 * Simulates so many evenings of a timeline: each kind of time at the pace of that evening, drawn about what was
 * learned, and each stretch off that by what stretches of one evening differ. The same seed gives the same numbers.
 * `ticks` hears how much is done, from 0 to 1.
 */
export function forecastFinish(
  timeline: Pick<Timeline, 'phases' | 'totals'>,
  paces: Paces,
  seed: number,
  evenings: number = SIMULATED,
  ticks: (share: number) => void = () => undefined,
): Forecast {
  const normal = normals(seeded(seed));
  const steps = 1 + timeline.phases.reduce((most, { stepIndex }) => Math.max(most, stepIndex), -1);
  // All stretches of a kind in one step as one: the more there are, the less they are off together.
  const groups = new Map<string, { step: number; kind: number; ms: Ms; squares: number }>();
  for (const { stepIndex, kind, plannedMs } of stretchesOf(timeline)) {
    const key = `${stepIndex} ${kind}`;
    const known = groups.get(key) ?? { step: stepIndex, kind: PACE_KINDS.indexOf(kind), ms: 0, squares: 0 };
    known.ms += plannedMs;
    known.squares += plannedMs ** 2;
    groups.set(key, known);
  }
  const list = [...groups.values()].filter(({ ms }) => ms > 0);
  const lengths = Float64Array.from(list, ({ ms }) => ms);
  const within = Float64Array.from(
    list,
    ({ kind, ms, squares }) => (paces.kinds[PACE_KINDS[kind]!].within * Math.sqrt(squares)) / ms,
  );
  const [kinds, places] = [Uint8Array.from(list, ({ kind }) => kind), Uint16Array.from(list, ({ step }) => step)];
  // How an evening differs from the teacher's middle, and how little is known of that: who is slow to set up is likely slow to
  // change sides as well.
  const evening = PACE_KINDS.map((kind) => {
    const { log, between, unsure, assumed } = paces.kinds[kind];
    const together = CHANGES.has(kind) ? TOGETHER * assumed : 0;
    const alone = Math.sqrt(between ** 2 + unsure ** 2 * (1 - together));
    const shared = unsure * Math.sqrt(together);
    return (ofChanges: number): number => log + shared * ofChanges + alone * normal();
  });
  const { log: stopLog, between: stopBetween, unsure: stopUnsure } = paces.stops;
  const stopSpread = Math.hypot(stopBetween, stopUnsure);

  const ends = new Float64Array(evenings);
  const ofStep = new Float64Array(steps);
  const [sums, products] = [new Float64Array(steps), new Float64Array(steps)];
  let [sum, squares] = [0, 0];
  const pace = new Float64Array(PACE_KINDS.length);
  for (let n = 0; n < evenings; n++) {
    if (n % 1000 === 0) ticks(n / evenings);
    const ofChanges = normal();
    for (let kind = 0; kind < pace.length; kind++) pace[kind] = evening[kind]!(ofChanges);
    ofStep.fill(0);
    let total = 0;
    for (let i = 0; i < lengths.length; i++) {
      const length = lengths[i]! * Math.exp(pace[kinds[i]!]! + within[i]! * normal());
      ofStep[places[i]!]! += length;
      total += length;
    }
    ends[n] = total * Math.exp(Math.max(0, stopLog + stopSpread * normal()));
    sum += total;
    squares += total * total;
    for (let step = 0; step < steps; step++) {
      sums[step]! += ofStep[step]!;
      products[step]! += ofStep[step]! * total;
    }
  }
  ticks(1);
  const variance = squares / evenings - (sum / evenings) ** 2;
  const uncertain = Array.from({ length: steps }, (_, step) => {
    const shared = products[step]! / evenings - (sums[step]! / evenings) * (sum / evenings);
    return variance > 0 ? shared / variance : 0;
  });
  const { totalMs: plannedMs, targetMs } = timeline.totals;
  const chance = ends.reduce((count, end) => (end <= targetMs ? count + 1 : count), 0) / evenings;
  ends.sort();
  const at = (share: number): Ms => Math.round(ends[Math.min(evenings - 1, Math.floor(share * evenings))] ?? 0);
  return {
    plannedMs,
    targetMs,
    earlyMs: at(0.1),
    middleMs: at(0.5),
    lateMs: at(0.9),
    chance,
    uncertain,
    runs: paces.runs,
  };
}

const percentOver = (ms: Ms, ofMs: Ms): number => Math.round(100 * (ms / ofMs - 1));

/** `Planned 60:00; your sessions run 4 % long; 90 % likely to end by 64:30.` */
export function forecastInWords({ plannedMs, middleMs, lateMs, runs }: Forecast): string {
  if (plannedMs === 0) return 'Nothing is planned yet.';
  const over = percentOver(middleMs, plannedMs);
  const whose = runs === 0 ? 'sessions usually run' : 'your sessions run';
  const how = over === 0 ? 'to plan' : `${Math.abs(over)} % ${over > 0 ? 'long' : 'short'}`;
  return `Planned ${clockOfMs(plannedMs)}; ${whose} ${how}; 90 % likely to end by ${clockOfMs(lateMs)}.`;
}

/** What it stands on, as a sentence. */
export function basisInWords({ runs }: Pick<Forecast, 'runs'>): string {
  if (runs === 0)
    return 'No session has been led to its end yet, so this is assumed: holds and breath as planned, setting up and changing sides a tenth longer, getting in and coming out a twentieth, talking a seventh.';
  if (runs < 2 * PRIOR_RUNS)
    return `Based on ${runs} ${runs === 1 ? 'session' : 'sessions'}; typical values still count for a part.`;
  return `Based on ${runs} sessions.`;
}

/** The chance to end on time, in words: `90 % likely to end by 60:00.` */
export function chanceInWords({ chance, targetMs }: Forecast): string {
  const hour = clockOfMs(targetMs);
  if (chance > 0.97) return `Very likely to end by ${hour}.`;
  if (chance < 0.03) return `Very unlikely to end by ${hour}.`;
  // Tens of per cent: the simulation says no more.
  const percent = Math.min(90, Math.max(10, Math.round(chance * 10) * 10));
  return `${percent} % likely to end by ${hour}.`;
}

const KIND_WORDS: Record<PaceKind, string> = {
  setup: 'set-ups',
  switch: 'changing sides',
  enter: 'getting in',
  leave: 'coming out',
  talk: 'talk',
  loosen: 'loosening',
  hold: 'holds',
  rest: 'rests',
  breath: 'breath',
};

/** How one kind of time goes: against plan in per cent, how much evenings differ, from how many it is learned. */
export interface PaceLine {
  kind: string;
  percent: number;
  giveOrTake: number;
  runs: number;
}

/** One line for each kind of time: what it is, done against planned in per cent, and how much evenings differ. */
export const pacesInWords = (paces: Paces): PaceLine[] =>
  PACE_KINDS.map((kind) => {
    const { log, between, runs } = paces.kinds[kind];
    return {
      kind: KIND_WORDS[kind],
      percent: Math.round(100 * (Math.exp(log) - 1)),
      giveOrTake: Math.round(100 * (Math.exp(between) - 1)),
      runs,
    };
  });
