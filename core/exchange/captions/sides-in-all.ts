import type { Ms } from '#core/numbers';
import type { ClassSegment } from './read-class';

/** The lengths of all left and all right sides of positions that were held on both, in milliseconds. */
export function sidesInAll(segments: readonly Pick<ClassSegment, 'kind' | 'id' | 'side' | 'startMs' | 'endMs'>[]): {
  left: Ms;
  right: Ms;
} {
  const byPosition = new Map<string, { left: Ms; right: Ms }>();
  for (const { kind, id, side, startMs, endMs } of segments) {
    if (kind !== 'hold' || id === null || side === 'both') continue;
    const sides = byPosition.get(id) ?? { left: 0, right: 0 };
    sides[side] += endMs - startMs;
    byPosition.set(id, sides);
  }
  const both = [...byPosition.values()].filter(({ left, right }) => left > 0 && right > 0);
  return both.reduce((sum, { left, right }) => ({ left: sum.left + left, right: sum.right + right }), {
    left: 0,
    right: 0,
  });
}
