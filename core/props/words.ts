import { isOwnKind, loadedHeightCm, propKind, propState, type PropKind, type Sized } from './kinds';
import type { Piece, PropMove } from './moves';
import { PROP_PLACES } from './places';
import type { SetUp } from './setup';

/** `1 bolster`, `2 blankets`. */
export function pieceCount(kind: PropKind, count: number): string {
  const { label, plural } = propKind(kind);
  return `${count} ${count === 1 ? label : plural}`;
}

/** A set-up in one line for a list: `bolster, 2 blankets, wall`. Empty where there are no props. */
export function setUpInWords(setUp: SetUp): string {
  const counts = new Map<PropKind, number>();
  for (const { kind, side, count } of setUp)
    counts.set(kind, (counts.get(kind) ?? 0) + count * (side === 'each' ? 2 : 1));
  return [...counts].map(([kind, count]) => (count === 1 ? propKind(kind).label : pieceCount(kind, count))).join(', ');
}

/** A row of a set-up as a teacher says it: `2 blocks, on edge, crosswise, under the forehead, left`. */
export function setUpRowInWords({ kind, state, lie, place, side, count, loopCm }: SetUp[number]): string {
  const { label, states, fixture } = propKind(kind);
  const pieces = count > 1 ? pieceCount(kind, count) : label;
  if (fixture) return `${pieces} ${PROP_PLACES[place]}`;
  const known = Object.keys(states).length > 1 ? propState(kind, state)?.label : isOwnKind(kind) ? state : undefined;
  const loop = loopCm === undefined ? undefined : `${loopCm} cm round`;
  const where = `${PROP_PLACES[place]}${side === 'each' ? ', each side' : SIDE_WORDS[side]}`;
  return [pieces, known, loop, lie === 'crosswise' ? 'crosswise' : undefined, where].filter(Boolean).join(', ');
}

/** The height of a row's stack in centimetres under load: pieces times height less what they give. */
export const stackHeightCm = (piece: Sized, count: number): number => count * loadedHeightCm(piece);

const SIDE_WORDS = { centre: '', each: '', left: ', left', right: ', right' } as const;

/** What happens to a piece on the way from one set-up to the next, as one thing to say: folded, and put where it goes. */
interface Errand {
  action: 'bring' | 'away' | 'change';
  kind: PropKind;
  /** What follows the name of the prop, with what joins it: ` under the knees`, `: rolled`. */
  says: string;
}

const stateLabel = ({ kind, state }: Piece): string => propState(kind, state)?.label ?? state;

function whereTo(from: Piece, { place, side, lie }: Piece): string {
  if (place !== from.place) return `${PROP_PLACES[place]}${SIDE_WORDS[side]}`;
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
    if (move.action === 'putDown') list.push({ action: 'bring', kind, says: '' });
    else if (move.action === 'takeAway') list.push({ action: 'away', kind, says: '' });
    else if (move.action === 'move') list.push({ action: 'change', kind, says: ` ${whereTo(move.from, move.to)}` });
    else if (next?.action === 'move' && isSamePiece(move.to, next.from)) {
      list.push({ action: 'change', kind, says: `: ${stateLabel(move.to)}, ${whereTo(next.from, next.to)}` });
      i++;
    } else list.push({ action: 'change', kind, says: `: ${stateLabel(move.to)}` });
  }
  return list;
}

/** What to do before a change, in a colleague's words: `bring 2 blankets; bolster under the knees; block away`. */
export function movesInWords(moves: readonly PropMove[]): string {
  const counts = new Map<string, { errand: Errand; count: number }>();
  for (const errand of errands(moves)) {
    const key = JSON.stringify(errand);
    counts.set(key, { errand, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  const of = (action: Errand['action']): string[] =>
    [...counts.values()]
      .filter(({ errand }) => errand.action === action)
      .map(
        ({ errand: { kind, says }, count }) => `${count === 1 ? propKind(kind).label : pieceCount(kind, count)}${says}`,
      );
  const [bring, away] = [of('bring').join(', '), of('away').join(', ')];
  return [bring && `bring ${bring}`, ...of('change'), away && `${away} away`].filter(Boolean).join('; ');
}
