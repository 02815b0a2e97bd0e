import type { Position } from './position';

/** What the same family adds to the shared areas. */
const SAME_FAMILY = 0.3;

/**
 * How alike two positions are: the share of their areas of the body that they have in common (0 to 1), and 0.3 more
 * where one sits, lies or stands as in the other; 0 if they have no area in common.
 */
export function likeness(a: Position, b: Position): number {
  const shared = a.areas.filter((area) => b.areas.includes(area)).length;
  const all = new Set([...a.areas, ...b.areas]).size;
  return shared === 0 ? 0 : shared / all + (a.family === b.family ? SAME_FAMILY : 0);
}
