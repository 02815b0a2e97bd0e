import { describe, expect, test } from '@jest/globals';
import { newPlace, type Place } from '#core/cupboard';
import { capacityInWords, piecesIn, wallInWords } from './words';

const loft: Place = { ...newPlace('The loft', 'hall'), stock: { flatBolster: 10, block: 24 } };
const mats = (count: number): Place['mats'] => ({ ...loft.mats, count });
const size = { shape: 'box' as const, widthCm: 48, depthCm: 18, heightCm: 19, giveCm: 0 };

describe('a place in words', () => {
  test('pieces, its own kinds among them', () => {
    expect(piecesIn(loft)).toBe(34);
    const bench = { kind: { label: 'bench', faces: [{ label: 'upright', size }] }, count: 3 };
    expect(piecesIn({ ...loft, own: [bench] })).toBe(37);
  });

  test('how many it takes, and what says so', () => {
    expect(capacityInWords(loft)).toBe('no mats yet');
    expect(capacityInWords({ ...loft, mats: mats(1) })).toBe('1 person, a mat each');
    expect(capacityInWords({ ...loft, mats: mats(40), floor: { widthCm: 400, lengthCm: 200 } })).toBe(
      '4 people, no floor for more mats',
    );
    expect(capacityInWords({ ...loft, mats: mats(4), floor: { widthCm: 100, lengthCm: 100 } })).toBe(
      'no floor for a mat',
    );
  });

  test('its wall', () => {
    expect(wallInWords(loft)).toBe('no free wall');
    expect(wallInWords({ ...loft, wallCm: 400 })).toBe('4 m of wall, 4 at once');
  });
});
