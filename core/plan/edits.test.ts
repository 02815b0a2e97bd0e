import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { SidesKind } from '#core/catalogue';
import {
  addStep,
  applyEdit,
  duplicateStep,
  editedPlan,
  holdNamed,
  invertEdit,
  moveStepTo,
  Plan,
  type HoldStep,
  type PlanEdit,
  readPlanEdit,
  removeStep,
  replacePosition,
  replaceStep,
  restoreVersion,
  restStep,
  setBreath,
  setBreathSeconds,
  setDetails,
  setEven,
  setFirstSide,
  setHold,
  setHoldSeconds,
  setLengthOfHold,
  setOnlySide,
  setOrderPairs,
  setOtherSetUp,
  setSeconds,
  setSetUp,
  setSidesKind,
  setStepCommon,
  several,
  takeFit,
  takeOrder,
  takeSetUp,
  takeVariant,
} from '#core/plan';
import { builtInLibrary } from '#library';
import { record, redo, startHistory, undo } from '#core/document';
import { plan, seconds, setUp } from '../../tests/support/arbitraries';
import { noLibrary, planOf, propRow, workedHold } from '../../tests/support/examples';
import { POSITIONS } from '#library';

const id = fc.integer({ min: 0, max: 8 }).map((n) => `step-${n}`);
const side = fc.constantFrom('left', 'right', 'even' as const);
const kind: fc.Arbitrary<SidesKind> = fc.constantFrom('together', 'each', 'crossing', 'one');

/** Any edit a planner can make, good ones and ones that will be refused. */
const simple: fc.Arbitrary<PlanEdit> = fc.oneof(
  fc.tuple(id, side, seconds(0, 4000)).map(([step, which, s]) => setHoldSeconds(step, which, s)),
  fc.tuple(id, fc.boolean()).map(([step, even]) => setEven(step, even)),
  fc.tuple(id, setUp).map(([step, rows]) => setSetUp(step, rows)),
  fc.tuple(id, setUp).map(([step, rows]) => takeSetUp(step, rows)),
  fc
    .tuple(id, fc.integer({ min: 0, max: 500 }), setUp)
    .map(([step, people, rows]) => setOtherSetUp(step, { people, setUp: rows })),
  fc.tuple(id, fc.constantFrom(...POSITIONS)).map(([step, position]) => replacePosition(step, position, [], 'yin')),
  fc.tuple(id, kind).map(([step, sides]) => setSidesKind(step, sides)),
  fc.tuple(id, fc.constantFrom('house', 'left', 'right' as const)).map(([step, first]) => setFirstSide(step, first)),
  fc.tuple(id, fc.constantFrom('left', 'right' as const)).map(([step, side]) => setOnlySide(step, side)),
  fc
    .tuple(id, seconds(0, 700))
    .map(([step, s]) => setHold(step, { rebound: { kind: 'afterEach', seconds: s }, setupSeconds: s })),
  fc.tuple(id, fc.nat({ max: 12 })).map(([step, to]) => moveStepTo(step, to)),
  fc.tuple(id, fc.nat({ max: 1000 })).map(([step, n]) => duplicateStep(step, `copy-${n}`)),
  id.map((step) => removeStep(step)),
  fc.tuple(fc.nat({ max: 1000 }), fc.nat({ max: 12 })).map(([n, to]) => addStep(restStep(`rest-${n}`), to)),
  fc.tuple(id, fc.string({ maxLength: 200 })).map(([step, name]) => setStepCommon(step, { name, locked: true })),
  fc.string({ maxLength: 300 }).map((title) => setDetails({ title })),
  fc.tuple(id, id).map(([before, after]) => setOrderPairs([{ before, after }])),
  plan.map((other) => takeVariant('other', other)),
  plan.map((other) => restoreVersion(other)),
  fc.uniqueArray(id, { maxLength: 9 }).map((ids) => takeOrder(ids)),
  fc
    .tuple(
      fc.array(
        fc.record(
          {
            stepId: id,
            what: fc.oneof(
              side.map((one) => ({ kind: 'hold' as const, side: one })),
              fc.constant({ kind: 'rest' as const }),
              fc.nat({ max: 2 }).map((set) => ({ kind: 'breath' as const, set })),
            ),
            to: fc.integer({ min: 1, max: 3000 }),
          },
          { noNullPrototype: true },
        ),
        { maxLength: 4 },
      ),
      fc.constantFrom(null, 1800, 3600),
    )
    .map(([lengths, classSeconds]) => takeFit(lengths, classSeconds)),
  fc.tuple(id, fc.constantFrom(null, 4, 5.5)).map(([step, breath]) => setBreathSeconds(step, breath)),
  fc.tuple(id, seconds(0, 300)).map(([step, s]) => setBreath(step, { afterSeconds: s, moves: null })),
  fc.tuple(id, fc.nat({ max: 99 })).map(([step, n]) => replaceStep(step, restStep(`other-${n}`))),
  fc.tuple(id, fc.boolean()).map(([step, pinned]) => setStepCommon(step, { pinned, weight: 'keep' })),
  fc.tuple(id, seconds(0, 4000)).map(([step, s]) => setSeconds(step, s)),
);

const edit: fc.Arbitrary<PlanEdit> = fc.oneof(
  { weight: 9, arbitrary: simple },
  { weight: 1, arbitrary: fc.array(simple, { maxLength: 4 }).map((edits) => several(edits)) },
);

/** Whether an edit does something to a plan. */
const changes = (start: Plan, one: PlanEdit): boolean =>
  JSON.stringify(editedPlan(start, one)) !== JSON.stringify(start);

describe('an edit is data', () => {
  test('it comes through JSON as it was, and what is none is refused with every field', () => {
    fc.assert(
      fc.property(plan, edit, (start, one) => {
        const read = readPlanEdit(JSON.parse(JSON.stringify(one)));
        if (read.ok) expect(read.value).toEqual(one);
        // What reading refuses is never something that could be done.
        else expect([read.issues.length > 0, applyEdit(start, one).ok && changes(start, one)]).toEqual([true, false]);
      }),
    );
    fc.assert(fc.property(fc.jsonValue(), (any) => expect(readPlanEdit(any).ok).toBe(false)));
    const read = readPlanEdit({ kind: 'moveStep', step: 'a', to: -1, by: 2 });
    expect(read.ok ? [] : read.issues.map(({ reason }) => reason).join()).toContain('by');
  });

  test('of several, one that is wrong is refused, also where a later one would hide it', () => {
    const hidden = several([setDetails({ title: '' }), setDetails({ title: 'A quiet hour' })]);
    expect(readPlanEdit(hidden).ok).toBe(false);
    expect(applyEdit(planOf(workedHold), hidden).ok).toBe(false);
  });

  test('its inverse leads back exactly, for any edit of any plan', () => {
    let inverted = 0;
    const kinds = new Set<string>();
    fc.assert(
      fc.property(plan, edit, (start, one) => {
        const result = applyEdit(start, one);
        if (!result.ok) return;
        const back = applyEdit(result.plan, invertEdit(start, one));
        expect(back).toEqual({ ok: true, plan: start });
        inverted++;
        kinds.add(one.kind);
      }),
      { numRuns: 1500 },
    );
    // Nearly every kind came, and many edits fitted.
    expect([inverted > 400, kinds.size >= 20]).toEqual([true, true]);
  });

  test('played again from the beginning, a list of edits gives the plan', () => {
    fc.assert(
      fc.property(plan, fc.array(edit, { maxLength: 12 }), (start, edits) => {
        const made: PlanEdit[] = [];
        let now = start;
        for (const one of edits) {
          const result = applyEdit(now, one);
          if (!result.ok) continue;
          now = result.plan;
          made.push(one);
        }
        const kept = JSON.parse(JSON.stringify(made)) as unknown[];
        let again = start;
        for (const one of kept) {
          const read = readPlanEdit(one);
          const result = read.ok ? applyEdit(again, read.value) : undefined;
          expect(result).toMatchObject({ ok: true });
          if (result?.ok) again = result.plan;
        }
        expect(again).toEqual(now);
      }),
    );
  });

  test('one that no longer fits says why, and changes nothing', () => {
    const start = planOf(workedHold, restStep('r', 'Rest', 60));
    const reason = (one: PlanEdit): string => {
      const result = applyEdit(start, one);
      expect(editedPlan(start, one).steps).toHaveLength(2);
      return result.ok ? '' : result.issues[0]!.reason;
    };
    expect(reason(removeStep('gone'))).toBe('This step is no longer in the plan.');
    expect(reason(setHoldSeconds('r', 'even', 60))).toBe('“Rest” is not a hold.');
    expect(reason(setBreath('r', { afterSeconds: 3 }))).toBe('“Rest” is not a breath.');
    expect(reason(setOnlySide('worked', 'left'))).toBe(
      '“Deep hip” is not held on one side only.'.replace('Deep hip', workedHold.name),
    );
    expect(reason(takeFit([{ stepId: 'gone', what: { kind: 'rest' }, to: 60 }]))).toBe(
      'A step that was fitted is no longer in the plan.',
    );
    expect(reason(several([setStepCommon('r', { note: 'x' }), removeStep('gone')]))).toBe(
      'This step is no longer in the plan.',
    );
  });

  test('taken back on a plan that was changed elsewhere since, it leaves what others changed', () => {
    const start = planOf(workedHold, restStep('r', 'Rest', 60));
    const renamed = editedPlan(start, setStepCommon('worked', { name: 'Mine' }));
    const others = editedPlan(renamed, several([setDetails({ title: 'Theirs' }), addStep(restStep('s'), 0)]));
    const back = editedPlan(others, invertEdit(start, setStepCommon('worked', { name: 'Mine' })));
    expect(back).toMatchObject({
      title: 'Theirs',
      steps: [{ id: 's' }, { id: 'worked', name: workedHold.name }, { id: 'r' }],
    });
  });
});

describe('any row of edits', () => {
  test('leads from plan to plan, and never writes to the one before', () => {
    fc.assert(
      fc.property(plan, fc.array(edit, { maxLength: 12 }), (start, edits) => {
        let current = start;
        for (const one of edits) {
          const before = JSON.stringify(current);
          const result = applyEdit(current, one);
          expect(JSON.stringify(current)).toBe(before);
          if (!result.ok) {
            expect(result.issues.length).toBeGreaterThan(0);
            for (const { reason } of result.issues) expect(reason.length).toBeGreaterThan(5);
          } else {
            expect(Plan.safeParse(result.plan).success).toBe(true);
            current = result.plan;
          }
        }
      }),
    );
  });

  test('can be undone to the beginning and redone to the end', () => {
    fc.assert(
      fc.property(plan, fc.array(edit, { maxLength: 12 }), (start, edits) => {
        const end = edits.reduce((history, one) => {
          const result = applyEdit(history.now, one);
          return result.ok ? record(history, { name: one.kind }, result.plan) : history;
        }, startHistory(start));
        let back = end;
        while (back.past.length > 0) back = undo(back);
        expect(back.now).toEqual(start);
        let forth = back;
        while (forth.future.length > 0) forth = redo(forth);
        expect(forth.now).toEqual(end.now);
      }),
    );
  });

  test('leaves the steps it does not speak of the very same objects', () => {
    fc.assert(
      fc.property(plan, id, fc.string({ maxLength: 40 }), (start, step, name) => {
        const result = applyEdit(start, setStepCommon(step, { name }));
        fc.pre(result.ok);
        for (const [i, before] of start.steps.entries())
          if (before.id !== step) expect(result.plan.steps[i]).toBe(before);
      }),
    );
  });
});

test('a moved step has the place that was asked for, and the others keep their order', () => {
  fc.assert(
    fc.property(plan, fc.nat({ max: 7 }), fc.nat({ max: 9 }), (start, from, to) => {
      const step = start.steps[from];
      fc.pre(step !== undefined);
      const moved = editedPlan(start, moveStepTo(step.id, to)).steps;
      expect(moved[Math.min(to, moved.length - 1)]).toBe(step);
      expect(moved.filter((other) => other !== step)).toEqual(start.steps.filter((other) => other !== step));
    }),
  );
});

test('a usual range widens with a length that is meant to be shorter or longer; a range that is typed does not', () => {
  const usual: HoldStep = { ...workedHold, range: { min: 180, max: 300 }, rangeIsUsual: true };
  const rangeAfter = (step: HoldStep, ...changes: PlanEdit[]) => {
    const [edited] = changes.reduce(editedPlan, planOf(step)).steps;
    return edited?.kind === 'hold' ? [edited.range, edited.rangeIsUsual] : undefined;
  };
  const to = (seconds: number) => setHoldSeconds('worked', 'even', seconds);
  expect(rangeAfter(usual, to(60))).toEqual([{ min: 60, max: 300 }, true]);
  expect(rangeAfter(usual, to(60), to(400))).toEqual([{ min: 60, max: 400 }, true]);
  expect(rangeAfter(usual, to(200))).toEqual([{ min: 180, max: 300 }, true]);
  const typed = setHold('worked', { range: { min: 120, max: 240 } });
  expect(rangeAfter(usual, typed, to(60))).toEqual([{ min: 120, max: 240 }, false]);
  // Taken back, it is as it was.
  const before = planOf(usual);
  expect(editedPlan(editedPlan(before, to(60)), invertEdit(before, to(60)))).toEqual(before);
});

test('a custom hold that becomes shorter than a minute gets a short way in and out, unless times were typed', () => {
  const cat: HoldStep = holdNamed('Cat', 'cat');
  const after = (step: HoldStep, seconds: number, library = noLibrary): HoldStep => {
    const [edited] = editedPlan(planOf(step), setLengthOfHold(step, 'even', seconds, library)).steps;
    if (edited?.kind !== 'hold') throw new Error('no hold');
    return edited;
  };
  const short = after(cat, 45);
  expect(short).toMatchObject({ sides: { seconds: 45 }, enterSeconds: 5, leaveSeconds: 5 });
  expect(after(short, 60)).toMatchObject({ sides: { seconds: 60 }, enterSeconds: null, leaveSeconds: null });
  expect(after({ ...cat, enterSeconds: 12 }, 45)).toMatchObject({ enterSeconds: 12, leaveSeconds: null });
  const known = { ...cat, position: 'squat' };
  expect(after(known, 45, builtInLibrary)).toMatchObject({ enterSeconds: null });
});

describe('another set-up, another position', () => {
  const block = propRow('block', 'sacrum');
  const staged = {
    ...workedHold,
    locked: true,
    pinned: true,
    weight: 'keep' as const,
    note: 'Wind outside',
    stages: [
      {
        id: 'a',
        name: 'low',
        length: { kind: 'share' as const, weight: 1 },
        breathSeconds: null,
        position: null,
        setUp: [block],
      },
    ],
  };
  const of = (change: PlanEdit) => {
    const [step] = editedPlan(planOf(staged), change).steps;
    if (step?.kind !== 'hold') throw new Error('no hold');
    return step;
  };

  test('a set-up taken as a whole leaves the stages none of their own; a changed one does not touch them', () => {
    expect(of(takeSetUp('worked', [block]))).toMatchObject({ setUp: [block], stages: [{ setUp: null }] });
    expect(of(setSetUp('worked', []))).toMatchObject({ setUp: [], stages: [{ setUp: [block] }] });
  });

  test('another position is held as long where it has the same sides, and as is usual where it has others', () => {
    const position = (sides: string) => POSITIONS.find((one) => one.sides === sides && one.defaults.yin)!;
    const same = of(replacePosition('worked', position('each'), [block], 'yin'));
    expect(same).toMatchObject({
      id: 'worked',
      sides: workedHold.sides,
      setUp: [block],
      locked: true,
      note: 'Wind outside',
      pinned: true,
      weight: 'keep',
    });
    expect(same.position).toBe(position('each').id);
    expect(of(replacePosition('worked', position('together'), [], 'yin')).sides.kind).toBe('together');
  });
});

test('a variant brings its steps and its length; whose class it is stays', () => {
  const mine = { ...planOf(workedHold), title: 'Mine', group: 'Potters' };
  const other = {
    ...planOf(restStep('r')),
    title: 'Other',
    group: 'Nurses',
    classSeconds: 1200,
    orderPairs: [{ before: 'r', after: 'x' }],
  };
  const taken = editedPlan(mine, takeVariant('Other', other));
  expect(taken).toMatchObject({
    title: 'Mine',
    group: 'Potters',
    classSeconds: 1200,
    steps: other.steps,
    orderPairs: other.orderPairs,
  });
});
