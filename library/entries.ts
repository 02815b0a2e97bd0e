import type { Position } from '#core/catalogue';
import { KNEELING } from './positions/kneeling';
import { SEATED } from './positions/seated';
import { SUPINE } from './positions/supine';
import { WALL } from './positions/wall';
import { TECHNIQUES } from './techniques';

/** The positions that ship with Zovrin. */
export const POSITIONS: readonly Position[] = [...SEATED, ...KNEELING, ...SUPINE, ...WALL];

export { TECHNIQUES };
