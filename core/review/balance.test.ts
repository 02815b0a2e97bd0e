import { describe, expect, test } from '@jest/globals';
import { cycleOf, setOf } from '#core/breath';
import { compareRun, sidesByWeek, practisedOfRun, comparisonInWords } from '#core/review';
import type { HoldSides, Step } from '#core/plan';
import type { RunEvent } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { libraryOf } from '#core/catalogue';
import { noLibrary, breathStep, planOf, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
let made = 0;
const at = (seconds: number, body: object): RunEvent =>
  ({ ...body, id: `event-${made++}`, atMs: T0 + seconds * 1000 }) as RunEvent;
const started = at(0, { kind: 'started' });
const holdOf = (sides: HoldSides, id = 'hold'): Step => ({ ...workedHold, id, sides, loosen: null });
const uneven = holdOf({ kind: 'each', first: 'left', length: { kind: 'perSide', left: 175, right: 145 } });
const even = holdOf({ kind: 'each', first: 'left', length: { kind: 'even', seconds: 175 } }, 'even');
const onlyLeft = holdOf({ kind: 'one', side: 'left', seconds: 200 }, 'one');

function taught(steps: Step[], ...events: RunEvent[]) {
  const plan = planOf(...steps);
  const timeline = compileTimeline(plan, noLibrary);
  const record = compareRun(timeline, [started, ...events]);
  return { plan, timeline, record, says: comparisonInWords(record, (i) => plan.steps[i]!.name.toLowerCase()) };
}

describe('side against side', () => {
  test('a difference that was meant and led is called meant', () => {
    const { record, says } = taught([uneven], at(465, { kind: 'ended' }));
    expect([record.left.doneMs, record.right.doneMs]).toEqual([175_000, 145_000]);
    expect(says).toBe('On time, with left sides 0:30 longer, as planned.');
  });

  test('sides that differ although they were planned even are told as that: left 2:55, right 2:25', () => {
    const { says } = taught([even], at(65 + 175 + 35 + 25 + 145, { kind: 'cut' }), at(495, { kind: 'ended' }));
    expect(says).toBe('Right sides were 0:30 shorter than left sides, 0:30 of it in head to knee.');
  });

  test('a meant difference that was not led is set against the plan', () => {
    const shorter = at(65 + 145, { kind: 'cut' });
    const { says } = taught([uneven], shorter, at(435, { kind: 'ended' }));
    expect(says).toBe('Left and right sides were equal; the plan has left sides 0:30 longer.');
  });

  test('both sides cut alike are even', () => {
    const { says } = taught([even], at(165, { kind: 'cut' }), at(325, { kind: 'cut' }), at(345, { kind: 'ended' }));
    expect(says).toBe('Ended 2:30 early.');
  });

  test('a hold on one side only is not uneven, in one session or over the weeks', () => {
    const { plan, timeline, record, says } = taught([onlyLeft, even], at(285 + 495, { kind: 'ended' }));
    expect(says).toBe('On time, both sides equal.');
    expect(record.balance).toMatchObject({ leftMs: 175_000, rightMs: 175_000 });
    const events = [started, at(285 + 495, { kind: 'ended' })];
    const run = practisedOfRun({ id: 'r', planId: 'p', plan, timeline, events }, libraryOf([], []))!;
    expect(sidesByWeek([run], () => 'week')).toEqual([{ week: 'week', leftMs: 175_000, rightMs: 175_000 }]);
  });
});

describe('what was not reached', () => {
  test('an early end leaves the right side and what follows unreached, not short', () => {
    const { record, says } = taught([even, talk('end', 60)], at(65 + 175 + 10, { kind: 'ended' }));
    expect(record.steps[0]!.sides.map(({ side, reached }) => [side, reached])).toEqual([
      ['left', true],
      ['right', false],
    ]);
    expect(record.steps[1]).toMatchObject({ reached: false, skipped: true });
    expect(record.right).toEqual({ plannedMs: 0, doneMs: 0, differenceMs: 0 });
    expect(record.notReachedMs).toBe(175_000 + 60_000);
    // The way out of the left side was under way; the changes after it were not reached.
    expect(record.changes).toMatchObject({ plannedMs: 85_000, doneMs: 75_000 });
    expect(says).toBe('Ended 5:05 early; the right side of head to knee and 1 step were not reached.');
  });

  test('what was jumped over was left out, not unreached', () => {
    const { record } = taught([even, talk('end', 60)], at(0, { kind: 'jumped', phase: 8 }), at(60, { kind: 'ended' }));
    expect(record.steps[0]).toMatchObject({ skipped: true, reached: true });
  });
});

describe('what the record keeps of a breath and of crossed limbs', () => {
  const set = (id: string, label: string, rounds: number) => setOf(id, [cycleOf([4, 0, 6, 0])], rounds, { label });

  test('a breath that moves one side after the other has both sides, and what was cut of one', () => {
    const moves = { position: 'twist', into: 'in', outOf: 'out', sides: 'each', first: 'left' } as const;
    const step = breathStep([set('a', '', 3)], { moves, setupSeconds: 10 });
    const timeline = compileTimeline(planOf(step), noLibrary);
    const switchSeconds = timeline.phases.find(({ kind }) => kind === 'switch')!;
    const lengthMs = switchSeconds.endMs - switchSeconds.startMs;
    const cutAt = 10 + 30 + lengthMs / 1000 + 20;
    const record = compareRun(timeline, [started, at(cutAt, { kind: 'cut' }), at(cutAt + 1, { kind: 'ended' })]);
    expect(record.steps[0]!.sides.map(({ side, plannedMs, doneMs }) => [side, plannedMs, doneMs])).toEqual([
      ['left', 30_000, 30_000],
      ['right', 30_000, 20_000],
    ]);
    expect(record.steps[0]!.other.doneMs).toBe(0);
  });

  test('a practice in several sets has each of them by its place', () => {
    const step = breathStep([set('a', 'with the hand', 2), set('b', 'voiced', 3)]);
    const timeline = compileTimeline(planOf(step), noLibrary);
    const record = compareRun(timeline, [started, at(35, { kind: 'ended' })]);
    expect(record.steps[0]!.sets.map(({ set: n, plannedMs, doneMs }) => [n, plannedMs, doneMs])).toEqual([
      [0, 20_000, 20_000],
      [1, 30_000, 15_000],
    ]);
  });

  test('which limb was in front is kept', () => {
    const crossed = holdOf({ kind: 'crossing', first: 'right', length: { kind: 'even', seconds: 60 } });
    const { record } = taught([crossed], at(300, { kind: 'ended' }));
    expect(record.steps[0]!.sides.map(({ side, crossing }) => [side, crossing])).toEqual([
      ['right', true],
      ['left', true],
    ]);
  });
});
