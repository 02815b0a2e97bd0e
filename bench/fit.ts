import loadHighs from 'highs';
import { freeLengths, fitHolds, usualFitOptions, type FitOptions } from '#core/fit';
import { solve, type Item, type Solution } from '#core/knapsack';
import { emptyPlan, FIT_WEIGHTS, holdFrom, Plan } from '#core/plan';
import { builtInLibrary, POSITIONS } from '#library';
import { msFigure, percentile, timed, type Figure } from './measure';
import { seeded } from '#core/numbers';

/** A plan of so many library positions, each with a length of its own within half and twice its range. */
export function randomPlan(steps: number, random: () => number): Plan {
  const any = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  return Plan.parse({
    ...emptyPlan('Any evening', 'yin'),
    classSeconds: 5400,
    steps: Array.from({ length: steps }, (_, i) => {
      const step = holdFrom(any(POSITIONS), 'yin', `s${i}`);
      const min = 15 * (1 + Math.floor(random() * 8));
      const max = min + 15 * (1 + Math.floor(random() * 16));
      const seconds = min + Math.floor(random() * (max - min));
      const sides =
        'length' in step.sides ? { ...step.sides, length: { kind: 'even', seconds } } : { ...step.sides, seconds };
      return { ...step, sides, range: { min, max }, weight: any(FIT_WEIGHTS) };
    }),
  });
}

const itemsOf = (plan: Plan, options: FitOptions): Item[] =>
  freeLengths({ plan, library: builtInLibrary }, options).map(({ times, choices, now, weight }) => ({
    ms: choices.map(({ ms }) => ms * times),
    costs: choices.map(({ value }) => weight * times * ((value - now.value) / now.value) ** 2),
  }));

/**
 * The same problem as two integer programs for a general solver: first the longest total, then the least harm at it.
 */
async function byIntegerProgram(items: readonly Item[], budgetMs: number): Promise<{ totalMs: number; cost: number }> {
  const highs = await solver;
  const term = (factor: number, i: number, k: number): string =>
    `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} x${i}_${k}`;
  const sum = (of: 'ms' | 'costs', scale = 1): string =>
    items.flatMap((item, i) => item[of].map((value, k) => term(value * scale, i, k))).join(' ');
  const one = items.map(({ ms }, i) => ` c${i}: ${ms.map((_, k) => term(1, i, k)).join(' ')} = 1`).join('\n');
  const binary = items.flatMap(({ ms }, i) => ms.map((_, k) => `x${i}_${k}`)).join(' ');
  const program = (goal: string, limit: string): string =>
    `${goal}\nSubject To\n room: ${sum('ms', 1 / 1000)} ${limit}\n${one}\nBinary\n ${binary}\nEnd`;
  const exact = { mip_rel_gap: 0, mip_abs_gap: 1e-9, output_flag: false };
  const longest = highs.solve(program(`Maximize\n obj: ${sum('ms', 1 / 1000)}`, `<= ${budgetMs / 1000}`), exact);
  const seconds = Math.round(longest.ObjectiveValue * 1000) / 1000;
  const least = highs.solve(program(`Minimize\n obj: ${sum('costs')}`, `= ${seconds}`), exact);
  return { totalMs: Math.round(seconds * 1000), cost: least.ObjectiveValue };
}
const solver = loadHighs();

/** The exact fit of a long plan, and 200 random plans compared with a general mixed-integer solver. */
export async function benchFit(): Promise<Figure[]> {
  const random = seeded(7);
  const long = randomPlan(40, random);
  const options: FitOptions = { ...usualFitOptions(long, builtInLibrary), gridSeconds: 1 };
  // Forty positions fit into an hour and a half when there is little between them.
  const brisk = { range: { min: 20, max: 300 }, setupSeconds: 8, enterSeconds: 4, leaveSeconds: 4, switchSeconds: 6 };
  const ranges = Plan.parse({
    ...long,
    steps: long.steps.map((step) => ({ ...step, ...brisk, rebound: { kind: 'none' } })),
  });
  const planned = { plan: ranges, library: builtInLibrary };
  const fitted = fitHolds(planned, options);
  const figures = [
    msFigure(
      `fit, 40 steps, 90 min, to the second (${fitted.kind})`,
      percentile(
        timed(20, () => fitHolds(planned, options)),
        0.5,
      ),
      50,
    ),
  ];

  let [same, ours, theirs] = [0, 0, 0];
  const PLANS = 200;
  for (let n = 0; n < PLANS; n++) {
    const plan = randomPlan(4 + Math.floor(random() * 20), random);
    const items = itemsOf(plan, { ...usualFitOptions(plan, builtInLibrary), lastRestSeconds: null });
    const [least, most] = [0, -1].map((end) => items.reduce((sum, { ms }) => sum + ms.at(end)!, 0)) as [number, number];
    const budgetMs = 1000 * Math.floor((least + random() * (most - least)) / 1000);
    const from = performance.now();
    const exact = solve(items, budgetMs) as Solution;
    const between = performance.now();
    const general = await byIntegerProgram(items, budgetMs);
    ours += between - from;
    theirs += performance.now() - between;
    if (exact.totalMs === general.totalMs && Math.abs(exact.cost - general.cost) <= 1e-6 * (1 + general.cost)) same++;
  }
  return [
    ...figures,
    {
      what: 'fit, same optimum as a general mixed-integer solver',
      figure: `${same} of ${PLANS}, ${Math.round(theirs / ours)} times as fast`,
      bar: `${PLANS} of ${PLANS}`,
      ok: same === PLANS,
    },
  ];
}
