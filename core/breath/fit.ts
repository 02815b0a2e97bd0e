import { toMs, type Ms, type Seconds } from '#core/time';
import { BREATH_LIMITS, practiceMs, roundMs, type BreathPractice } from './practice';

/** What a fitting may change. */
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

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * The rounds of each set, at least one, whose length comes nearest to the target without passing it; of those that come
 * equally near, the ones that keep best to the proportions the practice has them in. Exact: dynamic programming over the
 * lengths that rounds can add up to. Undefined where one round of each set is too long.
 */
function roundsFor({ sets }: BreathPractice, countSeconds: Seconds, targetMs: Ms): Rounds | undefined {
  const costs = sets.map((set) => roundMs(set, countSeconds));
  const restMs = sets.reduce((sum, { restSeconds }) => sum + toMs(restSeconds), 0);
  const onceMs = restMs + costs.reduce((sum, cost) => sum + cost, 0);
  if (onceMs > targetMs) return undefined;
  const unit = costs.reduce(gcd);
  const room = Math.floor((targetMs - onceMs) / unit);
  const usualMs = sets.reduce((sum, { rounds }, i) => sum + rounds * costs[i]!, 0);
  const stretch = (targetMs - restMs) / usualMs;
  const astray = (i: number, rounds: number): number => (rounds / (sets[i]!.rounds * stretch) - 1) ** 2;

  // least[u]: how little astray the sets so far can be with u units beyond one round each; extra[u]: rounds beyond one.
  let least = new Float64Array(room + 1).fill(Infinity);
  least[0] = 0;
  const taken = costs.map((cost, i) => {
    const perRound = cost / unit;
    const next = new Float64Array(room + 1).fill(Infinity);
    const extra = new Uint8Array(room + 1);
    for (let units = 0; units <= room; units++) {
      const most = Math.min(BREATH_LIMITS.maxRounds - 1, Math.floor(units / perRound));
      for (let more = 0; more <= most; more++) {
        const value = least[units - more * perRound]! + astray(i, more + 1);
        if (value < next[units]!) {
          next[units] = value;
          extra[units] = more;
        }
      }
    }
    least = next;
    return { extra, perRound };
  });
  let units = room;
  while (least[units] === Infinity) units--;
  const lengthMs = onceMs + units * unit;
  const perSet = new Array<number>(sets.length);
  for (let i = sets.length - 1; i >= 0; i--) {
    const { extra, perRound } = taken[i]!;
    perSet[i] = 1 + extra[units]!;
    units -= extra[units]! * perRound;
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
  const once = practice.sets.map((set) => ({ ...set, rounds: 1 }));
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
