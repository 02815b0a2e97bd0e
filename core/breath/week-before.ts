import type { Ms } from '#core/numbers';

const DAY_MS = 86_400_000;
/** A class that slipped by a few hours or a day is still a week before. */
const WEEK_MS = 6 * DAY_MS;
/** After longer than this there is no week to compare with. */
const SINCE_MS = 24 * DAY_MS;

/**
 * Which of some classes stands for the week before one at `atMs`: the latest that was about a week before it or more;
 * where all of them were within that week, the first of them, so that a breath taught three times a week grows no faster
 * than one taught once. `taught` are their moments in milliseconds; undefined if none is recent enough.
 */
export function weekBefore<T extends { atMs: Ms }>(taught: readonly T[], atMs: Ms): T | undefined {
  const recent = taught.filter((one) => one.atMs < atMs && atMs - one.atMs <= SINCE_MS).sort((a, b) => a.atMs - b.atMs);
  return recent.findLast((one) => atMs - one.atMs >= WEEK_MS) ?? recent[0];
}
