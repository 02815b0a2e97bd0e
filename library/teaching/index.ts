import type { Position, Technique } from '#core/catalogue';
import { BREATH_WATCH } from './breath';
import { KNEELING_AND_ON_THE_FRONT } from './kneeling-and-on-the-front';
import { LYING_AND_AT_THE_WALL } from './lying-and-at-the-wall';
import { SITTING_AND_STANDING } from './sitting-and-standing';
import type { Teaching } from './teaching';

const POSITIONS_TAUGHT: Readonly<Record<string, Teaching>> = {
  ...SITTING_AND_STANDING,
  ...KNEELING_AND_ON_THE_FRONT,
  ...LYING_AND_AT_THE_WALL,
};

/** What goes wrong and what is seen from outside of a position that ships with Zovrin; undefined for any other. */
export const teachingOf = (position: string): Teaching | undefined => POSITIONS_TAUGHT[position];

/** What is seen from outside while a technique that ships with Zovrin is practised; undefined for any other. */
export const watchedIn = (technique: string): string | undefined => BREATH_WATCH[technique];

/** A position with what goes wrong and what is seen from outside, where it does not say so itself. */
export const taughtPosition = (position: Position): Position => ({ ...teachingOf(position.id), ...position });

/** A technique with what is seen from outside, where it does not say so itself. */
export function taughtTechnique(technique: Technique): Technique {
  const watch = watchedIn(technique.id);
  return watch === undefined ? technique : { watch, ...technique };
}
