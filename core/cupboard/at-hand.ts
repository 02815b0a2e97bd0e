import { piecesByKind, placedProps, type Available, type SetUp } from '#core/props';

/** Whether one person can have a set-up from what there is; what is only put down if wished is not counted. */
export function isAtHand(setUp: SetUp, available: Available): boolean {
  const wanted = setUp.filter(({ optional }) => !optional);
  return [...piecesByKind(placedProps(wanted, 'both'))].every(([kind, count]) => (available[kind] ?? 0) >= count);
}
