import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type PlanEdit,
  editedPlan,
  addStep,
  moveStepTo,
  planChanges,
  removeStep,
  restoreVersion,
  setDetails,
  setHold,
  setHoldSeconds,
  setStepCommon,
  type Plan,
} from '#core/plan';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { planOf, propRow, talk, workedHold } from '../../tests/support/examples';

const before = planOf(workedHold, talk('a', 60), talk('b', 30), talk('c', 90));
const after = (...edits: PlanEdit[]): Plan => edits.reduce(editedPlan, before);
const brief = (to: Plan) =>
  planChanges(before, to).map((change) => {
    if (change.kind === 'field') return change.field;
    const what = change.kind === 'step' ? change.facets.join('+') : change.kind;
    return `${change.stepId} ${what}`;
  });

describe('what changed between two versions', () => {
  test.each([
    ['nothing', [], []],
    ['its title and its length', [setDetails({ title: 'Late', classSeconds: 1800 })], ['title', 'classSeconds']],
    ['a length', [setHoldSeconds('worked', 'even', 300)], ['worked length']],
    ['props and a prompt', [setHold('worked', { setUp: [propRow('block', 'sacrum')], prompts: [] })], ['worked props']],
    ['a lock', [setStepCommon('a', { locked: true })], ['a fitting']],
    ['a new step', [addStep(talk('d', 10), 1)], ['d added']],
    ['a step taken out', [removeStep('b')], ['b removed']],
    ['one step moved to the front', [moveStepTo('c', 0)], ['c moved']],
    ['one step moved to the end', [moveStepTo('worked', 3)], ['worked moved']],
  ])('%s', (_, edits, words) => {
    expect(brief(after(...edits))).toEqual(words);
  });

  test('a length comes with what it was before', () => {
    expect(planChanges(before, after(setHoldSeconds('worked', 'even', 300)))).toEqual([
      {
        kind: 'step',
        stepId: 'worked',
        name: 'Head to knee',
        facets: ['length'],
        length: { from: { left: 220, right: 220, kind: 'even' }, to: { left: 300, right: 300, kind: 'even' } },
      },
    ]);
  });

  test('of any two plans: changes are listed exactly where they differ, and moves are as few as can be', () => {
    const order = fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4 });
    fc.assert(
      fc.property(anyPlan, anyPlan, order, (one, other, places) => {
        expect(planChanges(one, one)).toEqual([]);
        const known = (plan: Plan): string => JSON.stringify({ ...plan, groupId: null, cupboard: null });
        if (known(one) !== known(other)) expect(planChanges(one, other)).not.toEqual([]);
        expect(planChanges(one, editedPlan(one, restoreVersion(other)))).toEqual(planChanges(one, other));
        // Brute force: the largest set of steps that can stay where they are.
        const shuffled = { ...before, steps: places.map((i) => before.steps[i]!) };
        const subsets = Array.from({ length: 16 }, (_, bits) => places.filter((_place, i) => bits & (1 << i)));
        const ascending = subsets.filter((set) => set.every((place, i) => i === 0 || set[i - 1]! < place));
        const most = Math.max(...ascending.map(({ length }) => length));
        expect(planChanges(before, shuffled).filter(({ kind }) => kind === 'moved')).toHaveLength(4 - most);
      }),
    );
  });
});
