import { withLengths } from '#core/plan';
import { forecastFinish, type Forecast, type Paces } from '#core/review';
import type { Ms } from '#core/numbers';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { fitAmong } from './fit';
import { onlyShorter } from './free';
import type { FitOptions } from './options';
import type { FittedLength, Planned } from './planned';

/** What to shorten so that nine in ten evenings end on time. */
export type OnTimeFit =
  | { kind: 'already' }
  /** These lengths, and when it would end with them. */
  | { kind: 'shorten'; lengths: readonly FittedLength[]; forecast: Forecast }
  /** With every length at its shortest nine in ten would only end by `lateMs`. */
  | { kind: 'cannot'; lateMs: Ms }
  | { kind: 'refused'; reason: string };

const TRIES = 6;

/**
 * The lengths, none longer than it is and fitted with the least harm, with which nine in ten simulated evenings end by
 * the plan's hour. What is kept for talk and the target of the options are passed over: the hour is the class's.
 */
export function fitToEndOnTime(
  planned: Planned,
  options: FitOptions,
  paces: Paces,
  seed: number,
  evenings: number,
): OnTimeFit {
  const { plan, library, rules = DEFAULT_RULES } = planned;
  const forecastOf = (lengths: readonly FittedLength[]): Forecast =>
    forecastFinish(compileTimeline(withLengths(plan, lengths), library, rules), paces, seed, evenings);
  const now = forecastOf([]);
  if (now.lateMs <= now.targetMs) return { kind: 'already' };
  // What is to end on time nine times in ten is planned to end so much before it.
  let seconds = Math.floor((now.targetMs - (now.lateMs - now.plannedMs)) / 1000);
  for (let tries = 0; tries < TRIES; tries++) {
    if (seconds <= 0) break;
    const fit = fitAmong(planned, { ...options, talkSeconds: 0, target: { kind: 'length', seconds } }, onlyShorter);
    if (fit.kind === 'refused') return { kind: 'refused', reason: fit.issues.map(({ reason }) => reason).join(' ') };
    const forecast = forecastOf(fit.lengths);
    if (fit.kind === 'tooLong') {
      if (forecast.lateMs > now.targetMs) return { kind: 'cannot', lateMs: forecast.lateMs };
      return { kind: 'shorten', lengths: fit.lengths, forecast };
    }
    if (forecast.lateMs <= now.targetMs) return { kind: 'shorten', lengths: fit.lengths, forecast };
    seconds -= Math.max(options.gridSeconds, Math.ceil((forecast.lateMs - now.targetMs) / 1000));
  }
  // So short a target gives every length at its shortest.
  const shortest = fitAmong(
    planned,
    { ...options, talkSeconds: 0, target: { kind: 'length', seconds: 0.001 } },
    onlyShorter,
  );
  return { kind: 'cannot', lateMs: shortest.kind === 'refused' ? now.lateMs : forecastOf(shortest.lengths).lateMs };
}
