import { propKind, type PropKind } from './kinds';
import { PROP_PLACE_NAMES } from './places';
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

/** Pieces of one kind that lie alike. */
interface Alike {
  piece: Piece;
  count: number;
  /** Where and how they lie, as one number, since this is asked very often. */
  spot: number;
}

const PLACE_NUMBERS = new Map(PROP_PLACE_NAMES.map((place, i) => [place, i]));
const SIDES: readonly Piece['side'][] = ['left', 'centre', 'right', 'each'];
const spotOf = ({ place, side, lie }: Piece): number =>
  PLACE_NUMBERS.get(place)! * 8 + SIDES.indexOf(side) * 2 + (lie === 'lengthwise' ? 0 : 1);

/** What lies in place is asked for twice: as what is needed, and then as what lies there. */
const known = new WeakMap<readonly PlacedProp[], Map<PropKind, readonly Alike[]>>();

function alikeByKind(placed: readonly PlacedProp[]): Map<PropKind, readonly Alike[]> {
  const before = known.get(placed);
  if (before) return before;
  const byKind = new Map<PropKind, Alike[]>();
  known.set(placed, byKind);
  for (const { count, ...piece } of placed) {
    const { kind } = piece;
    const spot = spotOf(piece);
    if (propKind(kind).fixture) continue;
    const list = byKind.get(kind) ?? [];
    byKind.set(kind, list);
    const same = list.find((other) => other.spot === spot && sameState(piece, other.piece));
    if (same && same.piece.optional === piece.optional) same.count += count;
    else list.push({ piece, count, spot });
  }
  return byKind;
}

/** Takes out of both lists all pieces that already lie as they will be needed. */
function withoutUnchanged(before: readonly Alike[], after: readonly Alike[]): [Alike[], Alike[]] {
  const news = after.map((one) => ({ ...one }));
  const olds = before.map((one) => ({ ...one }));
  for (const old of olds) {
    for (const other of news) {
      if (old.spot !== other.spot || !sameState(old.piece, other.piece)) continue;
      const same = Math.min(old.count, other.count);
      old.count -= same;
      other.count -= same;
    }
  }
  return [olds.filter(({ count }) => count > 0), news.filter(({ count }) => count > 0)];
}

/**
 * How many of each of `before` become each of `after`, so that as many as possible do by one action: a largest flow by
 * augmenting paths (L. R. Ford and D. R. Fulkerson, Maximal flow through a network, 1956) between pieces that lie
 * alike.
 */
function pairedByOneAction(before: readonly Alike[], after: readonly Alike[]): number[][] {
  const flow = before.map(() => after.map(() => 0));
  const isOne = before.map(({ piece, spot }) =>
    after.map((other) => spot === other.spot || sameState(piece, other.piece)),
  );
  const given = after.map(() => 0);
  /** Sends up to `most` pieces of `b` on to places that are still free; gives how many found one. */
  function send(b: number, most: number, tried: Set<number>): number {
    for (const [a, { count }] of after.entries()) {
      if (!isOne[b]![a] || tried.has(a)) continue;
      tried.add(a);
      const free = Math.min(most, count - given[a]!);
      if (free > 0) {
        given[a]! += free;
        flow[b]![a]! += free;
        return free;
      }
      // All taken: others that have a piece there may have another place for it.
      for (const holder of before.keys()) {
        const held = flow[holder]![a]!;
        if (holder === b || held === 0) continue;
        const moved = send(holder, Math.min(most, held), tried);
        if (moved === 0) continue;
        flow[holder]![a]! -= moved;
        flow[b]![a]! += moved;
        return moved;
      }
    }
    return 0;
  }
  for (const [b, { count }] of before.entries()) {
    for (let left = count; left > 0;) {
      const sent = send(b, left, new Set());
      if (sent === 0) break;
      left -= sent;
    }
  }
  return flow;
}

/** Adds what is done with one piece for so many that are alike. */
function addTimes(moves: PropMove[], count: number, ofOne: readonly PropMove[]): void {
  for (let i = 0; i < count; i++) for (const move of ofOne) moves.push(move);
}

function movesOfKind(kind: PropKind, before: readonly Alike[], after: readonly Alike[]): PropMove[] {
  const [olds, news] = withoutUnchanged(before, after);
  if (olds.length === 0 && news.length === 0) return [];
  const flow = olds.length > 0 && news.length > 0 ? pairedByOneAction(olds, news) : [];
  const unpaired = news.map(({ count }, a) => count - flow.reduce((sum, row) => sum + row[a]!, 0));
  const turned = (from: Piece, to: Piece): PropMove[] => {
    const folded = { ...from, state: to.state, ...(to.size && { size: to.size }) };
    return [
      ...(sameState(from, to) ? [] : [{ action: 'refold' as const, kind, from, to: folded }]),
      ...(sameSpot(from, to) ? [] : [{ action: 'move' as const, kind, from: folded, to }]),
    ];
  };
  const moves: PropMove[] = [];
  for (const [b, { piece: from, count }] of olds.entries()) {
    let left = count;
    const turn = (a: number, many: number): void => {
      addTimes(moves, many, turned(from, news[a]!.piece));
      left -= many;
    };
    for (const a of news.keys()) if (flow[b]![a]! > 0) turn(a, flow[b]![a]!);
    for (const a of news.keys()) {
      const many = Math.min(left, unpaired[a]!);
      unpaired[a]! -= many;
      if (many > 0) turn(a, many);
    }
    if (left > 0) addTimes(moves, left, [{ action: 'takeAway', kind, from }]);
  }
  for (const [a, { piece: to }] of news.entries()) {
    if (unpaired[a]! > 0) addTimes(moves, unpaired[a]!, [{ action: 'putDown', kind, to }]);
  }
  return moves;
}

/**
 * The least list of actions that turns the props in place `before` into those needed `after`: one entry for each piece
 * put down, taken away, refolded (or turned on another face), or moved to another place, side or lie. A piece that is
 * refolded and moved is two actions. Fixtures such as the wall are not carried.
 *
 * Least, because the number of differences between two pieces of a kind is a metric: leaving unchanged pieces alone is
 * never worse, and of the others as many as possible are paired at one action instead of two.
 */
export function propMoves(before: readonly PlacedProp[], after: readonly PlacedProp[]): readonly PropMove[] {
  if (before === after) return [];
  const from = movesFrom.get(before) ?? new WeakMap<readonly PlacedProp[], readonly PropMove[]>();
  movesFrom.set(before, from);
  const moves = from.get(after) ?? leastMoves(before, after);
  from.set(after, moves);
  return moves;
}

/** The same change of props is asked for with every edit of a plan, and in every week of a course. */
const movesFrom = new WeakMap<readonly PlacedProp[], WeakMap<readonly PlacedProp[], readonly PropMove[]>>();

function leastMoves(before: readonly PlacedProp[], after: readonly PlacedProp[]): PropMove[] {
  const olds = alikeByKind(before);
  const news = alikeByKind(after);
  const kinds = new Set([...olds.keys(), ...news.keys()]);
  return [...kinds].flatMap((kind) => movesOfKind(kind, olds.get(kind) ?? [], news.get(kind) ?? []));
}
