import type { Figure } from '#core/body';
import { KNEELING_FIGURES } from './kneeling';
import { SEATED_FIGURES } from './seated';
import { SUPINE_FIGURES } from './supine';
import { WALL_FIGURES } from './wall';

/** The figures of the built-in positions, by the position's id. */
export const FIGURES: Readonly<Record<string, Figure>> = {
  ...SEATED_FIGURES,
  ...KNEELING_FIGURES,
  ...SUPINE_FIGURES,
  ...WALL_FIGURES,
};
