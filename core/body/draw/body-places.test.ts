import { expect, test } from '@jest/globals';
import { bodyPlaces, draw, FINE_CM, ORDINARY, settle, VIEWS } from '#core/body';
import { placedProps, PROP_PLACE_NAMES } from '#core/props';
import { POSITIONS } from '#library';

const named = (id: string) => POSITIONS.find((position) => position.id === id)!;
const settled = (id: string) => {
  const { figure, setUps } = named(id);
  return settle(figure, placedProps(setUps[0]!.items, 'left'), 165, ORDINARY);
};

test('every place of the body is in the picture, some on each limb', () => {
  const body = settled('reclined-bound-angle');
  for (const view of [named('reclined-bound-angle').figure.view, VIEWS.above, VIEWS.side]) {
    const places = bodyPlaces(body, view);
    expect(new Set(places.map(({ place }) => place))).toEqual(new Set(PROP_PLACE_NAMES));
    const [x, y, width, height] = draw(body, view, FINE_CM * 4).box;
    for (const at of places) {
      expect(at.x).toBeGreaterThan(x - 250);
      expect(at.x).toBeLessThan(x + width + 250);
      expect(at.y).toBeGreaterThan(y - 250);
      expect(at.y).toBeLessThan(y + height + 250);
    }
  }
});

test('knees that are seen apart are two places, and one where they are seen as one', () => {
  const sides = (id: string, view: (typeof VIEWS)[keyof typeof VIEWS]) =>
    bodyPlaces(settled(id), view).flatMap(({ place, side }) => (place === 'knees' ? [side] : []));
  expect(sides('reclined-bound-angle', VIEWS.above)).toEqual(['left', 'right']);
  expect(sides('legs-up-wall', VIEWS.side)).toEqual(['centre']);
});

test('seen from above, head and feet are at the two ends, the left hand on the left of one who lies on the back', () => {
  const places = bodyPlaces(settled('reclined-bound-angle'), VIEWS.above);
  const at = (place: string, side = 'centre') => places.find((one) => one.place === place && one.side === side)!;
  expect(Math.abs(at('head').x - at('feet').x)).toBeGreaterThan(800);
  expect(Math.sign(at('hands', 'left').y - at('sacrum').y)).toBe(-Math.sign(at('hands', 'right').y - at('sacrum').y));
});
