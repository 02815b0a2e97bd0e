import { describe, expect, test } from '@jest/globals';
import { availableIn, newPlace, propDemand, type Place } from '#core/cupboard';
import type { HoldStep } from '#core/plan';
import type { SetUp } from '#core/props';
import { compileTimeline } from '#core/timeline';
import { noLibrary, planOf, propRow, workedHold } from '../../../tests/support/examples';
import { insteadInWords, stepTrouble, troubleLines, unmetInWords, wallInWords } from './need-words';

const loft: Place = { ...newPlace('the loft', 'hall'), stock: { flatBolster: 10, pillow: 3 } };
const step = (setUp: SetUp): HoldStep => ({ ...workedHold, sides: { kind: 'together', seconds: 300 }, setUp });
const momentsOf = (setUp: SetUp, people: number, place = loft) =>
  propDemand(compileTimeline(planOf(step(setUp)), noLibrary), people, availableIn(place)).moments;
const troubleOf = (setUp: SetUp, people: number, place = loft) =>
  stepTrouble(step(setUp), momentsOf(setUp, people, place), place);
const troubles = (setUp: SetUp, people: number, place = loft): string[] => {
  const trouble = troubleOf(setUp, people, place);
  return trouble ? troubleLines(trouble) : [];
};

describe('what is short, in words', () => {
  const bolster = propRow('flatBolster', 'spine');
  test('14 people, 10 bolsters, 3 pillows: three bolsters are made of pillows, one stays short', () => {
    const [{ assignment }] = momentsOf([bolster], 14) as [ReturnType<typeof momentsOf>[number]];
    expect(assignment.given.map(insteadInWords).filter(Boolean)).toEqual([
      '3 of 14 bolsters: for each 1 pillow, folded in two',
    ]);
    expect(assignment.unmet.map(unmetInWords)).toEqual(['1 bolster short']);
    expect(troubles([bolster], 14)).toEqual(['1 bolster short in the loft.']);
  });

  test('what is only wished is told as that, and is no trouble', () => {
    const wished = propRow('eyePillow', 'eyes', { optional: true });
    const [{ assignment }] = momentsOf([wished], 3) as [ReturnType<typeof momentsOf>[number]];
    expect(assignment.unmet.map(unmetInWords)).toEqual(['3 eye pillows short, optional']);
    expect(troubles([wished], 3)).toEqual([]);
  });
});

describe('the wall, in words', () => {
  const wall = propRow('wall', 'legs');
  const at = (wallCm: number): Place => ({ ...loft, wallCm, mats: { ...loft.mats, count: 20 } });
  test('a wall of 4 m and 9 people: 4 at once, in three turns, heads out', () => {
    expect(wallInWords(9, step([wall]), at(400))).toBe(
      '9 people at the wall, room for 4 at once, heads out: in 3 turns of 3, or split the group.',
    );
    expect(wallInWords(9, step([propRow('wall', 'behind')]), at(400))).toContain('heads in');
    expect(wallInWords(4, step([wall]), at(400))).toBe('');
  });

  test('none free, one shorter than a mat, nobody at it', () => {
    expect(wallInWords(2, step([wall]), at(0))).toContain(
      'but the loft has none free. Choose a set-up or a position that needs no wall',
    );
    expect(wallInWords(2, step([wall]), at(50))).toContain('shorter than a mat is wide');
    expect(wallInWords(0, step([]), at(0))).toBe('');
    expect(troubles([wall], 2, at(0))).toHaveLength(1);
    // A place may be called after its wall: what is short there is no matter of the wall.
    const named = { ...at(0), name: 'Sea wall room', stock: {} };
    expect(troubleOf([propRow('stick', 'hands')], 2, named)).toEqual({
      short: ['2 sticks short in Sea wall room.'],
      wall: '',
    });
  });
});
