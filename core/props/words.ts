import { isCustomKind, loadedHeightCm, propKind, propState, type PropKind, type Sized } from './kinds';
import type { Piece, PropMove } from './moves';
import { placeInWords } from './places';
import type { SetUp } from './setup';

/** `1 bolster`, `2 blankets`. */
export function pieceCount(kind: PropKind, count: number): string {
  const { label, plural } = propKind(kind);
  return `${count} ${count === 1 ? label : plural}`;
}

/** A set-up in one line for a list: `bolster, 2 blankets, wall`. Empty if there are no props. */
export function setUpInWords(setUp: SetUp): string {
  const counts = new Map<PropKind, number>();
  for (const { kind, side, count } of setUp)
    counts.set(kind, (counts.get(kind) ?? 0) + count * (side === 'each' ? 2 : 1));
  return [...counts].map(([kind, count]) => (count === 1 ? propKind(kind).label : pieceCount(kind, count))).join(', ');
}

/** A row of a set-up as a teacher says it: `2 blocks, on edge, crosswise, under the forehead, left`. */
export function setUpRowInWords({ kind, state, lie, place, side, count, loopCm, wallCm }: SetUp[number]): string {
  const { label, states, fixture } = propKind(kind);
  const pieces = count > 1 ? pieceCount(kind, count) : label;
  const words = placeInWords({ kind, state }, place);
  if (fixture) return `${pieces} ${words}${wallCm === undefined ? '' : `, about ${wallCm} cm away`}`;
  const known = Object.keys(states).length > 1 ? propState(kind, state)?.label : isCustomKind(kind) ? state : undefined;
  const loop = loopCm === undefined ? undefined : `${loopCm} cm round`;
  const where = `${words}${side === 'each' ? ', each side' : SIDE_WORDS[side]}`;
  return [pieces, known, loop, lie === 'crosswise' ? 'crosswise' : undefined, where].filter(Boolean).join(', ');
}

/** The height of a row's stack in centimetres under load: pieces times height less what they give. */
export const stackHeightCm = (piece: Sized, count: number): number => count * loadedHeightCm(piece);

const SIDE_WORDS = { centre: '', each: '', left: ', left', right: ', right' } as const;

/** What is done to pieces on the way from one set-up to the next, as a teacher calls it. */
export type MoveSort = 'putDown' | 'takeAway' | 'turn' | 'move';

/** One thing to do before a change: `bolster along the spine`, to be put down. */
export interface MoveInWords {
  sort: MoveSort;
  says: string;
  /** How many actions with one piece each that is. */
  moves: number;
}

/** What happens to one piece, as one thing to say: folded otherwise, and put where it goes. */
interface Errand {
  sort: MoveSort;
  kind: PropKind;
  /** What follows the name of the prop, with what joins it: ` under the knees`, `: rolled`. */
  says: string;
  /** The side it lies on, where that is said last. */
  side: '' | 'left' | 'right';
  moves: number;
}

const stateLabel = ({ kind, state }: Piece): string => propState(kind, state)?.label ?? state;
const hasFolds = (kind: PropKind): boolean => isCustomKind(kind) || Object.keys(propKind(kind).states).length > 1;
const sideOf = ({ side }: Piece): Errand['side'] => (side === 'left' || side === 'right' ? side : '');

/** How a new piece lies: `, basic fold, under the head`; what has one state only just lies there. */
function whereNew(piece: Piece): string {
  const look = [hasFolds(piece.kind) ? stateLabel(piece) : '', piece.lie === 'crosswise' ? 'crosswise' : ''];
  const details = look.filter(Boolean).join(', ');
  const where = placeInWords(piece, piece.place);
  return details ? `, ${details}, ${where}` : ` ${where}`;
}

function whereTo(from: Piece, to: Piece): string {
  const { place, side, lie } = to;
  if (place !== from.place) return `${placeInWords(to, place)}${SIDE_WORDS[side]}`;
  if (side !== from.side && side !== 'centre') return `to the ${side} side`;
  return side === from.side ? lie : 'to the middle';
}

const isSamePiece = (a: Piece, b: Piece): boolean => JSON.stringify(a) === JSON.stringify(b);

function errands(moves: readonly PropMove[]): Errand[] {
  const list: Errand[] = [];
  for (let i = 0; i < moves.length; i++) {
    const move = moves[i] as PropMove;
    const next = moves[i + 1];
    const { kind } = move;
    const add = (sort: MoveSort, says: string, side: Errand['side'] = '', count = 1) =>
      list.push({ sort, kind, says, side, moves: count });
    if (move.action === 'putDown') add('putDown', whereNew(move.to), sideOf(move.to));
    else if (move.action === 'takeAway') add('takeAway', '');
    else if (move.action === 'move') add('move', ` ${whereTo(move.from, move.to)}`);
    else if (next?.action === 'move' && isSamePiece(move.to, next.from)) {
      add('turn', `: ${stateLabel(move.to)}, ${whereTo(next.from, next.to)}`, '', 2);
      i++;
    } else add('turn', `: ${stateLabel(move.to)}`);
  }
  return list;
}

/** The actions between two set-ups as what a teacher does, pieces alike together: put down, take away, turn, move. */
export function moveLines(moves: readonly PropMove[]): MoveInWords[] {
  const alike = new Map<string, { errand: Errand; left: number; right: number; middle: number; moves: number }>();
  for (const errand of errands(moves)) {
    const key = `${errand.sort} ${errand.kind}${errand.says}`;
    const seen = alike.get(key) ?? { errand, left: 0, right: 0, middle: 0, moves: 0 };
    alike.set(key, seen);
    seen[errand.side || 'middle']++;
    seen.moves += errand.moves;
  }
  return [...alike.values()].map(({ errand: { sort, kind, says }, left, right, middle, moves: count }) => {
    const pieces = left + right + middle;
    const side = left > 0 && right > 0 ? ', each side' : left > 0 ? ', left' : right > 0 ? ', right' : '';
    const name = pieces === 1 ? propKind(kind).label : pieceCount(kind, pieces);
    return { sort, says: `${name}${says}${side}`, moves: count };
  });
}

/** What to do before a change, in a colleague's words: `bring bolster along the spine; block away`. */
export function movesInWords(moves: readonly PropMove[]): string {
  const byKind = moveLines(moves);
  const of = (...sorts: MoveSort[]): string[] =>
    byKind.filter(({ sort }) => sorts.includes(sort)).map(({ says }) => says);
  const [bring, away] = [of('putDown').join(' and '), of('takeAway').join(', ')];
  return [bring && `bring ${bring}`, ...of('turn', 'move'), away && `${away} away`].filter(Boolean).join('; ');
}
