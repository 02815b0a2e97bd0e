import type { NamedSetUp, Position } from './position';
import type { ClassWhere, Where } from './where-names';

export const isFor = (where: Where) => (setUp: NamedSetUp) => setUp.where === where;
const needs = (kind: 'wall' | 'chair') => (setUp: NamedSetUp) =>
  setUp.items.some((row) => row.kind === kind && !row.optional);
const onTheFloor = ({ where }: NamedSetUp): boolean => where === undefined || where === 'floor';

/** On the floor, with no wall, no chair and nothing from home. */
const needsNoBuilding = (setUp: NamedSetUp): boolean =>
  onTheFloor(setUp) && !setUp.home && !needs('wall')(setUp) && !needs('chair')(setUp);

/** Whether a set-up can be made outdoors, where there is no wall and no chair. */
export const isOutdoors = (setUp: NamedSetUp): boolean => isFor('outdoors')(setUp) || needsNoBuilding(setUp);

/**
 * Whether a set-up is one for a place, the most fitting ones first: one made for it, then what does there. On a sofa a
 * set-up for the bed does, and in both one of things found at home; outdoors there is no wall and no chair.
 */
const FITTING: Readonly<Record<ClassWhere, readonly ((setUp: NamedSetUp) => boolean)[]>> = {
  floor: [onTheFloor],
  bed: [isFor('bed'), isFor('sofa'), ({ home }) => home],
  sofa: [isFor('sofa'), isFor('bed'), ({ home }) => home],
  chair: [isFor('chair'), needs('chair')],
  wall: [isFor('wall'), needs('wall')],
  outdoors: [isFor('outdoors'), needsNoBuilding],
  online: [(setUp) => setUp.home && onTheFloor(setUp), ({ home }) => home],
};

/** The set-up of a position that fits a place best: its first one where none is for it, or no place is given. */
export function setUpFor({ setUps }: Pick<Position, 'setUps'>, where: ClassWhere | null): NamedSetUp | undefined {
  for (const fits of where ? FITTING[where] : []) {
    const found = setUps.find(fits);
    if (found) return found;
  }
  return setUps[0];
}
