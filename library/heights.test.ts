import { describe, expect, test } from '@jest/globals';
import { ORDINARY, STIFF, SUPPLE, type Flexibility } from '#core/body';
import { judgeHeight, MEASURED_PLACES, suggestedHeight, type ForWhom, type SuggestedHeight } from '#core/heights';
import type { Position } from '#core/catalogue';
import type { SetUp } from '#core/props';
import { POSITIONS } from '#library';

const STIFF_AND_SMALL: ForWhom = { statureCm: 152, flexibility: STIFF };
const AVERAGE: ForWhom = { statureCm: 165, flexibility: ORDINARY };
const SUPPLE_AND_TALL: ForWhom = { statureCm: 180, flexibility: SUPPLE };

interface Suggested {
  of: string;
  heights: readonly (SuggestedHeight | undefined)[];
}

/** What is suggested for each measured place of a set-up, for each of some bodies. */
const suggestions = (position: Position, setUp: SetUp, bodies: readonly ForWhom[]): Suggested[] => {
  const places = new Map(
    setUp
      .filter(({ place }) => MEASURED_PLACES.includes(place))
      .map(({ place, side }) => [`${place} ${side}`, { place, side: side === 'each' ? ('left' as const) : side }]),
  );
  return [...places].map(([of, { place, side }]) => ({
    of,
    heights: bodies.map((body) => suggestedHeight(position, setUp, place, side, body)),
  }));
};
const serves = (height: SuggestedHeight): boolean => !judgeHeight(height).fit.startsWith('too');

describe.each(POSITIONS.map((position) => [position.id, position] as const))('the heights of %s', (_, position) => {
  test.each(position.setUps.map((setUp, i) => [setUp.id, setUp, i === 0] as const))(
    'in “%s” serve',
    (_id, { items }, isUsual) => {
      const bodies = [STIFF_AND_SMALL, AVERAGE, SUPPLE_AND_TALL];
      for (const { of, heights } of suggestions(position, items, bodies)) {
        const known = heights.filter((height) => height !== undefined);
        if (known.length === 0) continue;
        // Not every set-up is for everybody; the usual one is for the average body or a suppler one.
        const wanted = isUsual ? known.slice(1) : known;
        expect([of, wanted.some(serves), known.map((height) => [height, judgeHeight(height)])]).toEqual([
          of,
          true,
          expect.anything(),
        ]);
      }
    },
  );

  test('a stiffer body of the same height never needs less under head, trunk or seat', () => {
    const places = ['head', 'forehead', 'chest', 'seat', 'thighs'];
    const of = (flexibility: Flexibility): ForWhom => ({ statureCm: 165, flexibility });
    const { items } = position.setUps[0]!;
    for (const { of: place, heights } of suggestions(position, items, [of(STIFF), of(ORDINARY), of(SUPPLE)])) {
      if (!places.includes(place.split(' ')[0]!)) continue;
      const lows = heights.map((height) => height?.lowCm ?? 0);
      expect([place, lows[0]! >= lows[1]! - 0.5, lows[1]! >= lows[2]! - 0.5]).toEqual([place, true, true]);
    }
  });
});

test('an average body of 165 cm agrees with nearly all of it', () => {
  const all = POSITIONS.flatMap((position) =>
    position.setUps.flatMap(({ items }) => suggestions(position, items, [AVERAGE]).flatMap(({ heights }) => heights)),
  ).filter((height) => height !== undefined);
  expect(all.length).toBeGreaterThan(180);
  expect(all.filter((height) => !serves(height)).length).toBeLessThanOrEqual(3);
});
