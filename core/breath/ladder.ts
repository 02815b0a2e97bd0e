import { z } from 'zod';
import { gcd } from '#core/numbers';
import { QUARTERS } from './parts';
import type { BreathPractice } from './practice';

/** Counts of in, hold full, out and hold empty against each other: 1 : 4 : 2 : 0. */
export const Ratio = z
  .strictObject({
    in: z.int('Counts are whole numbers.').min(1, 'A ratio begins with an in-breath.').max(60),
    holdFull: z.int('Counts are whole numbers.').min(0).max(60),
    out: z.int('Counts are whole numbers.').min(1, 'A ratio needs an out-breath.').max(60),
    holdEmpty: z.int('Counts are whole numbers.').min(0).max(60),
  })
  .refine((ratio) => ratio.in + ratio.holdFull + ratio.out + ratio.holdEmpty <= 180, 'Too many counts in one breath.');
export type Ratio = z.infer<typeof Ratio>;

/** A rung of the ladder: a ratio, and how many easy sessions at the rung before open it. */
export const Rung = z.strictObject({
  ratio: Ratio,
  /** Easy sessions at the rung before; 0 for the first. */
  gate: z.int().min(0).max(60),
});
export type Rung = z.infer<typeof Rung>;

const rung = (counts: readonly [number, number, number, number], gate: number): Rung => ({
  ratio: { in: counts[0], holdFull: counts[1], out: counts[2], holdEmpty: counts[3] },
  gate,
});

/**
 * Ratios from the gentle to the strong by what they ask, each behind a gate: first the out-breath grows, then a short full
 * hold, then a longer one; an empty hold comes after the same ratio without it. Teachers change it to their own.
 */
export const LADDER: readonly Rung[] = [
  rung([1, 0, 1, 0], 0),
  rung([2, 0, 3, 0], 3),
  rung([1, 0, 2, 0], 5),
  rung([4, 1, 6, 0], 5),
  rung([4, 2, 8, 0], 7),
  rung([1, 1, 2, 0], 7),
  rung([1, 1, 1, 1], 14),
  rung([1, 2, 2, 0], 14),
  rung([1, 2, 2, 1], 14),
  rung([1, 3, 2, 0], 14),
  rung([1, 4, 2, 0], 21),
  rung([1, 4, 2, 1], 21),
];

/** A ratio in words: `1 : 4 : 2`, with the empty hold if there is one. */
export function ratioInWords({ in: breathIn, holdFull, out, holdEmpty }: Ratio): string {
  const counts = holdEmpty > 0 ? [breathIn, holdFull, out, holdEmpty] : [breathIn, holdFull, out];
  return counts.join(' : ');
}

/** Counts in the smallest whole numbers of the same ratio: 4, 0, 8, 0 is 1, 0, 2, 0. They must be whole, not all 0. */
export function smallestRatio(counts: Ratio): Ratio {
  const shared = QUARTERS.reduce((so, one) => gcd(so, counts[one]), 0);
  const [breathIn = 0, holdFull = 0, out = 0, holdEmpty = 0] = QUARTERS.map((one) => counts[one] / shared);
  return { in: breathIn, holdFull, out, holdEmpty };
}

/** The smallest whole ratio of counts; undefined where they are not whole. */
const wholeRatio = (counts: Ratio): Ratio | undefined =>
  QUARTERS.every((quarter) => Number.isInteger(counts[quarter]))
    ? Ratio.safeParse(smallestRatio(counts)).data
    : undefined;

/**
 * Every ratio that a practice counts, each once, in its smallest whole numbers and in the order of the practice. A breath
 * that grows over the rounds has the ratio it begins with and the one it comes to.
 */
export function ratiosOfPractice({ sets }: BreathPractice): Ratio[] {
  const found = sets.flatMap(({ parts, ramp }) =>
    parts.flatMap((part) => {
      if (part.kind !== 'cycle') return [];
      const { in: breathIn, holdFull, out, holdEmpty } = part;
      const counts = { in: breathIn, holdFull, out, holdEmpty };
      const reached = ramp ? { ...counts, [ramp.of]: ramp.to } : counts;
      return [wholeRatio(counts) ?? [], wholeRatio(reached) ?? []].flat();
    }),
  );
  return [...new Map(found.map((ratio) => [ratioInWords(ratio), ratio])).values()];
}

/**
 * The ratio of the first counted breath of a practice, in its smallest whole numbers: 4, 0, 8, 0 gives 1 : 0 : 2.
 * Undefined where no breath is counted, or not in whole counts.
 */
export function ratioOfPractice({ sets }: BreathPractice): Ratio | undefined {
  for (const part of sets.flatMap(({ parts }) => parts)) {
    if (part.kind !== 'cycle') continue;
    return wholeRatio(part);
  }
  return undefined;
}

/** A typed ratio, or why it is not one; two numbers count as in and out only after a question. */
export type ReadRatio =
  { ok: true; ratio: Ratio } | { ok: false; ask: Ratio; reason: string } | { ok: false; reason: string };

/**
 * Reads a ratio as people type it: `1:4:2`, `4-16-8-4`, `1 : 1 : 1 : 1`. Three numbers are in, full and out; four end
 * with the empty hold. Two numbers could be in and out or in and hold: they come back as a question.
 */
export function readRatio(typed: string): ReadRatio {
  const pieces = typed.trim().split(/\s*[:\-–/]\s*/);
  if (pieces.length < 2 || pieces.length > 4 || pieces.some((piece) => piece === '' || Number.isNaN(Number(piece)))) {
    return { ok: false, reason: 'Type a ratio like 1:4:2 or 4-16-8-4.' };
  }
  const [first = 0, second = 0, third = 0, fourth = 0] = pieces.map(Number);
  const counts =
    pieces.length === 2
      ? { in: first, holdFull: 0, out: second, holdEmpty: 0 }
      : { in: first, holdFull: second, out: third, holdEmpty: fourth };
  const parsed = Ratio.safeParse(counts);
  if (!parsed.success) return { ok: false, reason: parsed.error.issues[0]?.message ?? 'This is not a ratio.' };
  if (pieces.length === 2) {
    return { ok: false, ask: parsed.data, reason: `In ${first} and out ${second}, without a hold?` };
  }
  return { ok: true, ratio: parsed.data };
}
