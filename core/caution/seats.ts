import { breathSeats, type Library, type Position } from '#core/catalogue';
import type { BreathStep } from '#core/plan';
import type { SetUp } from '#core/props';

/** How many props of a set-up a position's own set-up that is most like it has in the same places. */
const shared = ({ setUps }: Position, setUp: SetUp): number =>
  Math.max(
    ...setUps.map(
      ({ items }) =>
        items.filter((item) => setUp.some(({ kind, place }) => kind === item.kind && place === item.place)).length,
    ),
  );

const hasNone = ({ setUps }: Position): boolean => setUps.some(({ items }) => items.length === 0);

/**
 * The positions a breath may be practised in, as far as cautions go: the one it moves, or the one the step names. Where
 * nobody has said, every seat that shares the most props with the set-up; without props, every seat that needs none.
 */
export function seatsOf(
  { moves, seat, setUp }: BreathStep,
  library: Library,
  positions: readonly Position[],
): readonly Position[] {
  const chosen = moves?.position ?? seat;
  const known = chosen === null ? undefined : library.position(chosen);
  if (known) return [known];
  const seats = breathSeats(positions);
  if (setUp.length === 0) return seats.filter(hasNone);
  const most = Math.max(0, ...seats.map((position) => shared(position, setUp)));
  return most === 0 ? seats.filter(hasNone) : seats.filter((position) => shared(position, setUp) === most);
}
