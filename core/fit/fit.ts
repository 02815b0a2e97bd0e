import { withLengths } from '#core/plan';
import type { FieldIssue } from '#core/document';
import { toMs, type Ms } from '#core/numbers';
import { DEFAULT_RULES, totalsOfPlan } from '#core/timeline';
import { makeUp, type MakeUp } from './binds';
import { freeLengths, costOf, type Choice, type FreeLength } from './free';
import { targetLength, type FitOptions } from './options';
import { solve } from '#core/knapsack';
import type { FittedLength, Planned } from './planned';
import { waysLonger, waysShorter, type Way } from './ways';

export const TOO_FINE =
  'Too many lengths here go by different fractions of a second to be fitted exactly. Lock some of them, or give holds whole seconds.';

const NOT_AS_WORKED_OUT =
  'This plan would not be as long as was worked out for it, so nothing is offered. Lock what you changed last and fit it again.';

interface Fitted {
  targetMs: Ms;
  totalMs: Ms;
  /** Every free length, changed or not, in the order of the steps. */
  lengths: readonly FittedLength[];
}

/** The result of fitting a plan. Targets leave out what is kept for talk. */
export type Fit =
  /** As near to the target as the ranges allow, and never past it. `harm` is the sum that was least. */
  | ({ kind: 'fits'; harm: number } & Fitted)
  /** Even the shortest is too long: by how much, what it is made up of, and what would do. */
  | ({
      kind: 'tooLong';
      overMs: Ms;
      madeUpOf: MakeUp;
      ways: readonly Way[];
      /** The two together that cost the least practice, where no single one does. */
      pair: readonly [Way, Way] | null;
    } & Fitted)
  /** Even the longest is too short: by how much, and what would do. */
  | ({ kind: 'tooShort'; missingMs: Ms; madeUpOf: MakeUp; ways: readonly Way[] } & Fitted)
  /** The request could not be understood. */
  | { kind: 'refused'; issues: readonly FieldIssue[] };

const lengthOf = ({ times }: FreeLength, { ms }: Choice): Ms => times * ms;

export const fittedLength = (free: FreeLength, to: Choice): FittedLength => ({
  stepId: free.stepId,
  stepIndex: free.stepIndex,
  what: free.what,
  times: free.times,
  from: free.now.value,
  to: to.value,
  fromMs: lengthOf(free, free.now),
  toMs: lengthOf(free, to),
});

/** What a plan lasts beside its free lengths, in milliseconds. */
export function fixedMs({ plan, library, rules = DEFAULT_RULES }: Planned, free: readonly FreeLength[]): Ms {
  const { totalMs } = totalsOfPlan(plan, library, rules);
  return free.reduce((ms, one) => ms - lengthOf(one, one.now), totalMs);
}

/**
 * One choice for each free length, so that with what is fixed they come nearest to a target; undefined if none does.
 */
export function choose(free: readonly FreeLength[], budgetMs: Ms, ticks?: (share: number) => void) {
  const items = free.map((one) => ({
    ms: one.choices.map((choice) => lengthOf(one, choice)),
    costs: one.choices.map((choice) => costOf(one, choice)),
  }));
  return solve(items, budgetMs, ticks);
}

/**
 * Chooses every free hold (one number for both sides where they are even), rest and number of rounds within its range
 * and on its grid, so that the plan's length comes as near to the target as possible without passing it and, among
 * those, the weighted squared relative distance to the lengths it has now, Σ weight · sides · ((x − now) ÷ now)², is
 * least. Locked steps stay. Exact. Where it cannot be met: what there is at the shortest or longest, what that is made
 * up of, and what would do. `ticks` hears how much is done, from 0 to 1. Never throws; what was asked wrongly is
 * answered by field.
 */
export const fitHolds = (planned: Planned, options: FitOptions, ticks?: (share: number) => void): Fit =>
  fitAmong(planned, options, (one) => one, ticks);

/** The same, with each free length narrowed to some of its choices, at least one. */
export function fitAmong(
  planned: Planned,
  options: FitOptions,
  narrow: (one: FreeLength) => FreeLength,
  ticks?: (share: number) => void,
): Fit {
  const target = targetLength(planned.plan, options);
  if (!target.ok) return { kind: 'refused', issues: target.issues };
  const free = freeLengths(planned, options).map(narrow);
  if (!free.some(({ choices, now }) => choices.length > 1 || choices[0]!.value !== now.value)) {
    const reason =
      planned.plan.steps.length === 0
        ? 'This plan has no steps yet.'
        : 'Nothing here can become longer or shorter: every hold, rest and breath is locked or has a range of one length.';
    return { kind: 'refused', issues: [{ field: 'plan.steps', reason }] };
  }
  const targetMs = toMs(target.seconds);
  const fixed = fixedMs(planned, free);
  const at = (pick: (one: FreeLength) => Choice): Fitted => {
    const lengths = free.map((one) => fittedLength(one, pick(one)));
    return { targetMs, totalMs: lengths.reduce((sum, { toMs: ms }) => sum + ms, fixed), lengths };
  };
  const shortest = at(({ choices }) => choices[0]!);
  const madeUpOf = (lengths: readonly FittedLength[]) => makeUp(planned, lengths, options.talkSeconds);
  if (shortest.totalMs > targetMs) {
    const overMs = shortest.totalMs - targetMs;
    const ways = waysShorter(planned, options, overMs, targetMs);
    return { kind: 'tooLong', ...shortest, overMs, madeUpOf: madeUpOf(shortest.lengths), ...ways };
  }
  const longest = at(({ choices }) => choices.at(-1)!);
  const missingMs = targetMs - longest.totalMs;
  if (missingMs >= toMs(options.gridSeconds)) {
    const ways = waysLonger(planned, options, missingMs, targetMs);
    return { kind: 'tooShort', ...longest, missingMs, madeUpOf: madeUpOf(longest.lengths), ways };
  }
  const solution = choose(free, targetMs - fixed, ticks);
  if (solution === 'tooFine' || !solution)
    return { kind: 'refused', issues: [{ field: 'plan.steps', reason: TOO_FINE }] };
  const lengths = free.map((one, i) => fittedLength(one, one.choices[solution.picks[i]!]!));
  const { totalMs } = totalsOfPlan(withLengths(planned.plan, lengths), planned.library, planned.rules);
  // The compiled plan decides: a fit that does not come true is not offered.
  if (totalMs !== fixed + solution.totalMs)
    return { kind: 'refused', issues: [{ field: 'plan.steps', reason: NOT_AS_WORKED_OUT }] };
  return { kind: 'fits', targetMs, totalMs, lengths, harm: solution.cost };
}
