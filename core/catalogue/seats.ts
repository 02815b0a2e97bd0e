import type { SetUp } from '#core/props';
import type { Position } from './position';

/** Positions a breath can be practised in: those that open the breath and are taught with it, on no side. */
export const breathSeats = (positions: readonly Position[]): Position[] =>
  positions.filter(
    ({ areas, defaults, sides }) =>
      areas.includes('breath') && defaults.pranayama !== undefined && sides === 'together',
  );

/**
 * The position whose figure stands for a breath with a set-up: of those a breath can be practised in, the one that has
 * the most of its props in the same places. Undefined if none has any.
 */
export function seatOf(setUp: SetUp, positions: readonly Position[]): Position | undefined {
  const alike = ({ setUps }: Position): number =>
    Math.max(
      0,
      ...setUps.map(
        ({ items }) =>
          items.filter((item) => setUp.some(({ kind, place }) => kind === item.kind && place === item.place)).length,
      ),
    );
  let [most, best]: [number, Position | undefined] = [0, undefined];
  for (const position of breathSeats(positions)) {
    const shared = alike(position);
    if (shared > most) [most, best] = [shared, position];
  }
  return best;
}
