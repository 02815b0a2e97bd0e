import { median, type Ms } from '#core/numbers';
import type { SpokenPhase } from './spoken-phases';
import type { Mark } from './marks';

/** A counted breath, as it was heard. */
export interface BreathRead {
  /** Counts in, held, out, held empty; 0 where there is none. */
  counts: [number, number, number, number];
  /** Rounds that were led; null where neither counting nor the clock tells. */
  rounds: number | null;
  /** Rounds that were announced. */
  announced: number | null;
}

const ROUNDS_BEFORE_MS = 90_000;
const ROUNDS_WITHIN_MS = 30_000;
/** Nobody breathes in twice within less. */
const MIN_ROUND_MS = 3000;
/** Rounds that were announced are taken for those that were led where they fit the time to so much. */
const FITS = 0.2;

/** The counts and rounds of a breath that was led between two moments, from what was counted aloud and announced. */
export function breathOf(marks: readonly Mark[], startMs: Ms, endMs: Ms): BreathRead {
  const phases = marks.flatMap((mark) =>
    mark.kind === 'phase' && mark.atMs >= startMs && mark.atMs < endMs ? [mark.phase] : [],
  );
  const firstMs = phases[0]?.atMs ?? startMs;
  // The last number before the first breath is the one that counts: earlier ones belong to something else.
  const announced =
    marks
      .flatMap((mark) => {
        if (mark.atMs < startMs - ROUNDS_BEFORE_MS || mark.atMs > firstMs + ROUNDS_WITHIN_MS) return [];
        if (mark.kind === 'rounds' && mark.count > 1) return [mark.count];
        return mark.kind === 'breaths' && mark.least === mark.most && mark.most > 1 ? [mark.most] : [];
      })
      .at(-1) ?? null;
  const kinds = phases.map(({ kind }, i) =>
    kind === 'hold' ? (beforeHold(phases, i) === 'out' ? 'holdEmpty' : 'holdFull') : kind,
  );
  const counted = (kind: string): number =>
    mostOften(phases.flatMap((one, i) => (kinds[i] === kind && one.counted > 0 ? [one.counted] : [])));
  const heldEmpty = kinds.filter((kind) => kind === 'holdEmpty').length;
  const counts: BreathRead['counts'] = [
    counted('in'),
    counted('holdFull'),
    counted('out'),
    heldEmpty > 1 ? counted('holdEmpty') : 0,
  ];
  const ins = phases.filter((_, i) => kinds[i] === 'in');
  // Many teachers explain the count before they lead it, and some announce it every round.
  const called = ins.filter(({ isDeclared }) => !isDeclared);
  const heard = [called.length > 1 ? called : ins, ins].flatMap((some) => roundsOf(some, startMs, endMs));
  // The number that was announced is right if either count comes close to it.
  const isAsAnnounced = heard.some(
    (rounds) => announced !== null && Math.abs(announced - rounds) <= Math.max(1, announced * FITS),
  );
  return { counts, announced, rounds: isAsAnnounced ? announced : (heard[0] ?? announced) };
}

/** How many rounds in-breaths are: those that were called where all were, else as many as fit the time. */
function roundsOf(ins: readonly SpokenPhase[], startMs: Ms, endMs: Ms): number[] {
  // The first of two in-breaths that stand close together was only announced: `in for four`.
  const led = ins.filter(({ atMs }, i) => (ins[i + 1]?.atMs ?? Infinity) - atMs > MIN_ROUND_MS);
  const roundMs = median(led.slice(1).map(({ atMs }, i) => atMs - (led[i]?.atMs ?? atMs)));
  if (roundMs === undefined) return [];
  const byClock = Math.round((endMs - (led[0]?.atMs ?? startMs)) / roundMs);
  return [led.length >= byClock * (1 - FITS) ? led.length : byClock];
}
const beforeHold = (phases: readonly SpokenPhase[], at: number): SpokenPhase['kind'] | undefined =>
  phases.slice(0, at).findLast(({ kind }) => kind !== 'hold')?.kind;

/** The number that stands there most often; of two the larger: counting aloud stops early now and then. */
function mostOften(numbers: readonly number[]): number {
  const times = new Map<number, number>();
  for (const number of numbers) times.set(number, (times.get(number) ?? 0) + 1);
  return [...times].sort(([a, n], [b, m]) => m - n || b - a)[0]?.[0] ?? 0;
}
