import type { NamedSetUp, Position } from './position';

/** On or at what a step takes place. */
export const WHERE_NAMES = ['floor', 'bed', 'sofa', 'chair', 'wall', 'outdoors'] as const;
export type Where = (typeof WHERE_NAMES)[number];

/** Where a whole class takes place: as a step does, or online, with everybody at home. */
export const CLASS_WHERE_NAMES = [...WHERE_NAMES, 'online'] as const;
export type ClassWhere = (typeof CLASS_WHERE_NAMES)[number];

export const WHERE_WORDS: Readonly<Record<ClassWhere, string>> = {
  floor: 'on the floor',
  bed: 'in bed',
  sofa: 'on a sofa',
  chair: 'on a chair',
  wall: 'at the wall',
  outdoors: 'outdoors',
  online: 'online',
};

const isFor = (where: Where) => (setUp: NamedSetUp) => setUp.where === where;
const needs = (kind: 'wall' | 'chair') => (setUp: NamedSetUp) =>
  setUp.items.some((row) => row.kind === kind && !row.optional);
const onTheFloor = ({ where }: NamedSetUp): boolean => where === undefined || where === 'floor';

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
  outdoors: [
    isFor('outdoors'),
    (setUp) => onTheFloor(setUp) && !setUp.home && !needs('wall')(setUp) && !needs('chair')(setUp),
  ],
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
