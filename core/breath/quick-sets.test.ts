import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  BreathPractice,
  changedCopies,
  cycleOf,
  ownPaceOf,
  sameAgain,
  secondsABreath,
  setOf,
  setsAtPlaces,
  strokesOf,
  withSecondsABreath,
} from '#core/breath';
import { practice as anyPractice } from '../../tests/support/arbitraries';

let made = 0;
const newId = (): string => `new-${made++}`;
const empty: BreathPractice = { countSeconds: 1, sets: [setOf('a', [cycleOf([4, 0, 4, 0])], 6)] };
const atPlaces = (practice: BreathPractice = empty) =>
  setsAtPlaces(practice, ['belly', 'sideRibs', 'backRibs'], { breaths: 3, hands: true, eyes: 'open' }, newId);

describe('belly, sides, back, with the hands there', () => {
  test('is one set each, in that order', () => {
    expect(atPlaces().map(({ label, hands, eyes, rounds }) => [label, hands, eyes, rounds])).toEqual([
      ['Belly', 'on the belly', 'open', 1],
      ['Side ribs', 'on the side ribs', 'open', 1],
      ['Back ribs', 'on the back ribs', 'open', 1],
    ]);
    expect(atPlaces()[1]?.parts).toEqual([ownPaceOf(3, 7, { place: 'sideRibs' })]);
  });

  test('takes as long a breath as the others at one’s own pace', () => {
    const slow = { ...empty, sets: [setOf('a', [ownPaceOf(4, 9)], 1)] };
    expect(atPlaces(slow)[0]?.parts).toEqual([ownPaceOf(3, 9, { place: 'belly' })]);
  });
});

describe('the same again', () => {
  test('with eyes closed and five each', () => {
    const [belly, sides] = sameAgain(atPlaces(), { eyes: 'closed', breaths: 5 }, newId);
    expect(belly).toMatchObject({ label: 'Belly', eyes: 'closed', hands: 'on the belly', rounds: 1 });
    expect(belly?.parts).toEqual([ownPaceOf(5, 7, { place: 'belly' })]);
    expect(sides?.parts).toEqual([ownPaceOf(5, 7, { place: 'sideRibs' })]);
  });

  test('is so many rounds of what is counted or has several parts; a change over the rounds needs two', () => {
    const counted = setOf('a', [cycleOf([4, 0, 4, 0])], 6, { ramp: { of: 'out', to: 8, steps: 'counts' } });
    const pumps = setOf('b', [strokesOf(30, 60), ownPaceOf(3, 6)], 2);
    expect(sameAgain([counted, pumps], { eyes: null, breaths: 1 }, newId)).toMatchObject([
      { rounds: 1, ramp: null, eyes: 'free' },
      { rounds: 1, parts: pumps.parts },
    ]);
    expect(sameAgain([counted], { eyes: null, breaths: 4 }, newId)[0]).toMatchObject({ rounds: 4, ramp: { to: 8 } });
  });

  test('is a practice still, and the sets before stay as they are', () => {
    fc.assert(
      fc.property(anyPractice, fc.integer({ min: 1, max: 3 }), (any, breaths) => {
        fc.pre(any.sets.length <= 3);
        const before = structuredClone(any.sets);
        const again = sameAgain(any.sets, { eyes: 'closed', breaths }, newId);
        expect(any.sets).toEqual(before);
        const read = BreathPractice.safeParse({ ...any, sets: again });
        // Fewer or more rounds can be too long together, and nothing else can be wrong with it.
        expect(read.error?.issues.map(({ message }) => message) ?? []).toEqual(
          read.success ? [] : ['A breath practice lasts at most 60:00.'],
        );
      }),
    );
  });
});

describe('copies that change by one rule', () => {
  const set = setOf('a', [cycleOf([4, 0, 4, 0]), cycleOf([4, 0, 6, 0])], 6);
  const outs = (by: number, times: number): number[][] =>
    changedCopies(set, { of: 'out', by }, times, newId).map(({ parts }) =>
      parts.map((part) => (part.kind === 'cycle' ? part.out : NaN)),
    );

  test('each by as much more than the one before', () => {
    expect(outs(1, 3)).toEqual([
      [5, 7],
      [6, 8],
      [7, 9],
    ]);
    expect(outs(-2, 1)).toEqual([[2, 4]]);
    expect(changedCopies(set, { of: 'breaths', by: 3 }, 2, newId).map(({ rounds }) => rounds)).toEqual([9, 12]);
    const own = setOf('b', [ownPaceOf(3, 7)], 1);
    expect(changedCopies(own, { of: 'breaths', by: 2 }, 2, newId).map(({ parts }) => parts[0])).toEqual([
      ownPaceOf(5, 7),
      ownPaceOf(7, 7),
    ]);
  });

  test('that go too far are refused by the practice, with the reason', () => {
    const far = changedCopies(set, { of: 'out', by: -2 }, 2, newId);
    expect(BreathPractice.safeParse({ countSeconds: 1, sets: far }).error?.issues[0]?.message).toBe(
      'A cycle needs an out-breath of at least one count.',
    );
  });

  test('have ids of their own', () => {
    const ids = changedCopies(set, { of: 'in', by: 1 }, 5, newId).map(({ id }) => id);
    expect(new Set([set.id, ...ids]).size).toBe(6);
  });
});

test('seconds a breath are given once for the practice', () => {
  const mixed = { ...empty, sets: [...empty.sets, setOf('b', [ownPaceOf(3, 7)], 1), setOf('c', [ownPaceOf(3, 9)], 1)] };
  expect(secondsABreath(empty)).toEqual([]);
  expect(secondsABreath(mixed)).toEqual([7, 9]);
  const paced = withSecondsABreath(mixed, 8);
  expect(secondsABreath(paced)).toEqual([8]);
  expect(paced.sets[0]).toEqual(empty.sets[0]);
});
