import { piecesByKind, placedProps, type Available, type SetUp } from '#core/props';

/** Whether the stock is enough for one person's set-up; optional props are not counted. */
export function isAtHand(setUp: SetUp, available: Available): boolean {
  const wanted = setUp.filter(({ optional }) => !optional);
  return [...piecesByKind(placedProps(wanted, 'both'))].every(([kind, count]) => (available[kind] ?? 0) >= count);
}
