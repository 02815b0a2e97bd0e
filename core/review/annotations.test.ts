import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { deviations, compareRun, runLog, annotationsOf, adoptTimes, adoptedTimes } from '#core/review';
import { RunEvent } from '#core/run';
import { editedPlan, Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { breathStep, noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
const plan = planOf(workedHold, talk('end', 60));
const evening = compileTimeline(plan, noLibrary);
let made = 0;
const at = (seconds: number, body: object): RunEvent =>
  RunEvent.parse({ ...body, id: `said-event-${made++}`, atMs: T0 + seconds * 1000 });
const started = at(0, { kind: 'started' });
const ended = at(670, { kind: 'ended' });
const DAY = 86_400;
const rated = (side: string, strength: number | null, seconds = DAY) =>
  at(seconds, { kind: 'rated', stepId: 'worked', side, strength });
const corrected = (lengths: object[], endedAtMs: number | null = null, why = '') =>
  at(2 * DAY, { kind: 'corrected', lengths, endedAtMs, why });

describe('what is said of a run', () => {
  test('the latest strength counts, and one can be taken away', () => {
    const record = compareRun(evening, [started, ended, rated('left', 4), rated('right', 6), rated('left', 5)]);
    expect(record.steps[0]?.sides.map(({ strength }) => strength)).toEqual([5, 6]);
    expect(
      compareRun(evening, [started, ended, rated('left', 4), rated('left', null)]).steps[0]?.sides[0],
    ).toMatchObject({ strength: null });
  });

  test('a later review stands for an earlier one; who was there is known', () => {
    const review = (change: string) => at(DAY, { kind: 'reviewed', review: { steps: [], change, note: '' } });
    const annotations = annotationsOf([
      started,
      review('more blankets'),
      review('start sooner'),
      present(['a', 'b'], 3),
    ]);
    expect(annotations).toMatchObject({ reviewed: true, review: { change: 'start sooner' } });
    expect(annotations.present).toEqual({ people: ['a', 'b'], others: 3 });
    expect(annotationsOf([started]).present).toBeNull();
  });
  const present = (people: string[], others: number) => at(1, { kind: 'present', people, others });

  test('words said days later move no clock, even of a run that was not ended', () => {
    const open = [started, at(65 + 50, { kind: 'stretched', byMs: 5000 })];
    const before = compareRun(evening, open);
    const after = compareRun(evening, [
      ...open,
      rated('left', 3),
      corrected([{ stepId: 'worked', side: 'left', ms: 1 }]),
    ]);
    expect(after.total).toEqual(before.total);
    expect(after.spans).toEqual(before.spans);
  });

  test('a length put right counts everywhere; what was measured and when it was put right is kept', () => {
    const events = [started, ended, corrected([{ stepId: 'worked', side: 'right', ms: 200_000 }], null, 'bell late')];
    const record = compareRun(evening, events);
    expect(record.right).toEqual({ plannedMs: 220_000, doneMs: 200_000, differenceMs: -20_000 });
    expect(record.steps[0]?.sides[1]).toMatchObject({ doneMs: 200_000, measuredMs: 220_000 });
    expect(record.annotations.corrections).toMatchObject([{ why: 'bell late', atMs: T0 + 2 * DAY * 1000 }]);
    const again = compareRun(evening, [...events, corrected([{ stepId: 'worked', side: 'right', ms: 210_000 }])]);
    expect(again.right.doneMs).toBe(210_000);
    expect(again.annotations.corrections).toHaveLength(2);
  });

  test('a talk is put right by its step; an end that was forgotten makes the session ended', () => {
    const record = compareRun(evening, [
      started,
      corrected([{ stepId: 'end', side: 'none', ms: 90_000 }], T0 + 700_000, 'left running'),
    ]);
    expect(record).toMatchObject({ ended: true, total: { doneMs: 700_000 } });
    expect(record.steps[1]).toMatchObject({ other: { doneMs: 90_000 }, otherMeasuredMs: 0, skipped: false });
  });

  test('a correction that was taken back does not count', () => {
    const wrong = corrected([{ stepId: 'worked', side: 'left', ms: 1000 }]);
    const back = at(3 * DAY, { kind: 'undone', event: wrong.id });
    expect(compareRun(evening, [started, ended, wrong, back]).left.doneMs).toBe(220_000);
  });
});

describe('deviations from the plan', () => {
  test('every length is there once, the largest deviation first', () => {
    const record = compareRun(evening, [
      started,
      at(10, { kind: 'stretched', byMs: 90_000 }),
      at(65 + 90 + 235 + 100, { kind: 'cut' }),
      at(800, { kind: 'ended' }),
    ]);
    const rows = deviations(record);
    expect(rows.map(({ part }) => part).toSorted()).toEqual(['changes', 'left', 'none', 'none', 'right']);
    const off = rows.map(({ differenceMs }) => Math.abs(differenceMs));
    expect(off).toEqual(off.toSorted((a, b) => b - a));
    expect(rows[0]?.doneMs).not.toBe(rows[0]?.plannedMs);
    const planned = rows.reduce((sum, row) => sum + row.plannedMs, 0);
    expect(planned).toBe(evening.totals.totalMs);
  });

  test('what was done is told in order with its step; not what was taken back', () => {
    const cut = at(100, { kind: 'cut' });
    const log = runLog(evening, [
      started,
      at(20, { kind: 'paused' }),
      at(50, { kind: 'resumed' }),
      cut,
      at(101, { kind: 'undone', event: cut.id }),
      at(110, { kind: 'stretched', byMs: 30_000 }),
      at(900, { kind: 'ended' }),
    ]);
    expect(log.map(({ event: { kind }, stepIndex, lengthMs }) => [kind, stepIndex, lengthMs])).toEqual([
      ['paused', 0, 30_000],
      ['stretched', 0, null],
    ]);
  });
});

describe('the times of a run taken into its plan', () => {
  const taught = (...more: RunEvent[]) => compareRun(evening, [started, ...more, at(900, { kind: 'ended' })]);

  test('as planned there is nothing to take', () => {
    const record = compareRun(evening, [started, ended]);
    expect(adoptedTimes(plan.steps[0]!, evening, record).times).toEqual([]);
    expect(editedPlan(plan, adoptTimes(plan, 'worked', evening, record))).toEqual(plan);
  });

  test('a slow set-up and a longer first side, to five seconds; even sides stay even, at the longer', () => {
    const record = taught(at(5, { kind: 'stretched', byMs: 32_000 }), at(150, { kind: 'stretched', byMs: 33_000 }));
    expect(adoptedTimes(plan.steps[0]!, evening, record).times).toEqual([
      { what: 'each', from: 220, to: 255 },
      { what: 'set-up', from: 40, to: 70 },
    ]);
    expect(editedPlan(plan, adoptTimes(plan, 'worked', evening, record)).steps[0]).toMatchObject({
      setupSeconds: 70,
      enterSeconds: 25,
      sides: { length: { kind: 'even', seconds: 255 } },
    });
  });

  test('what went on past what a plan may have is taken as long as it may be', () => {
    const long = planOf({ ...workedHold, setupSeconds: 1700 }, talk('end', 3500));
    const timeline = compileTimeline(long, noLibrary);
    const hours = 3_600_000;
    const record = compareRun(timeline, [
      started,
      at(5, { kind: 'stretched', byMs: hours }),
      at(5400, { kind: 'stretched', byMs: hours }),
      at(13_000, { kind: 'stretched', byMs: hours }),
      at(30_000, { kind: 'ended' }),
    ]);
    const taken = long.steps.reduce((now, { id }) => editedPlan(now, adoptTimes(now, id, timeline, record)), long);
    expect(Plan.safeParse(taken).error?.issues ?? []).toEqual([]);
    expect(taken.steps[0]).toMatchObject({ setupSeconds: 1800 });
  });

  test('sides planned apart stay apart; a talk takes its length; other steps stay as they are', () => {
    const apart = { ...workedHold, sides: { ...workedHold.sides, length: { kind: 'perSide', left: 220, right: 200 } } };
    const other = planOf(apart as typeof workedHold, talk('end', 60));
    const timeline = compileTimeline(other, noLibrary);
    const record = compareRun(timeline, [
      started,
      at(100, { kind: 'stretched', byMs: -40_000 }),
      at(640, { kind: 'ended' }),
    ]);
    const taken = editedPlan(other, adoptTimes(other, 'worked', timeline, record));
    expect(taken.steps[0]).toMatchObject({ sides: { length: { kind: 'perSide', left: 180, right: 200 } } });
    expect(editedPlan(other, adoptTimes(other, 'end', timeline, record)).steps[0]).toBe(other.steps[0]);
    const short = compareRun(evening, [started, at(650, { kind: 'ended' })]);
    expect(adoptedTimes(plan.steps[1]!, evening, short).times).toEqual([{ what: 'length', from: 60, to: 40 }]);
  });

  test('a step that was left out, and one that is not in the plan, give nothing', () => {
    const record = taught(at(1, { kind: 'jumped', phase: evening.phases.length - 1 }));
    const skipped = { ...record, steps: record.steps.map((step) => ({ ...step, skipped: true })) };
    expect(adoptedTimes(plan.steps[0]!, evening, skipped).times).toEqual([]);
    expect(adoptedTimes(breathStep([], { id: 'elsewhere' }), evening, record).times).toEqual([]);
  });

  test('whatever was done, the plan is still one that the rules let in, and taking twice is taking once', () => {
    const act = fc.record({ second: fc.integer({ min: 1, max: 800 }), by: fc.integer({ min: -200, max: 200 }) });
    fc.assert(
      fc.property(fc.array(act, { maxLength: 6 }), (acts) => {
        const events = acts
          .toSorted((a, b) => a.second - b.second)
          .map(({ second, by }) => at(second, { kind: 'stretched', byMs: by * 1000 }));
        const record = taught(...events);
        const once = editedPlan(plan, adoptTimes(plan, 'worked', evening, record));
        expect(planOf(...once.steps).steps).toEqual(once.steps);
        expect(editedPlan(once, adoptTimes(once, 'worked', evening, record))).toEqual(once);
      }),
      { numRuns: 100 },
    );
  });
});
