import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { TEMPLATES } from '#library';
import {
  applyEdit,
  copiedSteps,
  duplicateSteps,
  emptyPlan,
  holdNamed,
  insertSteps,
  invertEdit,
  readCopiedSteps,
  removeSteps,
  restStep,
  setLengthOfAll,
  scaleHolds,
  setRangeOfAll,
  shiftSteps,
  sideSeconds,
  talkStep,
  toggleLocks,
  type Plan,
  type PlanEdit,
} from '.';

const plan: Plan = {
  ...emptyPlan('Evening'),
  steps: ['a', 'b', 'c', 'd', 'e'].map((id) => holdNamed(`Lean ${id}`, id)),
};
function after(edit: PlanEdit, of = plan): Plan {
  const result = applyEdit(of, edit);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.plan;
}
const ids = ({ steps }: Plan): string => steps.map(({ id }) => id).join('');

test('all of them are deleted, and come back by the inverse', () => {
  const edit = removeSteps(['b', 'd', 'e']);
  expect(ids(after(edit))).toBe('ac');
  expect(after(invertEdit(plan, edit), after(edit))).toEqual(plan);
});

test.each([
  ['b', 'abxcde'],
  ['bc', 'abcxyde'],
  ['eb', 'abcdexy'],
  ['ac', 'abcxyde'],
])('copies of %s stand in their order after the last of them', (chosen, order) => {
  const copy = after(duplicateSteps(plan, [...chosen], ['x', 'y']));
  expect(ids(copy)).toBe(order);
  expect(copy.steps.find(({ id }) => id === 'x')?.name).toBe(`Lean ${[...chosen].sort()[0]}`);
});

test('locks are set while one is free, and taken off once all are set', () => {
  const one = after(toggleLocks(plan, ['b']));
  const both = after(toggleLocks(one, ['b', 'c']), one);
  expect(both.steps.map(({ locked }) => locked)).toEqual([false, true, true, false, false]);
  expect(after(toggleLocks(both, ['b', 'c']), both)).toEqual(plan);
});

test.each([
  ['b', -1, 'bacde'],
  ['b', 1, 'acbde'],
  ['bc', -1, 'bcade'],
  ['bd', 1, 'acbed'],
  ['ac', -1, 'acbde'],
  ['de', 1, 'abcde'],
] as const)('%s moved by %i', (chosen, by, order) => {
  expect(ids(after(shiftSteps(plan, [...chosen], by)))).toBe(order);
});

test('moving keeps the order within what is chosen and within the others, by any choice', () => {
  fc.assert(
    fc.property(fc.subarray(['a', 'b', 'c', 'd', 'e']), fc.constantFrom(-1, 1), (chosen, by) => {
      const order = [...ids(after(shiftSteps(plan, chosen, by as -1 | 1)))];
      expect(order.filter((id) => chosen.includes(id))).toEqual(chosen);
      expect(order.filter((id) => !chosen.includes(id))).toEqual([...'abcde'].filter((id) => !chosen.includes(id)));
      for (const id of chosen) expect(Math.abs(order.indexOf(id) - 'abcde'.indexOf(id))).toBeLessThanOrEqual(1);
    }),
  );
});

test('one length for all: each side of a hold, a rest, a talk; a breath keeps its own', () => {
  const yin = TEMPLATES.find(({ id }) => id === 'yin')?.plan;
  if (!yin) throw new Error('no template');
  const all = yin.steps.map(({ id }) => id);
  const same = after(setLengthOfAll(yin, all, 200), yin);
  for (const [i, step] of same.steps.entries()) {
    if (step.kind === 'hold') {
      const { left, right } = sideSeconds(step.sides);
      expect([...new Set([left, right])].filter((seconds) => seconds > 0)).toEqual([200]);
    } else if (step.kind === 'breath') expect(step).toEqual(yin.steps[i]);
    else expect(step.seconds).toBe(200);
  }
});

test('longer or shorter by a share, each by its own length and each side for itself; a locked hold and a talk keep theirs', () => {
  const each = (left: number, right: number) =>
    ({ kind: 'each', first: 'left', length: { kind: 'perSide', left, right } }) as const;
  const stage = {
    id: 's',
    name: 'low',
    length: { kind: 'fixed' as const, seconds: 45 },
    breathSeconds: null,
    position: null,
    setUp: null,
  };
  const mixed: Plan = {
    ...plan,
    steps: [
      { ...holdNamed('Even', 'a'), sides: { kind: 'together', seconds: 200 }, stages: [stage] },
      { ...holdNamed('Uneven', 'b'), sides: each(300, 240) },
      { ...holdNamed('Short', 'c'), sides: { kind: 'together', seconds: 33 } },
      { ...holdNamed('Locked', 'd'), sides: { kind: 'together', seconds: 200 }, locked: true },
      talkStep('t', 'Talk', 100),
    ],
  };
  // By hand: 0.8 × 200 = 160; 0.8 × 45 = 36; 240 and 192 → 190; 26.4 → 26.
  const shorter = after(scaleHolds(mixed, ids(mixed).split(''), 0.8), mixed).steps;
  expect(shorter.map((step) => (step.kind === 'hold' ? sideSeconds(step.sides) : 'as it was'))).toEqual([
    { left: 160, right: 160 },
    { left: 240, right: 190 },
    { left: 26, right: 26 },
    { left: 200, right: 200 },
    'as it was',
  ]);
  expect(shorter[0]?.kind === 'hold' && shorter[0].stages[0]?.length).toEqual({ kind: 'fixed', seconds: 36 });
  expect(shorter[4]).toBe(mixed.steps[4]);
});

test('one range for the holds among them, or none', () => {
  const mixed = { ...plan, steps: [...plan.steps.slice(0, 2), talkStep('t')] };
  const ranged = after(setRangeOfAll(mixed, ['a', 'b', 't'], { min: 120, max: 300 }), mixed);
  expect(ranged.steps.map((step) => (step.kind === 'hold' ? step.range : 'none'))).toEqual([
    { min: 120, max: 300 },
    { min: 120, max: 300 },
    'none',
  ]);
  expect(after(setRangeOfAll(ranged, ['a', 'b'], null), ranged)).toEqual(mixed);
});

describe('the clipboard', () => {
  test('carries every step of the templates unchanged', () => {
    for (const { plan: template } of TEMPLATES)
      expect(readCopiedSteps(copiedSteps(template.steps))).toEqual(template.steps);
  });

  test('gives nothing for what is no copy, is damaged or comes from a newer version', () => {
    const copy = JSON.parse(copiedSteps(plan.steps)) as object;
    for (const other of [
      'Reclined twist 3:30',
      '{}',
      'null',
      '[]',
      JSON.stringify({ ...copy, format: 'zovrin-plan' }),
      JSON.stringify({ ...copy, version: 99 }),
      JSON.stringify({ ...copy, steps: [{ ...plan.steps[0], kind: 'leap' }] }),
    ])
      expect(readCopiedSteps(other)).toBeUndefined();
  });

  test('what is pasted stands where it is put, in its order', () => {
    expect(ids(after(insertSteps([talkStep('x'), restStep('y')], 2)))).toBe('abxycde');
  });
});
