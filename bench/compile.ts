import type { Plan } from '#core/plan';
import { type Step } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, TEMPLATES } from '#library';
import { msFigure, percentile, timed, type Figure } from './measure';

/** A plan of so many steps, taken in turn from the templates. Longer than the schema lets in, to see how it grows. */
export function longPlan(steps: number): Plan {
  const all: Step[] = TEMPLATES.flatMap(({ plan }) => plan.steps);
  const [first] = TEMPLATES;
  if (!first) throw new Error('no templates');
  return {
    ...first.plan,
    steps: Array.from({ length: steps }, (_, i) => ({ ...(all[i % all.length] as Step), id: `b${i}` })),
  };
}

/** Compiling a plan: 25 steps, 1,000 steps, and how it grows from 250 to 1,000. */
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
  return [
    msFigure('compile, 25 steps', short, 1),
    msFigure('compile, 1,000 steps', long, 20),
    {
      what: 'compile, 1,000 against 250 steps',
      figure: `${growth.toFixed(1)} times`,
      bar: 'about 4 (linear)',
      ok: growth < 6,
    },
  ];
}
