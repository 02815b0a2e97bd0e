import { ORDER_RULES, orderSteps, shareFromBest } from '#core/order';
import { Plan } from '#core/plan';
import { seeded } from '#core/numbers';
import { builtInLibrary } from '#library';
import { randomPlan } from './fit';
import { msFigure, percentile, timed, type Figure } from './measure';

/** The quietest order of so many steps of the library that all may move. */
function benchOf(steps: number, barMs: number): Figure {
  const plan = Plan.parse(randomPlan(steps, seeded(steps)));
  const times = timed(2, () => orderSteps({ plan, library: builtInLibrary }, ORDER_RULES));
  const found = orderSteps({ plan, library: builtInLibrary }, ORDER_RULES);
  const share = found.kind === 'ordered' ? shareFromBest(found) : null;
  const good = share === 0 ? 'the best' : share === null ? 'no bound' : `at most ${Math.round(100 * share)} % off`;
  return msFigure(`order, ${steps} movable steps (${good})`, percentile(times, 0.5), barMs);
}

/** Exact orders of 12 and 14 steps; good ones of 24 and 40, with how good. */
export const benchOrder = (): Figure[] => [
  benchOf(12, 1000),
  benchOf(14, 5000),
  benchOf(24, 20_000),
  benchOf(40, 30_000),
];
