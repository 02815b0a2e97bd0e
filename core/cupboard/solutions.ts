import { breathSeats, likeness, type Approach, type Library, type NamedSetUp, type Position } from '#core/catalogue';
import type { BreathStep, HoldStep, Plan } from '#core/plan';
import type { Available, SetUp } from '#core/props';
import { compileTimeline } from '#core/timeline';
import { insteadPieces, propDemand, unmetPieces } from './demand';

/** A solution for a step that needs more props than there are. */
export type PropSolution =
  | { kind: 'setUp'; setUp: NamedSetUp }
  /** Some people use another set-up; the rest keep the step's own. */
  | { kind: 'split'; setUp: NamedSetUp; people: number }
  | { kind: 'position'; position: Position; setUp: NamedSetUp };

const MAX_OF_A_KIND = 3;

interface Fit {
  unmet: number;
  instead: number;
}

/** Set-ups a breath can be practised in, by the position they are of. */
const seatsAmong = (candidates: readonly Position[]): NamedSetUp[] =>
  breathSeats(candidates).flatMap(({ names, setUps }) =>
    setUps.map((setUp) => ({ ...setUp, name: `${names.english}, ${setUp.name.toLowerCase()}` })),
  );

/**
 * What else could be done in a hold or a breath whose set-up needs more than there is: another of the position's
 * set-ups (for a breath, another seat) for all, two set-ups in the group, and for a hold another of the `candidates`
 * for the same areas of the body. Only what leaves nothing unmet (substitutes allowed, the fewest first), at most three
 * of a kind. `canUseWall` says whether a set-up at the wall comes into question for so many people.
 */
export function propSolutions(
  step: HoldStep | BreathStep,
  plan: Plan,
  library: Library,
  candidates: readonly Position[],
  available: Available,
  canUseWall: (setUp: SetUp, people: number) => boolean = () => true,
): PropSolution[] {
  const people = plan.groupSize;
  const fit = (setUp: SetUp, other: { setUp: SetUp; people: number } | null): Fit => {
    // Props of a stage belong to the set-up they came with.
    const isOther = setUp !== step.setUp;
    const alone =
      step.kind === 'hold' && isOther
        ? { ...step, setUp, stages: step.stages.map((stage) => ({ ...stage, setUp: null })), otherSetUp: other }
        : { ...step, setUp, otherSetUp: other };
    const { moments } = propDemand(compileTimeline({ ...plan, steps: [alone] }, library), people, available);
    return {
      unmet: Math.max(0, ...moments.map(({ assignment }) => unmetPieces(assignment))),
      instead: Math.max(0, ...moments.map(({ assignment }) => insteadPieces(assignment))),
    };
  };
  const works = (setUp: SetUp): Fit | undefined => {
    const found = canUseWall(setUp, people) ? fit(setUp, null) : undefined;
    return found?.unmet === 0 ? found : undefined;
  };
  const id = step.kind === 'hold' ? step.position : step.moves?.position;
  const position = id === undefined ? undefined : library.position(id);
  const named = position?.setUps ?? (step.kind === 'breath' && !step.moves ? seatsAmong(candidates) : []);
  const others = named.filter(({ items }) => JSON.stringify(items) !== JSON.stringify(step.setUp));

  const setUps = others
    .flatMap((setUp) => {
      const found = works(setUp.items);
      return found ? [{ setUp, ...found }] : [];
    })
    .sort((a, b) => a.instead - b.instead)
    .slice(0, MAX_OF_A_KIND)
    .map(({ setUp }): PropSolution => ({ kind: 'setUp', setUp }));

  const splits = others.flatMap((setUp): { setUp: NamedSetUp; people: number }[] => {
    // The fewer take the other set-up, the better: the first number that works.
    for (let some = 1; some < people; some++) {
      const split = { setUp: setUp.items, people: some };
      const wall = canUseWall(setUp.items, some) && canUseWall(step.setUp, people - some);
      if (wall && fit(step.setUp, split).unmet === 0) return [{ setUp, people: some }];
    }
    return [];
  });

  const positions = position && step.kind === 'hold' ? otherPositions(position, plan.approach, candidates, works) : [];
  return [
    ...setUps,
    ...splits
      .sort((a, b) => a.people - b.people)
      .slice(0, MAX_OF_A_KIND)
      .map((split): PropSolution => ({ kind: 'split', ...split })),
    ...positions,
  ];
}

function otherPositions(
  from: Position,
  approach: Approach,
  candidates: readonly Position[],
  works: (setUp: SetUp) => Fit | undefined,
): PropSolution[] {
  const near = candidates
    .filter(({ id, defaults }) => id !== from.id && defaults[approach])
    .map((position) => ({ position, like: likeness(from, position) }))
    .filter(({ like }) => like > 0)
    .sort((a, b) => b.like - a.like);
  const ways: PropSolution[] = [];
  for (const { position } of near) {
    const setUp = position.setUps.find(({ items }) => works(items));
    if (setUp) ways.push({ kind: 'position', position, setUp });
    if (ways.length === MAX_OF_A_KIND) break;
  }
  return ways;
}
