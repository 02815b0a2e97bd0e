import { takeCounts } from './breath';
import { OpenLine } from './line';
import { dropBullet } from './marks';
import { likelyEntries, wholeName, type NameIndex } from './names';
import { beginsWithProp } from './props';

/** What ends a step within a line: a comma may also stand in the middle of one, the others do not. */
const SEPARATOR = /\s*(?:;|→|->|⇒|=>|,?\s*(?:and\s+)?\bthen\b|\s\+\s|\s>\s|,(?!\d))\s*/gu;
const isWeak = (mark: string): boolean => mark.trim() === ',' || mark.trim() === '+';

/** A stretch of a line that is a step of its own, from one place to another. */
export interface Piece {
  from: number;
  to: number;
  /** It stands after a comma, which may be in the middle of a step. */
  weak: boolean;
}

const openPiece = (typed: string, { from, to }: Piece): OpenLine => {
  const line = new OpenLine(typed.slice(from, to));
  dropBullet(line);
  return line;
};

const NO_NAME = /^(?:[\s:]|for|each|about|left|right|l|r|side|leg|rest|rebound|hold)*$/u;
const HAS_LENGTH = /\d|rest of|\bminutes?\b|\beach\b/u;
/** Whether a piece is a step by itself: a name and a length; after a comma the name must be one that is known. */
function isStepAlone(typed: string, piece: Piece, index: NameIndex): boolean {
  const line = openPiece(typed, piece);
  if (!HAS_LENGTH.test(line.text) || beginsWithProp(line.text)) return false;
  if (wholeName(line, index, 2)) return true;
  const [words = ''] = /^[^\d\uE000]+/u.exec(line.text.trim()) ?? [];
  return !NO_NAME.test(words) && likelyEntries(words.trim(), index).score >= (piece.weak ? 2 : 1);
}

const AROUND_A_NAME = /\b(?:min|mins|minutes|each|side|sides|breaths|ea)\b/gu;
/** Whether a piece is a name with at most a length. */
function isNameAlone(typed: string, piece: Piece, index: NameIndex): boolean {
  const line = openPiece(typed, piece);
  const found = beginsWithProp(line.text) ? undefined : wholeName(line, index, 1);
  return found !== undefined && !/\p{L}{3,}/u.test(line.text.slice(found.to).replace(AROUND_A_NAME, ''));
}

/** The pieces of a line that are steps of their own; the whole line if it is one step. */
export function piecesOf(typed: string, index: NameIndex): Piece[] {
  const line = new OpenLine(typed);
  dropBullet(line);
  // A comma within a name is no end of a step: `Child, wide`.
  const name = wholeName(line, index);
  const cuts: Piece[] = [];
  let [from, weak] = [0, false];
  for (const { index: at, 0: mark } of line.text.matchAll(SEPARATOR)) {
    if (name && at >= name.from && at + mark.length <= name.to) continue;
    cuts.push({ from, to: at, weak });
    [from, weak] = [at + mark.length, isWeak(mark)];
  }
  cuts.push({ from, to: typed.length, weak });
  const [first, ...others] = cuts;
  if (!first || others.length === 0 || takeCounts(new OpenLine(typed))) return joined(cuts.slice(0, 1), typed);
  if (cuts.every((cut) => isNameAlone(typed, cut, index))) return joined(cuts, typed);
  if (!isStepAlone(typed, first, index)) return joined([first], typed);
  return joined([first, ...others.filter((cut) => isStepAlone(typed, cut, index))], typed);
}

/** Pieces that reach up to the next one. */
const joined = (pieces: readonly Piece[], typed: string): Piece[] =>
  pieces.map((piece, i) => ({ ...piece, to: pieces[i + 1]?.from ?? typed.length }));
