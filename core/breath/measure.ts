import { z } from 'zod';
import { Id, seconds } from '#core/document';
import { median, type Ms, type Seconds } from '#core/numbers';
import { MIN_BREATHS, medianOf, type MeasuredBreath } from './comfortable';

const MAX_VALUES = 60;
const Values = (what: string, most: number) =>
  z.array(seconds(what, 0.3, most)).max(MAX_VALUES, `At most ${MAX_VALUES} values are kept.`);

/**
 * One measuring of a person's easy breath: every single in- and out-breath and hold in seconds, as they came.
 * `measuredAt` is a local date and time without a zone.
 */
export const BreathMeasure = z.strictObject({
  id: Id,
  measuredAt: z.string().regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/, 'A date and time like 2026-11-26T18:30.'),
  in: Values('An in-breath', 60).min(MIN_BREATHS, `At least ${MIN_BREATHS} breaths are measured.`),
  out: Values('An out-breath', 60).min(MIN_BREATHS, `At least ${MIN_BREATHS} breaths are measured.`),
  holdFull: Values('A full hold', 180),
  holdEmpty: Values('An empty hold', 180),
});
export type BreathMeasure = z.infer<typeof BreathMeasure>;
export type MeasuredPart = 'in' | 'out' | 'holdFull' | 'holdEmpty';

/** The middle of a few values in seconds, to a hundredth; undefined if there is none. */
function middle(values: readonly Seconds[]): Seconds | undefined {
  const exact = median(values);
  return exact === undefined ? undefined : Math.round(exact * 100) / 100;
}

/** What was easy, from the single values: the medians in seconds. Throws a RangeError for fewer than five breaths. */
export function easyBreath(measure: Pick<BreathMeasure, MeasuredPart>): MeasuredBreath {
  const holdFull = middle(measure.holdFull);
  const holdEmpty = middle(measure.holdEmpty);
  return {
    in: medianOf(measure.in),
    out: medianOf(measure.out),
    ...(holdFull === undefined ? {} : { holdFull }),
    ...(holdEmpty === undefined ? {} : { holdEmpty }),
  };
}

/**
 * How steady values are: the mean distance from their median as a share of it, and a word for it. Up to 8 % is very
 * steady, up to 18 % steady; a breath that is watched is seldom steadier than that.
 */
export function steadiness(values: readonly Seconds[]): { share: number; word: 'very steady' | 'steady' | 'changing' } {
  const centre = middle(values) ?? 0;
  const share =
    centre === 0 ? 0 : values.reduce((sum, value) => sum + Math.abs(value - centre), 0) / values.length / centre;
  return { share, word: share <= 0.08 ? 'very steady' : share <= 0.18 ? 'steady' : 'changing' };
}

/** A hold that is longer than the longest before it by more than this was not easy. */
const STRAIN_SHARE = 0.25;

/** How long the next hold can be without being a strain, in seconds; undefined for the first, which is always taken. */
export const strainLimit = (before: readonly Seconds[]): Seconds | undefined =>
  before.length === 0 ? undefined : Math.max(...before) * (1 + STRAIN_SHARE);

/** Why a hold was a strain, in words; undefined if it was easy. Seconds. */
export function strainOf(before: readonly Seconds[], hold: Seconds): string | undefined {
  const limit = strainLimit(before);
  if (limit === undefined || hold <= limit) return undefined;
  const longest = Math.max(...before);
  const by = Math.round((hold / longest - 1) * 100);
  return `This hold was ${hold.toFixed(1)} s, ${by} % longer than the longest before it. Holding that much longer at once is an effort, and only what is easy is measured. Let go and breathe freely: this one is not counted, and the measuring of holds ends here.`;
}

/**
 * The breaths in a row of turns: moments in milliseconds at which an in-breath began, an out-breath began, an in-breath
 * began … A breath counts when its out-breath has ended. Lengths in seconds.
 */
export function breathsOfTurns(turns: readonly Ms[]): Pick<BreathMeasure, 'in' | 'out'> {
  const inSeconds: Seconds[] = [];
  const outSeconds: Seconds[] = [];
  for (let i = 0; i + 2 < turns.length; i += 2) {
    const [a, b, c] = [turns[i]!, turns[i + 1]!, turns[i + 2]!];
    inSeconds.push(Math.round(b - a) / 1000);
    outSeconds.push(Math.round(c - b) / 1000);
  }
  return { in: inSeconds, out: outSeconds };
}
