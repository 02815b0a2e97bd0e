import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { atOwnPace, cycleOf, practiceMs, setOf, ticksOf, type BreathPractice } from '#core/breath';
import { practice } from '../../tests/support/arbitraries';

const of = (...parts: BreathPractice['sets'][number]['parts']): BreathPractice => ({
  countSeconds: 1.2,
  sets: [setOf('a', parts, 10)],
});

test('a plain counted breath goes at each person’s own pace, and is expected to take as long', () => {
  expect(atOwnPace(of(cycleOf([4, 0, 6, 0], { sound: 'throat', place: 'belly' }))).sets[0]?.parts).toEqual([
    { kind: 'ownPace', cycles: 1, secondsPerCycle: 12, through: 'nose', sound: 'throat', place: 'belly' },
  ]);
});

test.each([
  ['held', cycleOf([4, 1, 6, 0])],
  ['held empty', cycleOf([4, 0, 6, 2])],
  ['through one nostril and out of the other', cycleOf([4, 0, 6, 0], { inThrough: 'left', outThrough: 'right' })],
  ['interrupted', cycleOf([4, 0, 6, 0], { inSteps: { parts: 2, pauseCounts: 1 } })],
  ['sounded on a vowel', cycleOf([4, 0, 6, 0], { sound: 'voice', vowel: 'ah' })],
  ['as loud as it says', cycleOf([4, 0, 6, 0], { sound: 'throat', loudness: 'loud' })],
  ['longer than a minute', cycleOf([30, 0, 30, 0])],
])('one that is %s stays counted', (_why, part) => {
  expect(atOwnPace(of(part))).toEqual(of(part));
});

test('whatever is practised, its length stays the same, and nothing plain is left counted', () => {
  fc.assert(
    fc.property(practice, (any) => {
      const own = atOwnPace(any);
      expect(practiceMs(own)).toBe(practiceMs(any));
      expect(atOwnPace(own)).toEqual(own);
    }),
  );
});

test('a metronome ticks at the beginning of every count, and not in what is not counted', () => {
  const counted = {
    kind: 'in',
    counts: 4,
    countMs: 1200,
    cycle: 1,
    through: 'nose',
    set: 0,
    part: 0,
    round: 1,
  } as const;
  expect(ticksOf(counted, 4800).map(({ atMs }) => atMs)).toEqual([0, 1200, 2400, 3600]);
  // A session made it shorter: no tick falls outside.
  expect(ticksOf(counted, 3000).map(({ atMs }) => atMs)).toEqual([0, 1200, 2400]);
  expect(ticksOf({ kind: 'quiet', set: 0, part: 0, round: 1 }, 4000)).toEqual([]);
});
