import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { SidesKind } from '#core/catalogue';
import {
  addStep,
  applyEdit,
  changeStep,
  duplicateStep,
  moveStepTo,
  Plan,
  removeStep,
  replacePosition,
  restStep,
  setDetails,
  setEven,
  setFirstSide,
  setOnlySide,
  setHold,
  setHoldSeconds,
  setOtherSetUp,
  setSetUp,
  setSidesKind,
  setStepCommon,
  setOrderPairs,
  takeSetUp,
  takeVariant,
  type PlanEdit,
} from '#core/plan';
import { record, redo, startHistory, undo } from '#core/document';
import { plan, seconds, setUp } from '../../tests/support/arbitraries';
import { planOf, propRow, workedHold } from '../../tests/support/examples';
import { POSITIONS } from '#library';

const id = fc.integer({ min: 0, max: 8 }).map((n) => `step-${n}`);
const side = fc.constantFrom('left', 'right', 'even' as const);
const kind: fc.Arbitrary<SidesKind> = fc.constantFrom('together', 'each', 'crossing', 'one');

/** Any edit a planner can make, good ones and ones that will be refused. */
const edit: fc.Arbitrary<PlanEdit> = fc.oneof(
  fc.tuple(id, side, seconds(0, 4000)).map(([step, which, s]) => setHoldSeconds(step, which, s)),
  fc.tuple(id, fc.boolean()).map(([step, even]) => setEven(step, even)),
  fc.tuple(id, setUp).map(([step, rows]) => setSetUp(step, rows)),
  fc.tuple(id, setUp).map(([step, rows]) => takeSetUp(step, rows)),
  fc
    .tuple(id, fc.integer({ min: 0, max: 500 }), setUp)
    .map(([step, people, rows]) => setOtherSetUp(step, { people, setUp: rows })),
  fc.tuple(id, fc.constantFrom(...POSITIONS)).map(([step, position]) => replacePosition(step, position, [])),
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
  fc.tuple(id, fc.boolean()).map(([step, pinned]) => setStepCommon(step, { pinned, weight: 'keep' })),
  fc
    .tuple(id, seconds(0, 4000))
    .map(([step, s]) => changeStep(step, 'talk', 'set length', (before) => ({ ...before, seconds: s }))),
);

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
          return result.ok ? record(history, { ...one, merge: undefined }, result.plan) : history;
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
        if (!result.ok) return;
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
      if (!step) return;
      const moved = moveStepTo(step.id, to).apply(start).steps;
      expect(moved[Math.min(to, moved.length - 1)]).toBe(step);
      expect(moved.filter((other) => other !== step)).toEqual(start.steps.filter((other) => other !== step));
    }),
  );
});

describe('another set-up, another position', () => {
  const block = propRow('block', 'sacrum');
  const staged = {
    ...workedHold,
    locked: true,
    pinned: true,
    weight: 'keep' as const,
    note: 'Wind outside',
    stages: [{ id: 'a', name: 'low', length: { kind: 'share' as const, weight: 1 }, setUp: [block] }],
  };
  const of = (change: PlanEdit) => {
    const [step] = change.apply(planOf(staged)).steps;
    if (step?.kind !== 'hold') throw new Error('no hold');
    return step;
  };

  test('a set-up taken as a whole leaves the stages none of their own; a changed one does not touch them', () => {
    expect(of(takeSetUp('worked', [block]))).toMatchObject({ setUp: [block], stages: [{ setUp: null }] });
    expect(of(setSetUp('worked', []))).toMatchObject({ setUp: [], stages: [{ setUp: [block] }] });
  });

  test('another position is held as long where it has the same sides, and as is usual where it has others', () => {
    const position = (sides: string) => POSITIONS.find((one) => one.sides === sides && one.defaults.yin)!;
    const same = of(replacePosition('worked', position('each'), [block]));
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
    expect(of(replacePosition('worked', position('together'), [])).sides.kind).toBe('together');
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
  const taken = takeVariant('Other', other).apply(mine);
  expect(taken).toMatchObject({
    title: 'Mine',
    group: 'Potters',
    classSeconds: 1200,
    steps: other.steps,
    orderPairs: other.orderPairs,
  });
});
