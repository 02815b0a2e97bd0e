import type { Position, Technique } from '#core/catalogue';
import type { PositionText } from './entry';
import { FIGURES } from './figures';
import { AT_WALL } from './positions/at-wall';
import { FURTHER_SEATS } from './positions/further-seats';
import { HIPS } from './positions/hips';
import { KNEELING } from './positions/kneeling';
import { LYING } from './positions/lying';
import { LONG_HOLDS } from './positions/long-holds';
import { MOVES } from './positions/moves';
import { PRONE } from './positions/prone';
import { RESTS } from './positions/rests';
import { SEATED } from './positions/seated';
import { SEATS } from './positions/seats';
import { SUPINE } from './positions/supine';
import { SUPPORTED_FOLDS } from './positions/supported-folds';
import { WALL } from './positions/wall';
import { ADDITIONAL_TECHNIQUES } from './additional-techniques';
import { FURTHER_TECHNIQUES } from './further-techniques';
import { SPOKEN } from './spoken';
import { FIRST_TECHNIQUES } from './techniques';

/** The figure of a position that ships with Zovrin. Throws if there is none: the library is broken then. */
export function figureOf(id: string): Position['figure'] {
  const figure = FIGURES[id];
  if (!figure) throw new Error(`The position “${id}” has no figure.`);
  return figure;
}
const drawn = (entry: PositionText): Position => ({ ...entry, figure: figureOf(entry.id) });

/** The positions that ship with Zovrin. */
export const POSITIONS: readonly Position[] = [
  ...SEATS,
  ...SEATED,
  ...HIPS,
  ...KNEELING,
  ...PRONE,
  ...SUPINE,
  ...LYING,
  ...WALL,
  ...AT_WALL,
  ...RESTS,
  ...SUPPORTED_FOLDS,
  ...LONG_HOLDS,
  ...MOVES,
  ...FURTHER_SEATS,
].map(drawn);

/** The breath techniques that ship with Zovrin. */
export const TECHNIQUES: readonly Technique[] = [
  ...FIRST_TECHNIQUES,
  ...FURTHER_TECHNIQUES,
  ...ADDITIONAL_TECHNIQUES,
].map((technique) => {
  const spoken = SPOKEN[technique.id];
  return spoken ? { ...technique, spoken: [...spoken] } : technique;
});
