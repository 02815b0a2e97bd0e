import type { SpokenLine } from '#core/catalogue';
import { BREATH_WATCH } from './breath';
import { KNEELING_AND_ON_THE_FRONT } from './kneeling-and-on-the-front';
import { LYING_AND_AT_THE_WALL } from './lying-and-at-the-wall';
import { SPOKEN } from './spoken';
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

/** What people are led through in a technique that ships with Zovrin, line by line; empty where nothing is spoken. */
export const spokenIn = (technique: string): readonly SpokenLine[] => SPOKEN[technique] ?? [];
