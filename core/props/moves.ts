import { propKind, type PropKind } from './kinds';
import type { PlacedProp } from './setup';

/** A single piece: a placed prop with a count of one. */
export type Piece = Omit<PlacedProp, 'count'>;

/** One thing done with one piece. `refold` also stands for turning a block on another face. */
export type PropMove =
  | { action: 'putDown'; kind: PropKind; to: Piece }
  | { action: 'takeAway'; kind: PropKind; from: Piece }
  | { action: 'refold'; kind: PropKind; from: Piece; to: Piece }
  | { action: 'move'; kind: PropKind; from: Piece; to: Piece };

const sameSpot = (a: Piece, b: Piece): boolean => a.place === b.place && a.side === b.side && a.lie === b.lie;
const sameState = (a: Piece, b: Piece): boolean => a.state === b.state;

function pieces(placed: readonly PlacedProp[]): Map<PropKind, Piece[]> {
  const byKind = new Map<PropKind, Piece[]>();
  for (const { count, ...piece } of placed) {
    const { kind } = piece;
    if (propKind(kind).fixture) continue;
    const list = byKind.get(kind) ?? [];
    for (let i = 0; i < count; i++) list.push(piece);
    byKind.set(kind, list);
  }
  return byKind;
}

/** Takes out of both lists every piece that already lies as it will be needed. */
function withoutUnchanged(before: readonly Piece[], after: readonly Piece[]): [Piece[], Piece[]] {
  const stillNeeded = [...after];
  const changed = before.filter((piece) => {
    const at = stillNeeded.findIndex((other) => sameSpot(piece, other) && sameState(piece, other));
    if (at < 0) return true;
    stillNeeded.splice(at, 1);
    return false;
  });
  return [changed, stillNeeded];
}

/** The largest matching of `before` to `after` among pairs that one action turns into each other (augmenting paths). */
function pairByOneAction(before: readonly Piece[], after: readonly Piece[]): Map<number, number> {
  const beforeOf = new Map<number, number>();
  const augment = (b: number, tried: Set<number>): boolean => {
    for (const [a, target] of after.entries()) {
      const piece = before[b] as Piece;
      if (tried.has(a) || !(sameSpot(piece, target) || sameState(piece, target))) continue;
      tried.add(a);
      const holder = beforeOf.get(a);
      if (holder === undefined || augment(holder, tried)) {
        beforeOf.set(a, b);
        return true;
      }
    }
    return false;
  };
  for (const b of before.keys()) augment(b, new Set());
  return new Map([...beforeOf].map(([a, b]) => [b, a]));
}

function movesOfKind(kind: PropKind, before: readonly Piece[], after: readonly Piece[]): PropMove[] {
  const [olds, news] = withoutUnchanged(before, after);
  if (olds.length === 0 && news.length === 0) return [];
  const pairs = pairByOneAction(olds, news);
  const unusedNews = news.filter((_, a) => ![...pairs.values()].includes(a));
  const moves: PropMove[] = [];
  for (const [b, from] of olds.entries()) {
    const paired = pairs.get(b);
    const to = paired === undefined ? unusedNews.shift() : news[paired];
    if (to === undefined) {
      moves.push({ action: 'takeAway', kind, from });
      continue;
    }
    const folded = { ...from, state: to.state, ...(to.size && { size: to.size }) };
    if (!sameState(from, to)) moves.push({ action: 'refold', kind, from, to: folded });
    if (!sameSpot(from, to)) moves.push({ action: 'move', kind, from: folded, to });
  }
  return [...moves, ...unusedNews.map((to): PropMove => ({ action: 'putDown', kind, to }))];
}

/**
 * The least list of actions that turns the props in place `before` into those needed `after`: one entry for each piece
 * put down, taken away, refolded (or turned on another face), or moved to another place, side or lie. A piece that is
 * refolded and moved is two actions. Fixtures such as the wall are not carried.
 *
 * Least, because the number of differences between two pieces of a kind is a metric: leaving unchanged pieces alone is
 * never worse, and of the others as many as possible are paired at one action instead of two.
 */
export function propMoves(before: readonly PlacedProp[], after: readonly PlacedProp[]): PropMove[] {
  if (before === after) return [];
  const olds = pieces(before);
  const news = pieces(after);
  const kinds = new Set([...olds.keys(), ...news.keys()]);
  return [...kinds].flatMap((kind) => movesOfKind(kind, olds.get(kind) ?? [], news.get(kind) ?? []));
}
