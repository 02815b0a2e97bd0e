import type { Seconds } from '#core/time';
import type { Ratio } from './ladder';

/** A counted breath as it is practised: its counts, and how long one count is. */
export interface CountedBreath {
  ratio: Ratio;
  countSeconds: Seconds;
}

/** House rules of growing: how much longer a part may get in a week, as a share or as whole counts, whichever is more. */
export interface GrowthRules {
  share: number;
  counts: number;
}
export const GROWTH: GrowthRules = { share: 0.1, counts: 1 };

const PARTS = ['in', 'holdFull', 'out', 'holdEmpty'] as const;
type Part = (typeof PARTS)[number];
const PART_WORDS: Record<Part, string> = {
  in: 'the in-breath',
  holdFull: 'the full hold',
  out: 'the out-breath',
  holdEmpty: 'the empty hold',
};

/** A thousandth of a second is no growth. */
const SAME_MS = 1;

const partMs = ({ ratio, countSeconds }: CountedBreath, part: Part): number =>
  Math.round(ratio[part] * countSeconds * 1000);

/**
 * Why a breath should not grow from one to the other within a week; empty where it may. One part at a time, the holds
 * last, and no part by more than a tenth or one count, whichever is more. Getting shorter is always allowed. `easy` says
 * whether in- and out-breath have been easy as they are: before that no hold grows.
 */
export function growthRefusals(
  from: CountedBreath,
  to: CountedBreath,
  easy: boolean,
  rules: GrowthRules = GROWTH,
): string[] {
  const grown = PARTS.filter((part) => partMs(to, part) > partMs(from, part) + SAME_MS);
  const refusals: string[] = [];
  if (grown.length > 1) {
    refusals.push(`One part at a time: ${grown.map((part) => PART_WORDS[part]).join(' and ')} would grow together.`);
  }
  for (const part of grown) {
    const before = partMs(from, part);
    const most = Math.max(before * (1 + rules.share), before + rules.counts * Math.round(from.countSeconds * 1000));
    if (partMs(to, part) > most + SAME_MS) {
      const seconds = (ms: number) => `${Math.round(ms / 100) / 10} s`;
      refusals.push(
        `At most ${seconds(most)} for ${PART_WORDS[part]} this week, from ${seconds(before)}; not ${seconds(partMs(to, part))}.`,
      );
    }
  }
  if (!easy && grown.some((part) => part === 'holdFull' || part === 'holdEmpty')) {
    refusals.push('The holds grow last: first in- and out-breath should be easy as they are.');
  }
  return refusals;
}
