import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { libraryOf } from '#core/catalogue';
import type { Plan } from '#core/plan';
import {
  addStep,
  applyEdit,
  duplicateStep,
  emptyPlan,
  holdNamed,
  moveStepTo,
  readPlan,
  removeStep,
  selfContained,
  setDetails,
  setEven,
  setHold,
  setHoldSeconds,
  setSidesKind,
  sideSeconds,
  talkStep,
  type PlanEdit,
} from '#core/plan';
import { plan } from '../../tests/support/arbitraries';

const must = (start: Plan, ...edits: PlanEdit[]): Plan =>
  edits.reduce((current, edit) => {
    const result = applyEdit(current, edit);
    if (!result.ok) throw new Error(JSON.stringify(result.issues));
    return result.plan;
  }, start);

const base = must(emptyPlan('Evening'), addStep(holdNamed('Long lean', 'a'), 0), addStep(talkStep('b'), 1));
const holdOf = (document: Plan) => {
  const step = document.steps[0];
  if (step?.kind !== 'hold') throw new Error('no hold');
  return step;
};
const reasons = (start: Plan, edit: PlanEdit): string => {
  const result = applyEdit(start, edit);
  return result.ok ? '' : result.issues.map(({ field, reason }) => `${field}: ${reason}`).join(' ');
};

describe('reading a plan', () => {
  test('what was written is read back the same', () => {
    fc.assert(
      fc.property(plan, (any) => {
        const result = readPlan(JSON.parse(JSON.stringify(any)));
        expect(result).toEqual({ ok: true, value: any });
      }),
    );
  });

  test('a plan of version 3 holds on to its lengths as usual, and nothing in it is pinned', () => {
    const without = (of: object, ...keys: string[]): object =>
      Object.fromEntries(Object.entries(of).filter(([key]) => !keys.includes(key)));
    const steps = base.steps.map((step) => without(step, 'weight', 'pinned'));
    const older = { ...without(base, 'orderPairs'), version: 3 };
    expect(readPlan({ ...older, steps })).toEqual({ ok: true, value: base });
    expect(readPlan({ ...older, steps: 'none' }).ok).toBe(false);
    expect(readPlan({ ...without(base, 'groupId'), version: 4 })).toEqual({ ok: true, value: base });
  });

  test('anything at all is answered, never thrown at', () => {
    fc.assert(fc.property(fc.jsonValue(), (any) => expect(readPlan(any).ok).toBe(false)));
  });

  test.each([
    [{ ...base, title: 'x'.repeat(10_000) }, 'title', 'at most 200 characters'],
    [{ ...base, title: '  ' }, 'title', 'needs a title'],
    [{ ...base, version: 99 }, 'version', 'up to version 9'],
    [{ ...base, format: 'other' }, 'format', 'zovrin-plan'],
    [{ ...base, colour: 'red' }, '', 'Unknown: colour'],
    [{ ...base, groupSize: 0 }, 'groupSize', 'at least one'],
    [{ ...base, startsAt: 'tonight' }, 'startsAt', '2026-11-26T18:30'],
    [{ ...base, steps: Array.from({ length: 201 }, (_, i) => talkStep(`t${i}`)) }, 'steps', 'at most 200 steps'],
    [{ ...base, steps: [talkStep('a'), talkStep('a')] }, 'steps.1.id', 'Two steps'],
    [{ ...base, steps: [{ ...talkStep('a'), seconds: 0 }] }, 'steps.0.seconds', 'at least 0:01'],
  ])('bad field %#: the field and the limit are named', (document, field, reason) => {
    const result = readPlan(document);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.issues).toContainEqual({ field, reason: expect.stringContaining(reason) });
  });

  test('every wrong field is named, not only the first', () => {
    const result = readPlan({ ...base, title: '', groupSize: 0, classSeconds: 1 });
    expect(result.ok ? [] : result.issues.map(({ field }) => field)).toEqual(['title', 'groupSize', 'classSeconds']);
  });
});

describe('edits', () => {
  test('add, move, duplicate, delete', () => {
    const order = (document: Plan) => document.steps.map(({ id }) => id).join('');
    expect(order(must(base, moveStepTo('b', 0)))).toBe('ba');
    expect(order(must(base, duplicateStep('a', 'c')))).toBe('acb');
    expect(order(must(base, removeStep('a')))).toBe('b');
    expect(reasons(base, moveStepTo('nothing', 0))).toBe('edit: This step is no longer in the plan.');
  });

  test('an even hold stays even, whichever side is typed', () => {
    const two = must(base, setSidesKind('a', 'each'), setHoldSeconds('a', 'left', 240));
    expect(sideSeconds(holdOf(two).sides)).toEqual({ left: 240, right: 240 });
    const freed = must(two, setEven('a', false), setHoldSeconds('a', 'right', 200));
    expect(sideSeconds(holdOf(freed).sides)).toEqual({ left: 240, right: 200 });
    expect(sideSeconds(holdOf(must(freed, setEven('a', true))).sides)).toEqual({ left: 240, right: 240 });
  });

  test('a hold of nothing or over an hour is refused with the limit, and nothing changes', () => {
    expect(reasons(base, setHoldSeconds('a', 'even', 0))).toContain('A hold is at least 0:01.');
    expect(reasons(base, setHoldSeconds('a', 'even', 3601))).toContain('A hold is at most 1:00:00.');
    expect(reasons(base, setHold('a', { range: { min: 300, max: 60 } }))).toContain('shorter end');
    expect(reasons(base, setDetails({ title: '' }))).toContain('title');
  });

  test('changing sides there and back keeps the length', () => {
    fc.assert(
      fc.property(fc.constantFrom('together', 'one', 'each', 'crossing' as const), (kind) => {
        const there = must(base, setHoldSeconds('a', 'even', 222), setSidesKind('a', kind as 'each'));
        const back = must(there, setSidesKind('a', 'together'));
        expect(holdOf(back).sides).toEqual({ kind: 'together', seconds: 222 });
      }),
    );
  });
});

test('a plan for a file carries the times of its positions', () => {
  const position = { id: holdOf(base).position, enterSeconds: 25, leaveSeconds: 20, switchSeconds: 15 };
  const library = libraryOf([position as never], []);
  expect(holdOf(selfContained(base, library))).toMatchObject({ enterSeconds: 25, leaveSeconds: 20, switchSeconds: 15 });
  expect(selfContained(base, libraryOf([], []))).toEqual(base);
});
