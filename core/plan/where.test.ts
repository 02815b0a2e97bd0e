import { isDeepStrictEqual } from 'node:util';
import { describe, expect, test } from '@jest/globals';
import { libraryOf } from '#core/catalogue';
import {
  editedPlan,
  holdFrom,
  invertEdit,
  newWhereInWords,
  setClassWhere,
  setHold,
  setStepWhere,
  setUpsToChange,
  type HoldStep,
  type Plan,
  type PlanEdit,
} from '#core/plan';
import { POSITIONS } from '#library';
import { planOf, talk } from '../../tests/support/examples';

const library = libraryOf(POSITIONS, []);
const hold = (id: string) => holdFrom(library.position(id)!, 'restorative', id);
const plan = planOf(talk('t', 60), hold('last-rest'), hold('child-wide'), hold('crossed-twist'));
const setUpsOf = (changed: Plan) =>
  changed.steps.flatMap((step) =>
    step.kind === 'hold'
      ? [library.position(step.position)!.setUps.find(({ items }) => same(items, step.setUp))?.id ?? 'own']
      : [],
  );
const edited = (before: Plan, edit: PlanEdit): Plan => editedPlan(before, edit);
const same = isDeepStrictEqual;

describe('where a class takes place', () => {
  test('its holds get the set-ups for it, and give them back with one undo', () => {
    expect(setUpsToChange(plan, 'bed', library)).toBe(3);
    const edit = setClassWhere(plan, 'bed', library, true);
    const inBed = edited(plan, edit);
    expect([inBed.where, setUpsOf(inBed)]).toEqual(['bed', ['bed', 'bed', 'bed']]);
    expect(edited(inBed, invertEdit(plan, edit))).toEqual(plan);
  });

  test('or stay as they are, if that is wanted', () => {
    const there = edited(plan, setClassWhere(plan, 'bed', library, false));
    expect([there.where, setUpsOf(there)]).toEqual(['bed', ['covered', 'blanket', 'blanket']]);
  });

  test('a set-up of the teacher’s own is not touched, nor a step that takes place elsewhere', () => {
    const [, rest, child] = plan.steps as [unknown, HoldStep, HoldStep];
    let mixed = edited(plan, setHold(rest.id, { setUp: rest.setUp.slice(0, 1) }));
    mixed = edited(mixed, setStepWhere(mixed, child, 'floor', library));
    expect(setUpsToChange(mixed, 'bed', library)).toBe(1);
    expect(setUpsOf(edited(mixed, setClassWhere(mixed, 'bed', library, true)))).toEqual(['own', 'blanket', 'bed']);
  });

  test('one step in bed has its set-up for the bed, and the class’s again when it goes with the class', () => {
    const [, rest] = plan.steps as [unknown, HoldStep];
    const inBed = edited(plan, setStepWhere(plan, rest, 'bed', library));
    expect(setUpsOf(inBed)).toEqual(['bed', 'blanket', 'blanket']);
    const [, moved] = inBed.steps as [unknown, HoldStep];
    expect(edited(inBed, setStepWhere(inBed, moved, null, library))).toEqual(plan);
  });

  test('a new hold has the set-up for where the class takes place', () => {
    const made = holdFrom(library.position('last-rest')!, 'restorative', 'new', 'bed');
    expect(setUpsOf(planOf(made))).toEqual(['bed']);
  });

  test('a new place is said where it begins, and once', () => {
    const [t, rest, child, twist] = plan.steps as [Plan['steps'][number], HoldStep, HoldStep, HoldStep];
    const steps = [t, { ...rest, where: 'bed' as const }, { ...child, where: 'bed' as const }, twist];
    const words = (one: Plan) => one.steps.map((_, i) => newWhereInWords(one, i));
    expect(words({ ...plan, steps })).toEqual(['', 'in bed', '', 'on the floor']);
    expect(words({ ...plan, where: 'floor', steps })).toEqual(['', 'in bed', '', 'on the floor']);
    expect(words({ ...plan, where: 'bed' })).toEqual(['', '', '', '']);
  });
});
