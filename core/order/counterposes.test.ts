import { describe, expect, test } from '@jest/globals';
import { counterposeFor, effectOf, needsCounterpose } from '#core/catalogue';
import { ORDER_RULES, orderSteps, type OrderRules } from '#core/order';
import { breathFrom, holdFrom, type Plan, type Step } from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { planOf } from '../../tests/support/examples';

const position = (id: string) => builtInLibrary.position(id)!;
const hold = (id: string): Step => holdFrom(position(id), 'yin', id);
const breath = (id: string): Step =>
  breathFrom(
    TECHNIQUES.find((one) => one.id === id)!,
    id,
  );
const plan = (...steps: Step[]): Plan => ({ ...planOf(...steps), approach: 'blended' });
const rules: OrderRules = { ...ORDER_RULES, longSeconds: null };
const ordered = (of: Plan, by = rules) => {
  const found = orderSteps({ plan: of, library: builtInLibrary }, by);
  if (found.kind !== 'ordered') throw new Error(JSON.stringify(found));
  return found;
};
const broken = (of: Plan, by = rules) => ordered(of, by).before.broken.map(({ kind }) => kind);

describe('what is a counterpose for what', () => {
  test.each([
    ['knees-to-chest', ['back']],
    ['child-wide', ['back']],
    ['child-narrow', ['back']],
    ['child-on-bolster', ['back']],
    ['sphinx', ['fold']],
  ] as const)('%s is one for %j', (id, bends) => {
    expect(counterposeFor(position(id))).toEqual(expect.arrayContaining([...bends]));
  });

  test('a fold over a chair asks for one, and so do sphinx and a seated fold', () => {
    expect(needsCounterpose(position('chair-fold'))).toEqual(['fold']);
    expect(needsCounterpose(position('sphinx'))).toEqual(['back']);
    expect(needsCounterpose(position('seated-fold'))).toEqual(['fold']);
  });

  test('every entry of the library says so; a custom entry that does not is read by its traits', () => {
    for (const entry of POSITIONS) {
      expect(entry.needsCounterpose).toBeDefined();
      expect(entry.counterposeFor).toBeDefined();
    }
    expect(needsCounterpose({ traits: ['backBend'] })).toEqual(['back']);
    expect(needsCounterpose({ traits: ['backBend'], needsCounterpose: [] })).toEqual([]);
  });

  test('a wide child’s pose after sphinx is a counterpose', () => {
    expect(broken(plan(hold('sphinx'), hold('child-wide')))).not.toContain('unanswered');
  });
});

describe('a back bend and a deep fold', () => {
  test('do not follow each other directly', () => {
    const direct = plan(hold('sphinx'), hold('seated-fold'), hold('crossed-twist'));
    expect(broken(direct)).toContain('neutral');
    expect(broken(direct, { ...rules, neutral: false })).not.toContain('neutral');
    // The best order puts the twist between them.
    expect(ordered(direct).after.stepIds[1]).toBe('crossed-twist');
    expect(ordered(direct).after.broken.map(({ kind }) => kind)).not.toContain('neutral');
  });
});

describe('what rouses and what quiets', () => {
  test('pumps rouse and a long out-breath quiets', () => {
    const of = (id: string) => effectOf(TECHNIQUES.find((one) => one.id === id)!);
    expect([of('belly-strokes'), of('long-out-breath'), of('alternate-nostrils')]).toEqual([
      'rousing',
      'quieting',
      null,
    ]);
    expect(effectOf({ traits: ['strokes'] })).toBe('rousing');
  });

  test('come in that order', () => {
    const late = plan(breath('long-out-breath'), hold('side-lying'), breath('belly-strokes'));
    expect(broken(late)).toContain('rousing');
    const { after } = ordered(late);
    expect(after.stepIds.indexOf('belly-strokes')).toBeLessThan(after.stepIds.indexOf('long-out-breath'));
    expect(after.broken.map(({ kind }) => kind)).not.toContain('rousing');
    expect(broken(late, { ...rules, rousing: false })).not.toContain('rousing');
  });
});
