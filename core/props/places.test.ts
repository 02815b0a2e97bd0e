import { expect, test } from '@jest/globals';
import { placeInWords, placesFor, PROP_PLACE_NAMES, setUpRowInWords, SetUpRow, type PropPlace } from '#core/props';
import { propRow } from '../../tests/support/examples';

const STRAP = { kind: 'strap', state: 'open' } as const;
const reasons = (row: object) => SetUpRow.safeParse(row).error?.issues.map(({ message }) => message);

test.each<[PropPlace, string]>([
  ['soles', 'round the soles'],
  ['ankles', 'round the ankles'],
  ['shins', 'round the shins'],
  ['calves', 'round the shins'],
  ['thighs', 'round the thighs'],
  ['waist', 'round the waist'],
  ['lowBack', 'round the waist'],
  ['feet', 'round the feet'],
  ['hands', 'from hand to hand'],
])('a strap at “%s” is %s', (place, words) => {
  expect(placeInWords(STRAP, place)).toBe(words);
});

test('a strap, a belt or an open scarf is never under, on or between anything', () => {
  for (const piece of [STRAP, { kind: 'belt', state: 'open' }, { kind: 'scarf', state: 'open' }] as const) {
    for (const place of PROP_PLACE_NAMES) {
      expect(placeInWords(piece, place)).not.toMatch(/^(under|on|between|against|behind|along)\b/);
    }
  }
  expect(placeInWords({ kind: 'scarf', state: 'folded' }, 'head')).toBe('under the head');
});

test('of places that are one for a strap, the one it is at is offered', () => {
  const wordsFrom = (now: PropPlace) => placesFor(STRAP, now).map((place) => placeInWords(STRAP, place));
  for (const now of PROP_PLACE_NAMES) {
    const words = wordsFrom(now);
    expect(new Set(words).size).toBe(words.length);
    expect(placesFor(STRAP, now)).toContain(now);
  }
  expect(placesFor(STRAP, 'head')).toContain('feet');
  expect(placesFor({ kind: 'block', state: 'flat' }, 'head')).toEqual(PROP_PLACE_NAMES);
});

test('what teachers say of places is said', () => {
  expect(
    [
      propRow('block', 'betweenThighs', { state: 'edge' }),
      propRow('block', 'betweenHeels', { state: 'flat' }),
      propRow('sandbag', 'onFeet'),
      propRow('eyePillow', 'eyes'),
      propRow('flatBolster', 'chestToCollarbones', { lie: 'crosswise' }),
      propRow('roundBolster', 'alongSides', { side: 'each' }),
      propRow('wall', 'legs', { wallCm: 30 }),
      propRow('headRing', 'head'),
      propRow('towel', 'neck', { state: 'rolled' }),
      propRow('weightedBlanket', 'cover'),
    ].map(setUpRowInWords),
  ).toEqual([
    'block, on its edge, between the thighs',
    'block, flat, between the heels',
    'sandbag, on the feet',
    'eye pillow, over the eyes',
    'bolster, crosswise, under the chest, up to the collarbones',
    'round bolster, along the sides, each side',
    'wall behind the legs, about 30 cm away',
    'soft ring, under the head',
    'towel, rolled, under the neck',
    'weighted blanket, open, over the body',
  ]);
});

test('only the wall has a distance, and none out of reach', () => {
  expect(reasons(propRow('wall', 'legs', { wallCm: 30 }))).toBeUndefined();
  expect(reasons(propRow('block', 'head', { wallCm: 30 }))).toEqual(['Only the wall has a distance from it.']);
  expect(reasons(propRow('wall', 'legs', { wallCm: 200 }))).toEqual(['Farther than 90 cm the wall is out of reach.']);
  expect(reasons(propRow('wall', 'legs', { wallCm: -1 }))).toEqual(['A distance from the wall is 0 cm or more.']);
});
