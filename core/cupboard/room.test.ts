import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { groupTooLarge, headsAtWall, matsOnFloor, newPlace, peopleAtWall, readPlace, wallTurns } from '#core/cupboard';

const hall = { ...newPlace('Wrackline Hall', 'hall'), mats: { count: 30, widthCm: 60, lengthCm: 180, gapCm: 25 } };

describe('the wall', () => {
  test('4 m of wall and 9 people: five at once, then four', () => {
    expect(peopleAtWall({ ...hall, wallCm: 400 })).toBe(5);
    expect(wallTurns(9, 5)).toEqual([5, 4]);
  });

  test('arms spread wide take more than the mat', () => {
    expect(peopleAtWall({ ...hall, wallCm: 400 }, 150)).toBe(2);
    expect(peopleAtWall({ ...hall, wallCm: 400 }, 40)).toBe(5);
  });

  test('no wall, no one; and turns are as even as can be', () => {
    expect(peopleAtWall({ ...hall, wallCm: 0 })).toBe(0);
    expect(wallTurns(9, 0)).toEqual([]);
    expect(wallTurns(10, 4)).toEqual([4, 3, 3]);
  });

  test('legs at the wall leave the head in the room, hands bring it to the wall', () => {
    expect([headsAtWall('legs'), headsAtWall('soles'), headsAtWall('hands'), headsAtWall('behind')]).toEqual([
      'out',
      'out',
      'in',
      'in',
    ]);
  });

  test('is as many as lie side by side, and no more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3000 }),
        fc.integer({ min: 40, max: 150 }),
        fc.integer({ max: 200, min: 0 }),
        (wallCm, widthCm, gapCm) => {
          const people = peopleAtWall({ wallCm, mats: { ...hall.mats, widthCm, gapCm } });
          const taken = (n: number) => n * widthCm + (n - 1) * gapCm;
          if (people > 0) expect(taken(people)).toBeLessThanOrEqual(wallCm);
          expect(taken(people + 1)).toBeGreaterThan(wallCm);
        },
      ),
    );
  });
});

describe('mats on a floor', () => {
  const floorOf = (widthCm: number, lengthCm: number, gapCm = 0) =>
    matsOnFloor({ floor: { widthCm, lengthCm }, mats: { count: 0, widthCm: 60, lengthCm: 180, gapCm } });

  test('counted by hand', () => {
    expect(floorOf(600, 360)).toHaveLength(20);
    // 40 cm between mats: five across (5 × 60 + 4 × 40), two along (2 × 180 + 40).
    expect(floorOf(460, 400, 40)).toHaveLength(10);
    // Two rows lengthwise leave 60 cm, in which three more lie crosswise.
    expect(floorOf(540, 420)).toHaveLength(21);
    expect(floorOf(59, 300)).toHaveLength(0);
  });

  test('lie within the floor, and apart by the gap', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 1500 }),
        fc.integer({ min: 100, max: 1500 }),
        fc.integer({ min: 0, max: 100 }),
        (width, length, gap) => {
          const mats = floorOf(width, length, gap);
          for (const mat of mats) {
            expect(mat.x + mat.width).toBeLessThanOrEqual(width);
            expect(mat.y + mat.length).toBeLessThanOrEqual(length);
          }
          for (const [i, a] of mats.entries())
            for (const b of mats.slice(i + 1)) {
              const beside = a.x + a.width + gap <= b.x || b.x + b.width + gap <= a.x;
              const before = a.y + a.length + gap <= b.y || b.y + b.length + gap <= a.y;
              expect(beside || before).toBe(true);
            }
          // Turning the floor changes nothing.
          expect(floorOf(length, width, gap)).toHaveLength(mats.length);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a group and a place', () => {
  test('400 people on 30 mats are told what would work', () => {
    expect(groupTooLarge(hall, 400)).toBe(
      '400 people, but Wrackline Hall has 30 mats. 370 would have to bring their own; 14 groups of 29 would fit, or a larger place.',
    );
    expect(groupTooLarge(hall, 30)).toBe('');
  });

  test('where the floor is smaller than the mats are many, the floor says so', () => {
    expect(groupTooLarge({ ...hall, floor: { widthCm: 460, lengthCm: 400 } }, 12)).toMatch(/has floor for \d+ mats/);
  });

  test('no mats at all', () => {
    expect(groupTooLarge({ ...hall, mats: { ...hall.mats, count: 0 } }, 3)).toMatch(/has 0 mats\. Say how many/);
  });
});

describe('a place read from outside', () => {
  const reasons = (change: object): string[] => {
    const read = readPlace({ ...hall, ...change });
    return read.ok ? [] : read.issues.map(({ field, reason }) => `${field}: ${reason}`);
  };

  test('is refused with the field and the reason', () => {
    expect(reasons({ stock: { blanket: -1 } })).toEqual(['stock.blanket: There cannot be fewer than no pieces.']);
    expect(reasons({ mats: { ...hall.mats, widthCm: 0 } })).toEqual(['mats.widthCm: A mat’s width is at least 40 cm.']);
    const size = { shape: 'box', widthCm: 0, depthCm: 20, heightCm: 17, giveCm: 0 };
    const bench = (label: string, look: object = {}) => ({
      own: [{ count: 2, kind: { label, faces: [{ label: 'flat', size: { ...size, ...look } }] } }],
    });
    expect(reasons(bench('Bench'))).toEqual(['own.0.kind.faces.0.size.widthCm: The length is at least 1 cm.']);
    expect(reasons(bench('Bench', { widthCm: 45, giveCm: 17 }))[0]).toMatch(/cannot sink by its whole height/);
    expect(reasons(bench('Block', { widthCm: 45 }))[0]).toMatch(/There is a block already/);
    expect(reasons(bench('Bench', { widthCm: 45 }))).toEqual([]);
  });
});
