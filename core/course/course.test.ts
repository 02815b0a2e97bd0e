import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  addStep,
  applyEdit,
  emptyPlan,
  holdFrom,
  breathFrom,
  removeStep,
  setHoldSeconds,
  setSeconds,
  sideSeconds,
  talkStep,
  Plan,
  type HoldStep,
  type Stage,
} from '#core/plan';
import type { SetUp } from '#core/props';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary as library } from '#library';
import { classesOf, taughtWeeks } from './classes';
import { newCourse, readCourse, type Course } from './course';
import { deriveCourse, planOfWeek, threadWeeks, type CourseWeek } from './derive';
import { entriesOfCourse } from './entries';
import type { CourseRecord } from './record';
import { missedWays, whatFollows, withEdit, withMissed, withoutDifference, withOnward } from './edit-course';
import type { Thread, ThreadOf } from './thread';

const position = (id: string) => library.position(id)!;
const NOTHING: CourseRecord = { taught: [], easyRatios: [] };
const settings = { library };

/** Talk, a two-sided hold of three minutes, five counts in and out, a longer rest; twenty minutes free to move. */
function evening(): Plan {
  const hold = {
    ...holdFrom(position('head-to-knee'), 'yin', 'fold'),
    range: { min: 60, max: 600 },
    rangeIsUsual: false,
  };
  const breath = breathFrom(library.technique('equal-breath')!, 'breath');
  const [set] = breath.practice.sets;
  return {
    ...emptyPlan('Long evenings', 'yin'),
    classSeconds: 2400,
    steps: [
      talkStep('talk', 'Arrive', 240),
      { ...hold, sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 180 } } },
      {
        ...breath,
        practice: {
          ...breath.practice,
          sets: [
            {
              ...set!,
              rounds: 12,
              parts: set!.parts.map((part) =>
                part.kind === 'cycle' ? { ...part, in: 5, out: 5, holdFull: 0, holdEmpty: 0 } : part,
              ),
            },
          ],
        },
      },
      { ...holdFrom(position('last-rest'), 'yin', 'rest'), range: { min: 240, max: 1500 }, rangeIsUsual: false },
    ],
  };
}
const LENGTH: Thread = {
  ...{ id: 'longer', kind: 'length', of: { kind: 'step', step: 'fold' } },
  ...{ from: 180, to: 300, grid: 15, mostAWeek: 60, byWeek: 6 },
};
const BREATH: Thread = {
  ...{ id: 'out', kind: 'breath', step: 'breath', easyAWeek: 1, byWeek: 7 },
  ...{ from: { in: 5, holdFull: 0, out: 5, holdEmpty: 0 }, to: { in: 5, holdFull: 0, out: 8, holdEmpty: 0 } },
};
const course = (patch: Partial<Course> = {}): Course => ({
  ...newCourse('Longer evenings', evening(), 'plan-1', 7),
  dates: { kind: 'weekly', first: '2026-11-05', time: '18:00', leftOut: [] },
  ...patch,
});
const planOf = (of: Course, week: number, record = NOTHING): Plan =>
  deriveCourse(of, record, settings).find((one) => one.week === week)!.plan;
const heldIn = ({ steps }: Plan, id = 'fold') => {
  const step = steps.find((one) => one.id === id);
  return step?.kind === 'hold' ? sideSeconds(step.sides) : undefined;
};
const outIn = ({ steps }: Plan): number | undefined => {
  const step = steps.find(({ id }) => id === 'breath');
  const part = step?.kind === 'breath' ? step.practice.sets[0]?.parts.find(({ kind }) => kind === 'cycle') : undefined;
  return part?.kind === 'cycle' ? part.out : undefined;
};

describe('the classes of a course', () => {
  test('are a week apart, without the days that are left out', () => {
    const of = course({
      weeks: 3,
      dates: { kind: 'weekly', first: '2026-12-17', time: '18:00', leftOut: ['2026-12-24'] },
    });
    expect(classesOf(of).map(({ week, startsAt }) => [week, startsAt])).toEqual([
      [1, '2026-12-17T18:00'],
      [2, '2026-12-31T18:00'],
      [3, '2027-01-07T18:00'],
    ]);
  });
  test('may have no dates, or fewer than there are weeks', () => {
    expect(classesOf(course({ weeks: 2, dates: { kind: 'none' } })).map(({ startsAt }) => startsAt)).toEqual([
      null,
      null,
    ]);
    const given = course({ weeks: 2, dates: { kind: 'given', at: ['2026-11-07T10:00'] } });
    expect(classesOf(given).map(({ startsAt }) => startsAt)).toEqual(['2026-11-07T10:00', null]);
  });
  test('a missed one moves everything on, is left out with its week, or is joined with the next', () => {
    const ways = (how: 'shift' | 'drop' | 'join') => {
      const of = withMissed(course({ weeks: 4 }), 2, { how, why: 'hall closed' });
      return classesOf(of).map(({ week, missed, startsAt, joins }) => [
        startsAt?.slice(5, 10),
        week,
        missed !== null,
        joins,
      ]);
    };
    expect(ways('shift')).toEqual([
      ['11-05', 1, false, []],
      ['11-12', null, true, []],
      ['11-19', 2, false, []],
      ['11-26', 3, false, []],
      ['12-03', 4, false, []],
    ]);
    expect(ways('drop').map(([, week, missed]) => [week, missed])).toEqual([
      [1, false],
      [2, true],
      [3, false],
      [4, false],
    ]);
    expect(ways('join')[2]).toEqual(['11-19', 3, false, [2]]);
    expect(taughtWeeks(withMissed(course({ weeks: 4 }), 2, { how: 'drop', why: '' }))).toEqual([1, 3, 4]);
  });
});

describe('the plans of the weeks', () => {
  const weeks = (of: Course, record = NOTHING) => deriveCourse(of, record, settings);

  test('week 1 is the base, with its own title and date', () => {
    const { steps, title, startsAt } = planOf(course({ threads: [LENGTH, BREATH] }), 1);
    expect(steps).toEqual(evening().steps);
    expect([title, startsAt]).toEqual(['Longer evenings, week 1', '2026-11-05T18:00']);
  });

  test('a hold grows from 3:00 to 5:00 by week 6 and stays there; both sides are even', () => {
    const lengths = weeks(course({ threads: [LENGTH] })).map(({ plan }) => heldIn(plan));
    expect(lengths.map((one) => one?.left)).toEqual([180, 195, 210, 240, 270, 300, 300]);
    for (const one of lengths) expect(one?.left).toBe(one?.right);
  });

  test('each week is fitted to its class, and what grows keeps its length', () => {
    for (const { week, plan, overMs } of weeks(course({ threads: [LENGTH, BREATH] })).slice(1)) {
      expect([week, overMs]).toEqual([week, 0]);
      const { totalMs } = compileTimeline(plan, library).totals;
      expect(totalMs).toBeLessThanOrEqual(2_400_000);
      expect(totalMs).toBeGreaterThan(2_380_000);
    }
  });

  test('a week that cannot be fitted says by how much', () => {
    const short = { ...evening(), classSeconds: 900 };
    const [, second] = weeks({ ...course({ threads: [LENGTH] }), base: { planId: null, plan: short } });
    expect(second!.overMs).toBeGreaterThan(0);
  });

  test('what was taught is where the next week grows from: after a missed week a breath waits for its gate', () => {
    // Weeks 1 and 2 were taught and easy; the third class was missed and everything moved on. Week 3 brings the third easy
    // session, and the gate of 2 : 0 : 3 is open from week 4 on.
    const missed = withMissed(course({ threads: [BREATH] }), 3, { how: 'shift', why: 'hall closed' });
    const one = { in: 1, holdFull: 0, out: 1, holdEmpty: 0 };
    const taught = [1, 2].map((week) => ({ week, plan: planOf(missed, week) }));
    const outs = (easyRatios: (typeof one)[]) => weeks(missed, { taught, easyRatios }).map(({ plan }) => outIn(plan));
    expect(outs([one, one])).toEqual([5, 5, 5, 5, 6, 7, 8]);
    // Nothing was noted as easy: weeks 3 to 5 bring the three sessions, and 8 is no longer in reach.
    expect(outs([])).toEqual([5, 5, 5, 5, 5, 6, 7]);
    const [thread] = threadWeeks(missed, { taught, easyRatios: [] }, settings);
    expect(thread!.outcome).toMatchObject({ kind: 'never', moreWeeks: 1, binds: { kind: 'gate', gate: 3 } });
  });

  test('easy sessions count for the rung of their own ratio, whatever another rung comes to with a short in-breath', () => {
    // 1 : 0 : 2 five times opens 4 : 1 : 6; with one count of in-breath, 2 : 0 : 3 comes to 1, 0, 2 as well.
    const two = { in: 1, holdFull: 0, out: 2, holdEmpty: 0 };
    const from = { in: 4, holdFull: 0, out: 8, holdEmpty: 0 };
    const retention: Thread = {
      ...BREATH,
      from,
      to: { in: 4, holdFull: 1, out: 6, holdEmpty: 0 },
      byWeek: 3,
    } as Thread;
    const [thread] = threadWeeks(
      course({ threads: [retention] }),
      { taught: [], easyRatios: [two, two, two, two, two] },
      settings,
    );
    expect(thread!.outcome).toEqual({ kind: 'inTime' });
  });

  test('a week that was left out before one that was taught has what the week before it had', () => {
    const of = course({ threads: [LENGTH] });
    const record = { taught: [3, 5].map((week) => ({ week, plan: planOf(of, week) })), easyRatios: [] };
    const lengths = [2, 3, 4, 5, 6].map((week) => heldIn(planOf(of, week, record))?.left);
    expect(lengths).toEqual([180, 210, 210, 270, 300]);
  });

  test('a week is never further from the last week taught than its limit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 60, max: 600 }), (last, held) => {
        const thread: Thread = { ...LENGTH, mostAWeek: 30 } as Thread;
        const of = course({ threads: [thread] });
        const edited = applyEdit(evening(), setHoldSeconds('fold', 'even', held));
        if (!edited.ok) throw new Error('The plan cannot be so.');
        const record = { taught: [{ week: last, plan: edited.plan }], easyRatios: [] };
        const levels = threadWeeks(of, record, settings)[0]!.levels;
        const values = [...levels].filter(([week]) => week >= last).sort(([a], [b]) => a - b);
        const numbers = values.map(([, level]) => (level.kind === 'number' ? level.value : NaN));
        expect(numbers[0]).toBe(held);
        for (const [i, value] of numbers.slice(1).entries())
          expect(Math.abs(value - numbers[i]!)).toBeLessThanOrEqual(30);
      }),
    );
  });

  test('a new position comes in its week and waits for what it needs; a missing place for it is reported', () => {
    const fresh = (patch: object): Thread =>
      ({ id: 'n', kind: 'new', entry: 'sphinx', week: 3, after: 'fold', needs: [], ...patch }) as Thread;
    const has = (of: Course) =>
      weeks(of).map(({ plan }) => plan.steps.some((step) => step.kind === 'hold' && step.position === 'sphinx'));
    expect(has(course({ weeks: 5, threads: [fresh({})] }))).toEqual([false, false, true, true, true]);
    const swan: Thread = { id: 'm', kind: 'new', entry: 'sleeping-swan', week: 4, after: null, needs: [] };
    expect(has(course({ weeks: 6, threads: [fresh({ needs: ['sleeping-swan'] }), swan] }))).toEqual([
      ...[false, false, false, false, true, true],
    ]);
    const lost = weeks(course({ weeks: 3, threads: [fresh({ after: 'gone' })] }));
    expect(lost[2]!.misfits).toEqual([
      { of: 'thread', id: 'n', reason: 'The step it comes after is no longer in the plan.' },
    ]);
  });

  test('talk gives way to stillness, and a prop leaves', () => {
    const talk: Thread = { id: 't', kind: 'talk', from: 10, to: 4, byWeek: 4 };
    const row = evening().steps.flatMap((step) => (step.id === 'fold' && step.kind === 'hold' ? step.setUp : []))[0]!;
    const props: Thread = { id: 'p', kind: 'props', step: 'fold', row: row.id, from: row.count, to: 0, byWeek: 2 };
    const plans = weeks(course({ weeks: 4, threads: [talk, props] })).map(({ plan }) => plan);
    // 10 % of 40 minutes are 240 s; 2 % a week less are 48 s, and a talk goes by 5 s.
    expect(plans.map(({ steps }) => steps.find((step) => step.kind === 'talk')?.seconds)).toEqual([240, 190, 145, 95]);
    const rows = plans
      .map(({ steps }) => steps.find(({ id }) => id === 'fold'))
      .map((step) => (step?.kind === 'hold' ? step.setUp.length : NaN));
    expect(rows[1]).toBe(rows[0]! - 1);
  });
});

describe('a prop that leaves earlier within a hold', () => {
  const weeks = (of: Course): CourseWeek[] => deriveCourse(of, NOTHING, settings);
  const fixed = (id: string, seconds: number, setUp: SetUp | null): Stage => ({
    ...{ id, name: id, length: { kind: 'fixed', seconds }, breathSeconds: null },
    ...{ position: null, setUp },
  });
  /** A fold of five minutes: four with what the library lays under it, and one without anything. */
  const staged = (...stages: Stage[]): Plan => {
    const plan = evening();
    return {
      ...plan,
      steps: plan.steps.map((step) =>
        step.kind === 'hold' && step.id === 'fold'
          ? { ...step, sides: { ...step.sides, length: { kind: 'even', seconds: 300 } } as HoldStep['sides'], stages }
          : step,
      ),
    };
  };
  const earlier: ThreadOf<'length'> = {
    ...{ id: 's', kind: 'length', of: { kind: 'stage', step: 'fold', stage: 'propped' } },
    ...{ from: 240, to: 120, grid: 30, mostAWeek: 60, byWeek: 5 },
  };
  const stagesOf = ({ plan }: CourseWeek): number[] =>
    plan.steps.flatMap((step) =>
      step.kind === 'hold' && step.id === 'fold'
        ? step.stages.map(({ length }) => (length.kind === 'fixed' ? length.seconds : NaN))
        : [],
    );
  const given = (plan: Plan): Course => ({ ...course({ weeks: 5, threads: [earlier] }), base: { planId: null, plan } });

  test('its stage gets shorter by as much each week, and the one after it gets what it loses', () => {
    const plan = staged(fixed('propped', 240, null), fixed('bare', 60, []));
    const derived = weeks(given(plan));
    expect(derived.map(stagesOf)).toEqual([
      [240, 60],
      [210, 90],
      [180, 120],
      [150, 150],
      [120, 180],
    ]);
    for (const { plan: one } of derived) {
      const fold = one.steps.find(({ id }) => id === 'fold');
      expect(fold?.kind === 'hold' && sideSeconds(fold.sides)).toEqual({ left: 300, right: 300 });
    }
  });

  test('a stage that shares the remaining time takes it by itself; one that is gone, or has no length, is reported', () => {
    const share: Stage = { ...fixed('bare', 60, []), length: { kind: 'share', weight: 1 } };
    expect(stagesOf(weeks(given(staged(fixed('propped', 240, null), share)))[4]!)).toEqual([120, NaN]);
    expect(weeks(given(staged(fixed('other', 300, null))))[1]!.misfits).toEqual([
      { of: 'thread', id: 's', reason: 'Its stage is no longer in the hold.' },
    ]);
    expect(weeks(given(staged({ ...share, id: 'propped' })))[1]!.misfits).toEqual([
      { of: 'thread', id: 's', reason: 'Its stage shares the remaining time: give it a length of its own.' },
    ]);
  });

  test('the stage next to it gives no more than it has', () => {
    const longer: Course = {
      ...given(staged(fixed('propped', 240, null), fixed('bare', 60, []))),
      threads: [{ ...earlier, to: 300 }],
    };
    expect(weeks(longer)[4]!.misfits).toEqual([
      { of: 'thread', id: 's', reason: 'The stage next to it has no time left to give.' },
    ]);
  });
});

test('what follows leaves out the weeks that were taught', () => {
  const before = course({ weeks: 4 });
  const [first] = deriveCourse(before, NOTHING, settings);
  const taught: CourseRecord = { taught: [{ week: 1, plan: first!.plan }], easyRatios: [] } as CourseRecord;
  const longer = withEdit(before, 1, 'course', setSeconds('talk', 120), 'd');
  const followed = (record: CourseRecord) =>
    longer.ok ? whatFollows(before, longer.course, record, settings).map(({ week }) => week) : [];
  expect(followed(NOTHING)).toEqual([1, 2, 3, 4]);
  expect(followed(taught)).toEqual([2, 3, 4]);
});

describe('differences', () => {
  const edit = setSeconds('talk', 120);
  const talkIn = (of: Course) =>
    deriveCourse(of, NOTHING, settings)
      .map(({ plan }) => plan.steps.find(({ kind }) => kind === 'talk'))
      .map((step) => (step?.kind === 'talk' ? step.seconds : 0));
  const edited = (scope: 'week' | 'onward' | 'course'): Course => {
    const made = withEdit(course({ weeks: 4 }), 2, scope, edit, 'd');
    if (!made.ok) throw new Error('The edit does not fit.');
    return made.course;
  };

  test('are of one week, of that week and all after it, or of all', () => {
    expect(talkIn(edited('week'))).toEqual([240, 120, 240, 240]);
    expect(talkIn(edited('onward'))).toEqual([240, 120, 120, 120]);
    expect(talkIn(edited('course'))).toEqual([120, 120, 120, 120]);
    expect(talkIn(withOnward(edited('week'), 'd', true))).toEqual([240, 120, 120, 120]);
  });

  test('a length that was chosen for a week stays as it is when the week is fitted', () => {
    const made = withEdit(course({ threads: [LENGTH] }), 4, 'week', setHoldSeconds('rest', 'even', 333), 'd');
    if (!made.ok) throw new Error('The edit does not fit.');
    expect(heldIn(planOf(made.course, 4), 'rest')?.left).toBe(333);
    expect(heldIn(planOf(made.course, 5), 'rest')?.left).not.toBe(333);
  });

  test('an edit of the field that was edited last takes the place of it; another field, week or scope does not', () => {
    const twice = (...edits: [number, 'week' | 'onward', ReturnType<typeof setHoldSeconds>][]) =>
      edits.reduce((now, [week, scope, edit], i) => {
        const made = withEdit(now, week, scope, edit, `d${i}`);
        return made.ok ? made.course : now;
      }, course()).differences;
    expect(
      twice([2, 'week', setHoldSeconds('rest', 'even', 333)], [2, 'week', setHoldSeconds('rest', 'even', 345)]),
    ).toEqual([{ id: 'd1', week: 2, onward: false, edit: setHoldSeconds('rest', 'even', 345) }]);
    const rest = setHoldSeconds('rest', 'even', 333);
    expect(twice([2, 'week', rest], [3, 'week', rest])).toHaveLength(2);
    expect(twice([2, 'week', rest], [2, 'onward', rest])).toHaveLength(2);
    expect(twice([2, 'week', rest], [2, 'week', setHoldSeconds('fold', 'even', 200)])).toHaveLength(2);
  });
  test('one that is taken out leaves the course as it was', () => {
    const before = course({ threads: [LENGTH] });
    const with_ = withEdit(before, 3, 'onward', edit, 'd');
    if (!with_.ok) throw new Error('The edit does not fit.');
    expect(withoutDifference(with_.course, 'd')).toEqual(before);
    expect(whatFollows(before, with_.course, NOTHING, settings).map(({ week }) => week)).toEqual([3, 4, 5, 6, 7]);
    expect(whatFollows(before, withoutDifference(with_.course, 'd'), NOTHING, settings)).toEqual([]);
  });

  test('one that the base no longer allows is reported alone, and all others are made', () => {
    const twist = { ...holdFrom(position('reclined-twist'), 'yin', 'twist') };
    const add = (id: string, week: number) => ({ id, week, onward: true, edit: addStep(twist, 1) });
    // The same step twice is a plan that cannot be.
    const of = course({ threads: [LENGTH], differences: [add('once', 2), add('twice', 3)] });
    const weeks = deriveCourse(of, NOTHING, settings);
    expect(weeks.map(({ misfits }) => misfits.map(({ id }) => id))).toEqual([
      [],
      [],
      ...Array.from({ length: 5 }, () => ['twice']),
    ]);
    for (const { week, plan } of weeks) {
      expect(plan.steps.filter(({ id }) => id === 'twist')).toHaveLength(week === 1 ? 0 : 1);
      expect(Plan.safeParse(JSON.parse(JSON.stringify(plan))).success).toBe(true);
    }
    expect(heldIn(weeks[5]!.plan)).toEqual({ left: 300, right: 300 });
  });
  test('one whose step is gone is reported, and its week is made without it', () => {
    const base = applyEdit(evening(), removeStep('talk'));
    if (!base.ok) throw new Error('The step is not there.');
    const of = { ...edited('week'), base: { planId: null, plan: base.plan } };
    const [first, second] = deriveCourse(of, NOTHING, settings);
    expect(first!.misfits).toEqual([]);
    expect(second!.misfits).toEqual([{ of: 'difference', id: 'd', reason: 'This step is no longer in the plan.' }]);
    expect(second!.plan.steps.map(({ id }) => id)).toEqual(['fold', 'breath', 'rest']);
  });

  test('one of a class that was joined comes with the next; of one that was left out it does not', () => {
    const drop = withMissed(edited('week'), 2, { how: 'drop', why: '' });
    expect(talkIn(drop)).toEqual([240, 240, 240]);
    expect(talkIn(withMissed(edited('week'), 2, { how: 'join', why: '' }))).toEqual([240, 120, 240]);
  });
});

test('after a missed class, each way to go on says what becomes of the weeks', () => {
  const ways = missedWays(course({ weeks: 6, threads: [LENGTH] }), 3, 'ill', NOTHING, settings);
  expect(ways.map(({ how, follows }) => [how, follows.map(({ week, kind }) => `${week} ${kind}`)])).toEqual([
    ['shift', ['3 changed', '4 changed', '5 changed', '6 changed']],
    ['drop', expect.arrayContaining(['3 gone'])],
    ['join', expect.arrayContaining(['3 gone'])],
  ]);
});

test('the plan of one week is what the course has for it, and none for a week that is not taught', () => {
  const edit = { id: 'd', week: 3, onward: true, edit: setHoldSeconds('rest', 'even', 400) };
  const of = withMissed(course({ threads: [LENGTH, BREATH], differences: [edit] }), 2, { how: 'drop', why: '' });
  const all = deriveCourse(of, NOTHING, settings);
  for (const week of [1, 3, 7])
    expect(planOfWeek(of, week, NOTHING, settings)).toEqual(all.find((one) => one.week === week));
  expect(planOfWeek(of, 2, NOTHING, settings)).toBeUndefined();
  expect(planOfWeek(of, 8, NOTHING, settings)).toBeUndefined();
});
test('the library entries of a course are those of its base, of what is new and of what was edited', () => {
  const added = addStep({ ...holdFrom(position('reclined-twist'), 'yin', 'twist') }, 1);
  const of = course({
    threads: [{ id: 'n', kind: 'new', entry: 'sphinx', week: 3, after: null, needs: ['butterfly-fold'] }],
    differences: [{ id: 'd', week: 2, onward: false, edit: added }],
  });
  const entries = entriesOfCourse(of);
  for (const id of ['head-to-knee', 'last-rest', 'equal-breath', 'sphinx', 'butterfly-fold', 'reclined-twist'])
    expect(entries).toContain(id);
  expect(new Set(entries).size).toBe(entries.length);
});
test('the same course and record are the same weeks', () => {
  const of = course({ threads: [LENGTH, BREATH] });
  expect(deriveCourse(of, NOTHING, settings)).toEqual(
    deriveCourse(JSON.parse(JSON.stringify(of)) as Course, NOTHING, settings),
  );
});

describe('a course from outside', () => {
  const refusals = (patch: object): string[] => {
    const read = readCourse({ ...course(), ...patch });
    return read.ok ? [] : read.issues.map(({ field, reason }) => `${field}: ${reason}`);
  };
  test('is read as it was written', () => {
    const of = course({ threads: [LENGTH, BREATH] });
    expect(readCourse(JSON.parse(JSON.stringify(of)))).toEqual({ ok: true, value: of });
  });
  test('is refused with the place and the reason', () => {
    expect(refusals({ weeks: 60 })).toEqual(['weeks: A course has at most 52 weeks.']);
    expect(refusals({ title: ' ' })).toEqual(['title: A title is needed.']);
    expect(refusals({ dates: { kind: 'given', at: ['2026-11-07T10:00', '2026-11-07T10:00'] } })).toEqual([
      'dates.at.1: Two classes begin on 2026-11-07 at 10:00.',
    ]);
    expect(refusals({ dates: { kind: 'given', at: ['2026-11-08T10:00', '2026-11-07T10:00'] } })).toEqual([
      'dates.at.1: This class comes before the one above it.',
    ]);
    expect(refusals({ dates: { kind: 'given', at: ['2026-02-30T10:00'] } })).toEqual([
      'dates.at.0: There is no such day.',
    ]);
    expect(refusals({ threads: [LENGTH, LENGTH] })).toEqual(['threads.1: Two things that grow have the id “longer”.']);
    expect(refusals({ version: 2 })).toEqual([
      'version: This course has version 2; this Zovrin reads up to version 1.',
    ]);
  });
});
