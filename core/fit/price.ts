import { toMs, type Ms, type Seconds } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { DEFAULT_RULES, totalsOfPlan } from '#core/timeline';
import { choose, fittedLength, fixedMs, TOO_FINE } from './fit';
import { freeLengths, onlyLonger, onlyShorter, type Choice, type FreeLength } from './free';
import type { FitOptions } from './options';
import type { FittedLength, Planned } from './planned';

/** What lengthening or shortening one step costs the others. */
export type Price =
  | {
      kind: 'costs';
      /** The step's own lengths as they would be; the others that change with it, the greatest change first. */
      own: readonly FittedLength[];
      others: readonly FittedLength[];
      /** How much comes out of the spare time (negative) or goes into it. */
      fromSpareMs: Ms;
      totalMs: Ms;
    }
  | { kind: 'none'; reason: string };

/** The choice nearest to a length in the asked direction, which may lie outside the range: it is what is asked. */
const moved = (one: FreeLength, by: Seconds): Choice => {
  const value = one.now.value + by;
  return { value, ms: toMs(value) };
};

/**
 * What a step's holds or rest cost in others where they are `by` seconds longer a side (below zero: shorter): what is
 * to spare of the class goes first, and the least harm is done to the others, none of which changes the other way.
 * Exact. The plan is as long afterwards as it is, or as its class where there is time to spare.
 */
export function priceOf(planned: Planned, stepId: string, by: Seconds, options: FitOptions): Price {
  const { plan, library, rules = DEFAULT_RULES } = planned;
  const steps = plan.steps.map((one) => (one.id === stepId ? { ...one, locked: false } : one));
  const all = freeLengths({ ...planned, plan: { ...plan, steps } }, options);
  const own = all.filter((one) => one.stepId === stepId && one.what.kind !== 'breath');
  const step = plan.steps.find(({ id }) => id === stepId);
  if (own.length === 0) return { kind: 'none', reason: 'Only holds and rests have a length that can be changed.' };
  const changed = own.map((one) => fittedLength(one, moved(one, by)));
  if (changed.some(({ to }) => to < 1 || to > 3600))
    return { kind: 'none', reason: `${step?.name ?? 'It'} cannot be so much ${by < 0 ? 'shorter' : 'longer'}.` };
  const { totalMs, targetMs } = totalsOfPlan(plan, library, rules);
  const needMs = changed.reduce((sum, length) => sum + length.toMs - length.fromMs, 0);
  const spareMs = Math.max(0, targetMs - totalMs);
  const othersMs = by > 0 ? Math.max(0, needMs - spareMs) : -needMs;
  // Others only give where this takes, and only take where it gives.
  const others = all.filter((one) => one.stepId !== stepId).map(by > 0 ? onlyShorter : onlyLonger);
  const budgetMs = (by > 0 ? -othersMs : othersMs) + others.reduce((sum, one) => sum + one.times * one.now.ms, 0);
  const solution = choose(others, budgetMs);
  if (solution === 'tooFine') return { kind: 'none', reason: TOO_FINE };
  if (!solution) {
    const mostMs = others.reduce((sum, one) => sum + one.times * (one.now.ms - one.choices[0]!.ms), 0) + spareMs;
    return {
      kind: 'none',
      reason: `The other steps and the spare time can give ${clockOfMs(mostMs)}, but this would take ${clockOfMs(needMs)}.`,
    };
  }
  const lengths = others.map((one, i) => fittedLength(one, one.choices[solution.picks[i]!]!));
  const given = lengths.reduce((sum, length) => sum + length.toMs - length.fromMs, 0);
  return {
    kind: 'costs',
    own: changed,
    others: lengths
      .filter(({ from, to }) => from !== to)
      .sort((a, b) => Math.abs(b.toMs - b.fromMs) - Math.abs(a.toMs - a.fromMs)),
    fromSpareMs: -(needMs + given),
    totalMs: fixedMs(planned, [...others, ...own]) + solution.totalMs + changed.reduce((sum, one) => sum + one.toMs, 0),
  };
}
