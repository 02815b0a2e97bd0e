import { z } from 'zod';
import type { Seconds } from '#core/numbers';
import type { Ratio } from './ladder';
import { QUARTERS, QUARTER_NAMES, type Quarter } from './parts';

/** A counted breath as it is practised: its counts, and how long one count is. */
export interface CountedBreath {
  ratio: Ratio;
  countSeconds: Seconds;
}

/** Settings of growing: how much longer a part may get in a week, as a share or as whole counts, whichever is more. */
export const GrowthRules = z.strictObject({
  share: z.number('A share is a number.').min(0, 'At least 0 %.').max(1, 'At most 100 %.'),
  counts: z.int('Counts are whole numbers.').min(0, 'At least 0 counts.').max(10, 'At most 10 counts.'),
});
export type GrowthRules = z.infer<typeof GrowthRules>;
export const GROWTH: GrowthRules = { share: 0.1, counts: 1 };

/** A thousandth of a second is no growth. */
const SAME_MS = 1;

const partMs = ({ ratio, countSeconds }: CountedBreath, part: Quarter): number =>
  Math.round(ratio[part] * countSeconds * 1000);

/**
 * Why a breath should not grow from one to the other within a week; empty if it may. One part at a time, the holds
 * last, and no part by more than a tenth or one count, whichever is more. Getting shorter is always allowed. `easy`
 * says whether in- and out-breath have been easy as they are: before that no hold grows. Undefined where nobody noted it.
 */
export function growthRefusals(
  from: CountedBreath,
  to: CountedBreath,
  easy: boolean | undefined,
  rules: GrowthRules = GROWTH,
): string[] {
  const grown = QUARTERS.filter((part) => partMs(to, part) > partMs(from, part) + SAME_MS);
  const refusals: string[] = [];
  if (grown.length > 1) {
    refusals.push(
      `One part at a time: ${grown.map((part) => QUARTER_NAMES[part]).join(' and ')} would be lengthened together.`,
    );
  }
  for (const part of grown) {
    const before = partMs(from, part);
    const most = Math.max(before * (1 + rules.share), before + rules.counts * Math.round(from.countSeconds * 1000));
    if (partMs(to, part) > most + SAME_MS) {
      const seconds = (ms: number) => `${Math.round(ms / 100) / 10} s`;
      refusals.push(
        `At most ${seconds(most)} for ${QUARTER_NAMES[part]} this week, from ${seconds(before)}; not ${seconds(partMs(to, part))}.`,
      );
    }
  }
  if (!easy && grown.some((part) => part === 'holdFull' || part === 'holdEmpty')) {
    const why =
      easy === undefined
        ? 'nobody has noted yet whether the in- and out-breath were easy.'
        : 'first the in- and out-breath should be comfortable as they are.';
    refusals.push(`Retentions are lengthened last: ${why}`);
  }
  return refusals;
}
