import { gcd, toMs, type Ms, type Seconds } from '#core/numbers';
import { practiceMs, setMs } from './lengths';
import { BREATH_LIMITS } from './limits';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';

/** What fitting may change. */
export interface FitOptions {
  /** How far the length of a count may go from what it is, as a share: 0.1 for ten per cent. 0: not at all. */
  countWithin: number;
}

/** A practice fitted into a length of time, and what remains as quiet breathing. */
export type BreathFit =
  | { ok: true; practice: BreathPractice; lengthMs: Ms; quietMs: Ms }
  /** Not even one round of each set fits: the shortest there is. */
  | { ok: false; shortestMs: Ms };

/** A count is set to whole hundredths of a second: nobody counts finer. */
const COUNT_STEP_MS = 10;

interface Rounds {
  perSet: number[];
  lengthMs: Ms;
}

/** A set done a number of rounds, and how long that is. */
interface Choice {
  rounds: number;
  ms: Ms;
}

/** A set that changes over its rounds has a first and a last. */
export const fewestRounds = ({ ramp }: BreathSet): number => (ramp ? 2 : 1);

/** Every number of rounds a set may have that is no longer than so many milliseconds, and the shortest in any case. */
function choicesOf(set: BreathSet, countSeconds: Seconds, upToMs: Ms): Choice[] {
  const fewest = fewestRounds(set);
  const all = Array.from({ length: BREATH_LIMITS.maxRounds - fewest + 1 }, (_, i): Choice => {
    const rounds = fewest + i;
    return { rounds, ms: setMs({ ...set, rounds }, countSeconds) };
  });
  const shortest = Math.min(...all.map(({ ms }) => ms));
  return all.filter(({ ms }) => ms <= upToMs || ms === shortest);
}

/**
 * The rounds of each set whose length comes nearest to the target without passing it; of those that come equally near,
 * the ones that keep best to the proportions the practice has them in. Exact: dynamic programming over the lengths that
 * rounds can add up to. Undefined if the shortest of each set are too long.
 */
function roundsFor({ sets }: BreathPractice, countSeconds: Seconds, targetMs: Ms): Rounds | undefined {
  const choices = sets.map((set) => choicesOf(set, countSeconds, targetMs));
  const shortest = choices.map((of) => Math.min(...of.map(({ ms }) => ms)));
  const restMs = sets.reduce((sum, { restSeconds }) => sum + toMs(restSeconds), 0);
  const leastMs = restMs + shortest.reduce((sum, ms) => sum + ms, 0);
  if (leastMs > targetMs) return undefined;
  const beyond = choices.map((of, i) => of.map(({ ms }) => ms - shortest[i]!));
  const unit = beyond.flat().reduce(gcd, 0) || 1;
  const budget = Math.floor((targetMs - leastMs) / unit);
  const usualMs = sets.reduce((sum, set) => sum + setMs(set, countSeconds), 0);
  const stretch = (targetMs - restMs) / usualMs;
  const deviation = (i: number, rounds: number): number => (rounds / (sets[i]!.rounds * stretch) - 1) ** 2;

  // least[u]: the least deviation of the sets so far with u units beyond their shortest; taken: which of its choices each
  // set has then.
  let least = new Float64Array(budget + 1).fill(Infinity);
  least[0] = 0;
  const taken = beyond.map((extra, i) => {
    const units = extra.map((ms) => ms / unit);
    const next = new Float64Array(budget + 1).fill(Infinity);
    const which = new Uint8Array(budget + 1);
    const costs = choices[i]!.map(({ rounds }) => deviation(i, rounds));
    for (let from = 0; from <= budget; from++) {
      // Most lengths cannot be reached at all.
      if (least[from] === Infinity) continue;
      for (let n = 0; n < units.length; n++) {
        const at = from + units[n]!;
        const value = least[from]! + costs[n]!;
        if (at <= budget && value < next[at]!) {
          next[at] = value;
          which[at] = n;
        }
      }
    }
    least = next;
    return { units, which };
  });
  let at = budget;
  while (least[at] === Infinity) at--;
  const lengthMs = leastMs + at * unit;
  const perSet = new Array<number>(sets.length);
  for (let i = sets.length - 1; i >= 0; i--) {
    const { units, which } = taken[i]!;
    perSet[i] = choices[i]![which[at]!]!.rounds;
    at -= units[which[at]!]!;
  }
  return { perSet, lengthMs };
}

/** The lengths of a count that may be tried, the usual one first, then by how near they are to it; milliseconds. */
function countsToTry(countMs: Ms, within: number): Ms[] {
  const least = Math.max(BREATH_LIMITS.minCountSeconds * 1000, Math.ceil(countMs * (1 - within)));
  const most = Math.min(BREATH_LIMITS.maxCountSeconds * 1000, Math.floor(countMs * (1 + within)));
  const steps: Ms[] = [];
  for (let ms = Math.ceil(least / COUNT_STEP_MS) * COUNT_STEP_MS; ms <= most; ms += COUNT_STEP_MS) steps.push(ms);
  return [countMs, ...steps.filter((ms) => ms !== countMs)].sort(
    (a, b) => Math.abs(a - countMs) - Math.abs(b - countMs) || a - b,
  );
}

/**
 * The whole number of rounds (and, if allowed, a length of count near the usual one) that comes nearest to a length of
 * time without passing it; what remains is quiet breathing. Of two that come equally near, the one whose count is
 * changed least. `seconds` is the length to fill. Lengths come back in whole milliseconds.
 * Example: in 5, out 5 at 1.2 s in 5:00 is exactly 25 rounds, nothing over.
 */
export function fitBreath(
  practice: BreathPractice,
  seconds: Seconds,
  { countWithin }: FitOptions = { countWithin: 0 },
): BreathFit {
  const targetMs = toMs(seconds);
  let best: { rounds: Rounds; countMs: Ms } | undefined;
  let shortestMs = Infinity;
  const once = practice.sets.map((set) => ({ ...set, rounds: fewestRounds(set) }));
  for (const countMs of countsToTry(toMs(practice.countSeconds), countWithin)) {
    const rounds = roundsFor(practice, countMs / 1000, targetMs);
    if (rounds && (!best || rounds.lengthMs > best.rounds.lengthMs)) best = { rounds, countMs };
    shortestMs = Math.min(shortestMs, practiceMs({ countSeconds: countMs / 1000, sets: once }));
    if (best?.rounds.lengthMs === targetMs) break;
  }
  if (!best) return { ok: false, shortestMs };
  const { rounds, countMs } = best;
  return {
    ok: true,
    practice: {
      countSeconds: countMs / 1000,
      sets: practice.sets.map((set, i) => ({ ...set, rounds: rounds.perSet[i]! })),
    },
    lengthMs: rounds.lengthMs,
    quietMs: targetMs - rounds.lengthMs,
  };
}
