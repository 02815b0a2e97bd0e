import { z } from 'zod';
import { median, type Seconds } from '#core/numbers';
import { QUARTERS, type Quarter } from './parts';
import { LADDER, type Ratio, type Rung } from './ladder';

/** A person's easy breath as it was measured: seconds; a hold that was not measured is undefined. */
export interface MeasuredBreath {
  in: Seconds;
  out: Seconds;
  holdFull?: Seconds;
  holdEmpty?: Seconds;
}

/** How near to an easy breath a count that is offered stays. Whole per cent of what is easy. */
export const OfferRules = z.strictObject({
  shortest: z
    .int('Per cent are whole numbers.')
    .min(50, 'A breath is not shortened to less than 50 % of the easy one.')
    .max(100, 'The shortest is at most 100 % of the easy one.'),
  longest: z
    .int('Per cent are whole numbers.')
    .min(100, 'The longest is at least 100 % of the easy one.')
    .max(200, 'A breath is not lengthened to more than 200 % of the easy one.'),
  hold: z
    .int('Per cent are whole numbers.')
    .min(20, 'A hold is offered from 20 % of the easy one on.')
    .max(100, 'A hold is at most as long as the easy one.'),
});
export type OfferRules = z.infer<typeof OfferRules>;
/** Near the easy breath; of a hold that is easy once, this much stays easy over many breaths. Rules of thumb. */
export const OFFER_RULES: OfferRules = { shortest: 80, longest: 125, hold: 80 };

/** A count that is offered, in seconds; or why none is. */
export type OfferedCount = { ok: true; countSeconds: Seconds } | { ok: false; reason: string };

const QUARTER_WORDS: Record<Quarter, string> = {
  in: 'in-breath',
  holdFull: 'hold',
  out: 'out-breath',
  holdEmpty: 'empty hold',
};
const isHold = (quarter: Quarter): boolean => quarter === 'holdFull' || quarter === 'holdEmpty';
const inSeconds = (seconds: Seconds): string => `${seconds.toFixed(1)} s`;

/**
 * The count that is offered somebody for a ratio: the shortest, in tenths of a second, at which in-breath and out-breath
 * stay near what comes by itself, no hold is longer than is easy, and the whole breath is no faster than their own. Where
 * there is none, the reason names the part that would be too long, and by how much.
 * Examples: easy in 2.6, out 3.4: 1-0-1 is offered at 3.0 s, 1-0-2 at 2.1 s. In 4.0, out 4.0: 1-0-2 is not.
 */
export function offeredCount(measured: MeasuredBreath, ratio: Ratio, rules: OfferRules = OFFER_RULES): OfferedCount {
  const ms = (quarter: Quarter): number => Math.round((measured[quarter] ?? 0) * 1000);
  const parts = QUARTERS.filter((quarter) => ratio[quarter] > 0);
  const untried = parts.find((quarter) => measured[quarter] === undefined);
  if (untried)
    return { ok: false, reason: `No easy ${untried === 'holdFull' ? 'full' : 'empty'} hold has been measured.` };
  const counts = parts.reduce((sum, quarter) => sum + ratio[quarter], 0);
  // All in whole numbers: milliseconds times per cent, against counts of a tenth of a second.
  const shortest = Math.max(
    Math.ceil((ms('in') + ms('out')) / (100 * counts)),
    ...parts.flatMap((quarter) =>
      isHold(quarter) ? [] : [Math.ceil((ms(quarter) * rules.shortest) / (10_000 * ratio[quarter]))],
    ),
  );
  const longestOf = (quarter: Quarter): number => ms(quarter) * (isHold(quarter) ? rules.hold : rules.longest);
  const tooLong = parts.find((quarter) => shortest * ratio[quarter] * 10_000 > longestOf(quarter));
  if (!tooLong) return { ok: true, countSeconds: shortest / 10 };
  const [would, up] = [(shortest * ratio[tooLong]) / 10, longestOf(tooLong) / 100_000];
  const near = isHold(tooLong) ? `${inSeconds(up)} is easy` : `up to ${inSeconds(up)} is near your own`;
  return { ok: false, reason: `The ${QUARTER_WORDS[tooLong]} would be ${inSeconds(would)}; ${near}.` };
}

/** What a ratio would mean for a person. Seconds, and breaths a minute. */
export interface RatioOffer {
  ratio: Ratio;
  gate: number;
  /** Undefined where it is not offered, as are the others. */
  countSeconds: Seconds | undefined;
  cycleSeconds: Seconds | undefined;
  breathsAMinute: number | undefined;
  longestHoldSeconds: Seconds | undefined;
  offered: boolean;
  /** Why it is not offered; empty if it is. */
  reason: string;
}

/** A count that is practised is about this long: nobody counts to one for five seconds. */
const USUAL_COUNT_SECONDS = 1;

/** Of several numbers of counts the one whose counts come out in tenths of a second, where they are no longer than this. */
const LONGEST_COUNT_SECONDS = 2;

/**
 * A ratio with a long count as it is practised: more counts of about a second. 1:0:2 at 3.6 s is 3-0-6 at 1.2 s. In
 * tenths of a second where they divide evenly, else in thousandths, rounded down, so that nothing gets longer.
 */
export function practisedAs(ratio: Ratio, countSeconds: Seconds): { counts: Ratio; countSeconds: Seconds } {
  const tenths = Math.round(countSeconds * 10);
  const most = Math.max(1, Math.floor(countSeconds / USUAL_COUNT_SECONDS));
  const least = Math.max(1, Math.ceil(countSeconds / LONGEST_COUNT_SECONDS));
  let times = most;
  while (times > least && tenths % times !== 0) times -= 1;
  if (tenths % times !== 0) times = most;
  const counts = { ...ratio };
  for (const quarter of QUARTERS) counts[quarter] = ratio[quarter] * times;
  return { counts, countSeconds: Math.floor(Math.round(countSeconds * 1000) / times) / 1000 };
}

/** The ladder for one person: what each ratio would mean, and whether it is offered. */
export function ratioOffers(
  measured: MeasuredBreath,
  ladder: readonly Rung[] = LADDER,
  rules: OfferRules = OFFER_RULES,
): RatioOffer[] {
  return ladder.map(({ ratio, gate }) => {
    const offer = offeredCount(measured, ratio, rules);
    if (!offer.ok) {
      return {
        ratio,
        gate,
        countSeconds: undefined,
        cycleSeconds: undefined,
        breathsAMinute: undefined,
        longestHoldSeconds: undefined,
        offered: false,
        reason: offer.reason,
      };
    }
    const tenths = Math.round(offer.countSeconds * 10);
    const counts = ratio.in + ratio.holdFull + ratio.out + ratio.holdEmpty;
    return {
      ratio,
      gate,
      countSeconds: offer.countSeconds,
      cycleSeconds: (tenths * counts) / 10,
      breathsAMinute: 600 / (tenths * counts),
      longestHoldSeconds: (tenths * Math.max(ratio.holdFull, ratio.holdEmpty)) / 10,
      offered: true,
      reason: '',
    };
  });
}

const DAY_MS = 24 * 3600 * 1000;
const CURRENT_DAYS = 42;
/** Whether an easy breath was measured so long ago, more than six weeks, that it should be measured again. */
export const isOutdated = (measuredAt: string, nowMs: number): boolean =>
  nowMs - new Date(measuredAt).getTime() > CURRENT_DAYS * DAY_MS;

/** The middle of easy breaths measured one by one, in seconds. Throws a RangeError for fewer than five. */
export function medianOf(values: readonly Seconds[]): Seconds {
  const middle = median(values);
  if (middle === undefined || values.length < MIN_BREATHS)
    throw new RangeError(`At least ${MIN_BREATHS} breaths are measured.`);
  return middle;
}
export const MIN_BREATHS = 5;
