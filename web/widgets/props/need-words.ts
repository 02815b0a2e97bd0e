import {
  headsAtWall,
  peopleAtWall,
  wallTurns,
  type Given,
  type MetMoment,
  type Place,
  type Unmet,
  type Want,
  type PropSolution,
} from '#core/cupboard';
import type { Step } from '#core/plan';
import { pieceCount, propKind, propState, setUpInWords } from '#core/props';
import { people } from '../session/words';

/** `bolsters`, `blankets, long half`: what is wanted, in the fold it is wanted in. */
function wanted({ kind, state }: Want, count: number): string {
  const { label, plural, states } = propKind(kind);
  const fold = Object.keys(states).length > 1 ? propState(kind, state)?.label : undefined;
  return [count === 1 ? label : plural, fold].filter(Boolean).join(', ');
}

/** `8 of 12 round bolsters: for each 1 bolster and 1 blanket, quarter fold`. */
export function insteadInWords({ want, instead, pieces }: Given): string {
  if (!instead) return '';
  const by = instead.with.map(({ kind, state, count }) => {
    const fold = Object.keys(propKind(kind).states).length > 1 ? `, ${propState(kind, state)?.label}` : '';
    return `${pieceCount(kind, count)}${fold}`;
  });
  return `${pieces} of ${want.pieces} ${wanted(want, want.pieces)}: ${pieces === 1 ? '' : 'for each '}${by.join(' and ')}`;
}

/** `6 blankets, long half, short`; `10 eye pillows short, optional`. */
export const unmetInWords = ({ want, pieces }: Unmet): string =>
  `${pieces} ${wanted(want, pieces)} short${want.optional ? ', optional' : ''}`;

/** What is said of people at a wall where not all have room at once; empty if they do, or nobody needs it. */
export function wallInWords(some: number, step: Step, place: Place): string {
  if (some === 0) return '';
  if (place.wallCm === 0)
    return `${people(some)} at the wall, but ${place.name} has none free. Choose a set-up or a position that needs no wall.`;
  const atOnce = peopleAtWall(place);
  if (some <= atOnce) return '';
  const turns = wallTurns(some, atOnce);
  const setUp = 'setUp' in step ? step.setUp : null;
  const at = setUp?.find(({ kind }) => kind === 'wall');
  const heads = at ? `, heads ${headsAtWall(at.place)}` : '';
  return turns.length === 0
    ? `${people(some)} at the wall, but the wall is shorter than a mat is wide.`
    : `${people(some)} at the wall, room for ${atOnce} at once${heads}: in ${turns.length} turns of ${turns[0]}, or split the group.`;
}

/** What a place lacks for a step, in words: pieces, and the wall (empty if it is enough, or not needed). */
export interface StepTrouble {
  short: string[];
  wall: string;
}

/** Everything that a place lacks for a step, in words; undefined if it lacks nothing. */
export function stepTrouble(step: Step, moments: readonly MetMoment[], place: Place): StepTrouble | undefined {
  const unmet = moments.flatMap(({ assignment }) => assignment.unmet.filter(({ want }) => !want.optional));
  const short = [...new Set(unmet.map((one) => `${unmetInWords(one)} in ${place.name}.`))];
  const wall = wallInWords(Math.max(0, ...moments.map(({ atWall }) => atWall)), step, place);
  return short.length > 0 || wall ? { short, wall } : undefined;
}

/** The lines of it, the pieces first. */
export const troubleLines = ({ short, wall }: StepTrouble): string[] => (wall ? [...short, wall] : short);

/** What a solution does, as the label of its button. */
export function solutionInWords(way: PropSolution, groupSize: number): string {
  const props = setUpInWords(way.setUp.items) || 'no props';
  switch (way.kind) {
    case 'setUp':
      return `“${way.setUp.name}” for all: ${props}`;
    case 'split':
      return `“${way.setUp.name}” for ${way.people}, as it is for ${groupSize - way.people}: ${props}`;
    case 'position':
      return `${way.position.names.english} instead, “${way.setUp.name}”: ${props}`;
  }
}
