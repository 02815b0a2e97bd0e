import type { SidesKind } from '#core/catalogue';
import type { Seconds } from '#core/numbers';
import type { HoldSides, SideLength } from './step';

export type Side = 'left' | 'right';

/** The lengths of a hold in seconds: one for both sides together, or one each side. */
export function sideSeconds(sides: HoldSides): { left: Seconds; right: Seconds } {
  if (sides.kind === 'together') return { left: sides.seconds, right: sides.seconds };
  if (sides.kind === 'one') {
    return sides.side === 'left' ? { left: sides.seconds, right: 0 } : { left: 0, right: sides.seconds };
  }
  const { length } = sides;
  return length.kind === 'even'
    ? { left: length.seconds, right: length.seconds }
    : { left: length.left, right: length.right };
}

export const isTwoSided = (sides: HoldSides): sides is Extract<HoldSides, { kind: 'each' | 'crossing' }> =>
  sides.kind === 'each' || sides.kind === 'crossing';

/**
 * The sides with one length changed; an even hold stays even, whichever side is meant, and `even` makes an uneven one
 * even.
 */
export function withSideSeconds(sides: HoldSides, side: Side | 'even', seconds: Seconds): HoldSides {
  if (!isTwoSided(sides)) return { ...sides, seconds };
  const { length } = sides;
  if (length.kind === 'even' || side === 'even') return { ...sides, length: { kind: 'even', seconds } };
  return { ...sides, length: { ...length, [side]: seconds } };
}

/** The same sides with each of their lengths changed, to whole milliseconds. */
export function mapSides(sides: HoldSides, change: (seconds: Seconds) => Seconds): HoldSides {
  const to = (seconds: Seconds): Seconds => Math.round(change(seconds) * 1000) / 1000;
  if (!isTwoSided(sides)) return { ...sides, seconds: to(sides.seconds) };
  const { length } = sides;
  return {
    ...sides,
    length:
      length.kind === 'even'
        ? { ...length, seconds: to(length.seconds) }
        : { ...length, left: to(length.left), right: to(length.right) },
  };
}

/** Both sides the same, at the longer of the two, or free to differ, starting from what they have. */
export function withEven(length: SideLength, even: boolean): SideLength {
  if (even) return length.kind === 'even' ? length : { kind: 'even', seconds: Math.max(length.left, length.right) };
  return length.kind === 'perSide' ? length : { kind: 'perSide', left: length.seconds, right: length.seconds };
}

/** A hold that lies otherwise over the sides; the longer of its lengths is kept. */
export function withSidesKind(sides: HoldSides, kind: SidesKind): HoldSides {
  if (sides.kind === kind) return sides;
  const { left, right } = sideSeconds(sides);
  const seconds = Math.max(left, right);
  if (kind === 'together') return { kind, seconds };
  if (kind === 'one') return { kind, side: 'left', seconds };
  const two = isTwoSided(sides) ? sides : undefined;
  return { kind, first: two?.first ?? 'house', length: two?.length ?? { kind: 'even', seconds } };
}
