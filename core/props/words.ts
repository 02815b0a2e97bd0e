import { propKind, propState, type PropKind } from './kinds';
import type { PropMove } from './moves';
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

/** The height of a row's stack in centimetres under load: pieces times height less what they give. */
export function stackHeightCm(kind: PropKind, state: string, count: number): number {
  const size = propState(kind, state);
  return size ? count * (size.heightCm - size.giveCm) : 0;
}

const SIDE_WORDS = { centre: '', each: '', left: ', left', right: ', right' } as const;

/** What to do before a change, in a colleague's words: `bring 2 blankets; bolster to under the knees; 1 block away`. */
export function movesInWords(moves: readonly PropMove[]): string {
  const grouped = new Map<string, { move: PropMove; count: number }>();
  for (const move of moves) {
    const target = move.action === 'takeAway' ? '' : JSON.stringify(move.to);
    const key = `${move.action}|${move.kind}|${move.action === 'putDown' || move.action === 'takeAway' ? '' : target}`;
    const group = grouped.get(key);
    if (group) group.count++;
    else grouped.set(key, { move, count: 1 });
  }
  const groups = [...grouped.values()];
  const counted = (move: PropMove, count: number): string =>
    count === 1 ? propKind(move.kind).label : pieceCount(move.kind, count);
  const of = (action: PropMove['action']) => groups.filter(({ move }) => move.action === action);
  const bring = of('putDown').map(({ move, count }) => counted(move, count));
  const away = of('takeAway').map(({ move, count }) => counted(move, count));
  const changed = groups.flatMap(({ move, count }) => {
    if (move.action === 'refold') {
      return [`${counted(move, count)}: ${propState(move.kind, move.to.state)?.label ?? move.to.state}`];
    }
    if (move.action !== 'move') return [];
    const { place, side, lie } = move.to;
    if (place !== move.from.place) return [`${counted(move, count)} ${PROP_PLACES[place]}${SIDE_WORDS[side]}`];
    if (side !== move.from.side && side !== 'centre') return [`${counted(move, count)} to the ${side} side`];
    return [`turn ${counted(move, count)} ${lie}`];
  });
  return [
    ...(bring.length > 0 ? [`bring ${bring.join(', ')}`] : []),
    ...changed,
    ...(away.length > 0 ? [`${away.join(', ')} away`] : []),
  ].join('; ');
}
