import type { Approach, ClassWhere } from '#core/catalogue';
import {
  breathFrom,
  emptyPlan,
  holdFrom,
  moveStep,
  Plan,
  restStep,
  talkStep,
  type BreathStep,
  type HoldSides,
  type HoldStep,
  type Step,
} from '#core/plan';
import type { SetUp } from '#core/props';
import { POSITIONS, TECHNIQUES } from './entries';
import { row } from './rows';
import { breathSet, cycle } from './techniques';

/** A plan to start from. */
export interface Template {
  id: string;
  /** What it is for, in one line. */
  says: string;
  plan: Plan;
}

/** A library entry by its id. Throws a RangeError for one that is not there. */
export function find<T extends { id: string }>(entries: readonly T[], id: string): T {
  const entry = entries.find((candidate) => candidate.id === id);
  if (!entry) throw new RangeError(`The library has no “${id}”.`);
  return entry;
}

/** What lies there in one of the set-ups of a position. Throws a RangeError for a set-up it does not have. */
export function setUpNamed(position: string, setUp: string): SetUp {
  const found = find(find(POSITIONS, position).setUps, setUp);
  return structuredClone(found.items);
}

/** Makes a step of a plan in its approach. */
export type StepMaker = (id: string, approach: Approach, where: ClassWhere | null) => Step;

/** A position, held so many seconds on each of its sides. */
export const hold =
  (position: string, seconds: number, patch: Partial<HoldStep> = {}): StepMaker =>
  (id, approach, where) => {
    const step = holdFrom(find(POSITIONS, position), approach, id, where);
    return { ...step, sides: lasting(step.sides, seconds), ...patch };
  };

function lasting(sides: HoldSides, seconds: number): HoldSides {
  if (sides.kind === 'together' || sides.kind === 'one') return { ...sides, seconds };
  return { ...sides, length: { kind: 'even', seconds } };
}

export const breath =
  (technique: string, patch: Partial<BreathStep>): StepMaker =>
  (id) => ({ ...breathFrom(find(TECHNIQUES, technique), id), ...patch });

export const talk =
  (name: string, seconds: number): StepMaker =>
  (id) =>
    talkStep(id, name, seconds);

export const rest =
  (name: string, seconds: number): StepMaker =>
  (id) =>
    restStep(id, name, seconds);

export const loosen =
  (name: string, seconds: number): StepMaker =>
  (id) =>
    moveStep(id, name, seconds);

/** Sitting on a block on its edge. */
export const seat = [row('block', 'seat', { state: 'edge', lie: 'crosswise', why: 'hips no lower than the knees' })];
/** Lying with the knees over a bolster. */
export const kneesUp = [
  row('roundBolster', 'knees', { lie: 'crosswise' }),
  row('blanket', 'head', { state: 'quarter' }),
];
export const even = (length: number, rounds: number) => ({
  countSeconds: 1,
  sets: [breathSet('even', [cycle([length, 0, length, 0])], rounds)],
});
export const long = (out: number, rounds: number, holdFull = 0) => ({
  countSeconds: 1,
  sets: [breathSet('long', [cycle([4, holdFull, out, 0])], rounds)],
});

/** A plan of these steps; `where` is the place for which the set-ups are chosen. */
export function build(
  title: string,
  approach: Approach,
  classMinutes: number,
  intent: string,
  steps: StepMaker[],
  where: ClassWhere | null = null,
): Plan {
  return Plan.parse({
    ...emptyPlan(title, approach),
    intent,
    where,
    classSeconds: classMinutes * 60,
    steps: steps.map((make, i) => make(`s${i + 1}`, approach, where)),
  });
}
