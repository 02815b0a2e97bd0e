import type { Figure } from '#core/body';
import { FURTHER_SEAT_FIGURES } from './further-seats';
import { KNEELING_FIGURES } from './kneeling';
import { LONG_HOLD_FIGURES } from './long-holds';
import { MOVE_FIGURES } from './moves';
import { REST_FIGURES } from './rests';
import { SEATED_FIGURES } from './seated';
import { SUPINE_FIGURES } from './supine';
import { SUPPORTED_FOLD_FIGURES } from './supported-folds';
import { WALL_FIGURES } from './wall';

/** The figures of the built-in positions, by the position's id. */
export const FIGURES: Readonly<Record<string, Figure>> = {
  ...SEATED_FIGURES,
  ...KNEELING_FIGURES,
  ...SUPINE_FIGURES,
  ...WALL_FIGURES,
  ...REST_FIGURES,
  ...LONG_HOLD_FIGURES,
  ...MOVE_FIGURES,
  ...FURTHER_SEAT_FIGURES,
  ...SUPPORTED_FOLD_FIGURES,
};
