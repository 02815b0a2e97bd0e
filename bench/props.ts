import { availableIn, newPlace, propDemand, STOCKED } from '#core/cupboard';
import { emptyPlan, holdFrom, type Plan, type Step } from '#core/plan';
import { propKind, stackFor, type Available, type SetUpRow } from '#core/props';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS } from '#library';
import { msFigure, percentile, timed, type Figure } from './measure';

const PEOPLE = 30;
const STEPS = 40;

/** A set-up in which everything is wanted: five kinds at once, several pieces each. */
const greedy = (i: number): SetUpRow[] =>
  STOCKED.filter((_, at) => (at + i) % 3 === 0).map((kind, at) => ({
    id: `row-${at}`,
    kind,
    state: Object.keys(propKind(kind).states)[i % Object.keys(propKind(kind).states).length] ?? '',
    lie: 'lengthwise',
    place: 'head',
    side: at % 2 === 0 ? 'centre' : 'each',
    count: 1 + (i % 2),
    mirror: true,
    optional: at % 4 === 3,
    why: '',
  }));

const planOf = (setUp: (i: number) => SetUpRow[] | undefined): Plan => ({
  ...emptyPlan('Bench'),
  groupSize: PEOPLE,
  steps: Array.from({ length: STEPS }, (_, i): Step => {
    const step = holdFrom(POSITIONS[i % POSITIONS.length]!, 'restorative', `step-${i}`);
    return { ...step, setUp: setUp(i) ?? step.setUp };
  }),
});

/** Props: demand and assignment for a long plan and a large group, and stacks from a full cupboard. */
export function benchProps(): Figure[] {
  const scarce = availableIn({
    ...newPlace('Bench', 'hall'),
    stock: Object.fromEntries(STOCKED.map((kind, i) => [kind, 11 + (i % 5) * 7])),
  });
  const usual = compileTimeline(
    planOf(() => undefined),
    builtInLibrary,
  );
  const short = compileTimeline(planOf(greedy), builtInLibrary);
  const full: Available = Object.fromEntries(STOCKED.slice(0, 12).map((kind) => [kind, 40]));
  const slowest = (work: (i: number) => void): number => {
    let i = 0;
    return percentile(
      timed(60, () => work(i++)),
      0.95,
    );
  };
  return [
    msFigure(
      `props, demand and assignment, ${STEPS} steps of the library for ${PEOPLE}`,
      percentile(
        timed(20, () => propDemand(usual, PEOPLE, scarce)),
        0.95,
      ),
      50,
    ),
    msFigure(
      `props, the same, ${STEPS} steps that need more than there is`,
      percentile(
        timed(20, () => propDemand(short, PEOPLE, scarce)),
        0.95,
      ),
      50,
    ),
    msFigure(
      'props, stacks from 12 kinds of 40, 95th percentile over heights',
      slowest((i) => stackFor(3 + i, 1, full)),
      20,
    ),
  ];
}
