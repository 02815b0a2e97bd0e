import { emptyPlan, holdNamed, Plan, PLAN_LIMITS, type HoldStep, type Step } from '#core/plan';
import { PROP_PLACE_NAMES, rowFor, type SetUp } from '#core/props';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, TEMPLATES } from '#library';
import { msFigure, percentile, timed, type Figure } from './measure';

/** So many of the templates, the first ones: long series of counts among the later ones would measure something else. */
const OF_TEMPLATES = 4;

/** A plan of so many steps, taken in turn from the templates. Longer than the schema lets in, to see how it grows. */
export function longPlan(steps: number): Plan {
  const all: Step[] = TEMPLATES.slice(0, OF_TEMPLATES).flatMap(({ plan }) => plan.steps);
  const [first] = TEMPLATES;
  if (!first) throw new Error('no templates');
  return {
    ...first.plan,
    steps: Array.from({ length: steps }, (_, i) => ({ ...(all[i % all.length] as Step), id: `b${i}` })),
  };
}

/**
 * The plan with most to carry that the schema lets in: every stage of every hold with another set-up of 24 full rows.
 */
function heaviestPlan(): Plan {
  const places = PROP_PLACE_NAMES.slice(0, 28);
  const sides = ['each', 'left', 'right'] as const;
  const rows = (seed: number): SetUp =>
    Array.from({ length: 24 }, (_, i) => ({
      ...rowFor('blanket', places[(i * 3 + seed * 5) % places.length]!, sides[(i + seed) % 3]!, `r${i}`),
      state: (i + seed) % 2 === 0 ? 'basic' : 'rolled',
      count: 12,
    }));
  const share = { kind: 'share', weight: 1 } as const;
  const steps = Array.from({ length: PLAN_LIMITS.maxSteps }, (_, s): HoldStep => ({
    ...holdNamed(`Hold ${s}`, `s${s}`),
    sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 60 } } as const,
    setUp: rows(s),
    stages: Array.from({ length: 8 }, (_, k) => ({
      id: `k${k}`,
      name: 'k',
      length: share,
      breathSeconds: null,
      position: null,
      setUp: rows(s * 8 + k + 1),
    })),
  }));
  return Plan.parse({ ...emptyPlan('Heaviest'), steps });
}

/** Compiling a plan: 25 steps, 1,000 steps, how it grows from 250 to 1,000, and the heaviest there may be. */
export function benchCompile(): Figure[] {
  const median = (steps: number): number => {
    const plan = longPlan(steps);
    return percentile(
      timed(60, () => compileTimeline(plan, builtInLibrary)),
      0.5,
    );
  };
  const [short, quarter, long] = [median(25), median(250), median(1000)];
  const growth = long / quarter;
  const heaviest = heaviestPlan();
  const heaviestMs = percentile(
    timed(5, () => compileTimeline(heaviest, builtInLibrary)),
    0.5,
  );
  return [
    msFigure('compile, 25 steps', short, 1),
    msFigure('compile, 1,000 steps', long, 20),
    msFigure('compile, the heaviest plan', heaviestMs, 1000),
    {
      what: 'compile, 1,000 against 250 steps',
      figure: `${growth.toFixed(1)} times`,
      bar: 'about 4 (linear)',
      ok: growth < 6,
    },
  ];
}
