import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { HoldSides } from '#core/plan';
import { foldRun, runAt, secondSideGapMs, type RunEvent } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { noLibrary, planOf, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
const SETUP_AND_IN = 65;
let made = 0;
const at = (seconds: number, body: object): RunEvent =>
  ({ ...body, id: `event-${made++}`, atMs: T0 + seconds * 1000 }) as RunEvent;
const started = at(0, { kind: 'started' });

/** A hold with the right side first, each side as long as it is said, and the events of its session. */
function secondSide(right: number, left: number, ...events: RunEvent[]) {
  const sides: HoldSides = { kind: 'each', first: 'right', length: { kind: 'perSide', left, right } };
  const timeline = compileTimeline(planOf({ ...workedHold, sides, loosen: null }), noLibrary);
  const run = foldRun(timeline, [started, ...events]);
  const lengths = run.queue.filter(({ phase }) => {
    const one = timeline.phases[phase];
    return one?.kind === 'hold' && one.side === 'left';
  });
  const gapAt = (seconds: number): number => {
    const there = runAt(run, T0 + seconds * 1000);
    return secondSideGapMs(there, there.cursor.at);
  };
  return { seconds: lengths.map(({ ms }) => ms / 1000), gapAt };
}

describe('the second side', () => {
  test('a difference that was planned is no gap: right 2:00, left 2:10, nothing touched', () => {
    const switching = SETUP_AND_IN + 120 + 20 + 5;
    const { gapAt } = secondSide(120, 130);
    expect([gapAt(switching), gapAt(switching + 60)]).toEqual([0, 0]);
    expect(secondSide(120, 130, at(switching, { kind: 'matched' })).seconds).toEqual([130]);
  });

  test('a first side that was stretched or cut moves the second by as much', () => {
    const longer = [at(SETUP_AND_IN + 10, { kind: 'stretched', byMs: 30_000 }), at(240, { kind: 'matched' })];
    expect(secondSide(120, 130, ...longer).seconds).toEqual([160]);
    const shorter = [at(SETUP_AND_IN + 90, { kind: 'cut' }), at(180, { kind: 'matched' })];
    expect(secondSide(120, 130, ...shorter).seconds).toEqual([100]);
  });

  test('a first side that was cut by more than the second is long leaves the second a second', () => {
    const events = [at(SETUP_AND_IN + 5, { kind: 'cut' }), at(75, { kind: 'matched' })];
    expect(secondSide(200, 60, ...events).seconds).toEqual([1]);
  });

  test('a first side that was led again counts once, as it was led last', () => {
    const again = [
      at(SETUP_AND_IN + 60, { kind: 'jumped', phase: 2 }),
      at(SETUP_AND_IN + 60 + 120 + 25, { kind: 'matched' }),
    ];
    expect(secondSide(120, 120, ...again).seconds).toEqual([120]);
  });

  test('whatever is planned and however the first side is stretched, the meant difference is led', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 600 }),
        fc.integer({ min: 60, max: 600 }),
        fc.integer({ min: -50, max: 120 }),
        (right, left, by) => {
          const matched = at(SETUP_AND_IN + right + by + 21, { kind: 'matched' });
          const { seconds } = secondSide(
            right,
            left,
            at(SETUP_AND_IN + 1, { kind: 'stretched', byMs: by * 1000 }),
            matched,
          );
          expect(seconds).toEqual([Math.max(1, left + by)]);
        },
      ),
    );
  });
});
