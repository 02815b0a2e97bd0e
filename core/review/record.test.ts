import { describe, expect, test } from '@jest/globals';
import { compareRun, comparisonInWords } from '#core/review';
import type { RunEvent } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
const evening = compileTimeline(planOf(workedHold, talk('end', 60)), noLibrary);
let made = 0;
const at = (seconds: number, body: object): RunEvent =>
  ({ ...body, id: `event-${made++}`, atMs: T0 + seconds * 1000 }) as RunEvent;
const started = at(0, { kind: 'started' });
const name = () => 'head to knee';

describe('planned against done', () => {
  test('a run as planned has no differences', () => {
    const record = compareRun(evening, [started, at(670, { kind: 'ended' })]);
    expect(record.total).toEqual({ plannedMs: 670_000, doneMs: 670_000, differenceMs: 0 });
    expect(record.left.differenceMs).toBe(0);
    expect(record.steps[0]?.sides.map(({ side, doneMs }) => [side, doneMs])).toEqual([
      ['left', 220_000],
      ['right', 220_000],
    ]);
    expect(comparisonInWords(record, name)).toBe('On time, both sides equal.');
  });

  test('a second side cut short is told first, with where', () => {
    const record = compareRun(evening, [started, at(345 + 170, { kind: 'cut' }), at(620, { kind: 'ended' })]);
    expect(record.right).toEqual({ plannedMs: 220_000, doneMs: 170_000, differenceMs: -50_000 });
    expect(comparisonInWords(record, name)).toBe(
      'Right sides were 0:50 shorter than left sides, 0:50 of it in head to knee.',
    );
  });

  test('a slow set-up is told as late', () => {
    const record = compareRun(evening, [
      started,
      at(10, { kind: 'stretched', byMs: 90_000 }),
      at(760, { kind: 'ended' }),
    ]);
    expect(record.changes.differenceMs).toBe(90_000);
    expect(comparisonInWords(record, name)).toBe('Ended 1:30 late, 1:30 of it in setting up and changing.');
  });

  test('pauses are no time in a hold, but they are time by the clock', () => {
    const record = compareRun(evening, [
      started,
      at(100, { kind: 'paused' }),
      at(160, { kind: 'resumed' }),
      at(730, { kind: 'ended' }),
    ]);
    expect(record).toMatchObject({ pausedMs: 60_000, left: { differenceMs: 0 }, total: { differenceMs: 60_000 } });
  });

  test('what was left out is marked, and a run without an end says so', () => {
    const record = compareRun(evening, [
      started,
      at(10, { kind: 'jumped', phase: 9 }),
      at(20, { kind: 'noted', text: 'cold room' }),
    ]);
    expect(record.steps[1]?.skipped).toBe(false);
    expect(record.steps[0]?.sides.every(({ beganAtMs }) => beganAtMs === null)).toBe(true);
    expect(record.notes).toEqual([{ atMs: T0 + 20_000, stepIndex: 1, text: 'cold room' }]);
    expect(comparisonInWords(record, name)).toMatch(/not ended/);
  });

  test('left sides short are told as left; an early end as early', () => {
    const left = compareRun(evening, [started, at(65 + 150, { kind: 'cut' }), at(600, { kind: 'ended' })]);
    expect(comparisonInWords(left, name)).toBe(
      'Left sides were 1:10 shorter than right sides, 1:10 of it in head to knee.',
    );
    const early = compareRun(evening, [started, at(615, { kind: 'jumped', phase: 9 }), at(616, { kind: 'ended' })]);
    expect(comparisonInWords(early, name)).toBe('Ended 0:54 early.');
  });

  test('everything left out is told as that', () => {
    const nothing = compareRun(evening, [started, at(0, { kind: 'ended' })]);
    expect(nothing.steps.every(({ skipped }) => skipped)).toBe(true);
    expect(comparisonInWords(nothing, name)).toBe('Nothing of the plan was led.');
  });

  test('a hold that was gone back to counts all the time it was held', () => {
    const record = compareRun(evening, [started, at(200, { kind: 'jumped', phase: 2 }), at(805, { kind: 'ended' })]);
    expect(record.left.doneMs).toBe(135_000 + 220_000);
    expect(record.steps[0]?.sides[0]?.beganAtMs).toBe(T0 + 65_000);
  });

  test('per step, what was done adds up to the session without its pauses', () => {
    const events = [
      started,
      at(100, { kind: 'paused' }),
      at(130, { kind: 'resumed' }),
      at(400, { kind: 'stretched', byMs: 45_000 }),
      at(745, { kind: 'ended' }),
    ];
    const record = compareRun(evening, events);
    const done = record.steps.reduce(
      (sum, { sides, changes, other }) =>
        sum + changes.doneMs + other.doneMs + sides.reduce((s, side) => s + side.doneMs, 0),
      0,
    );
    expect(done + record.pausedMs).toBe(record.total.doneMs);
  });
});
