import { describe, expect, test } from '@jest/globals';
import { STIFF, SUPPLE } from '#core/body';
import { rowFor } from '#core/props';
import { holdFrom, type HoldStep } from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { builtInKnowledge, knowledgeWith } from '#library/cautions';
import { planOf } from '../../tests/support/examples';
import { CLASS_DAY, has, someone } from '../../tests/support/people';
import { demandsOf, measureSetUp, screen, type ToMeasure } from './index';

const position = (id: string) => builtInLibrary.position(id)!;
const setUpOf = (id: string, setUp: string) => position(id).setUps.find((one) => one.id === setUp)!.items;
const hold = (id: string, patch: Partial<HoldStep> = {}): HoldStep => ({
  ...holdFrom(position(id), 'restorative', id),
  ...patch,
});
const kept: string[] = [];
const measuring = knowledgeWith(builtInLibrary, POSITIONS, TECHNIQUES, (wanted: ToMeasure) => {
  kept.push(wanted.key);
  return measureSetUp(wanted);
});

const stage = (name: string, setUp: HoldStep['setUp'] | null): HoldStep['stages'][number] => ({
  id: name,
  name,
  length: { kind: 'share', weight: 1 },
  breathSeconds: null,
  position: null,
  setUp,
});

describe('what somebody really lies on', () => {
  test('an own set-up is measured as it is, not taken as the worst of the position', () => {
    // Two bolsters and a block under the head: higher than any set-up that the entry names.
    const own = [...setUpOf('chair-fold', 'two'), rowFor('block', 'head', 'centre', 'b')];
    const [careless, measured] = [builtInKnowledge, measuring].map((knowledge) =>
      demandsOf(hold('chair-fold', { setUp: own }), knowledge).get('headBelowHeart'),
    );
    expect(careless).toBeGreaterThan(15);
    expect(measured).toBeUndefined();
  });

  test('a support that is taken away in a stage is screened in that stage', () => {
    const held = hold('chair-fold', { setUp: setUpOf('chair-fold', 'two') });
    const level = (step: HoldStep) =>
      screen(planOf(step), someone('A', has('glaucoma')), measuring, CLASS_DAY).steps[0]!.level;
    expect(level(held)).toBeNull();
    expect(level({ ...held, stages: [stage('high', null), stage('low', setUpOf('chair-fold', 'free'))] })).toBe(
      'avoid',
    );
  });

  test('on the own body, where it is known: a stiff one folds less than a supple one', () => {
    const fold = hold('seated-fold', { setUp: [] });
    const of = (flexibility: typeof STIFF) =>
      demandsOf(fold, measuring, { statureCm: 170, flexibility }).get('hipFold') ?? 0;
    expect(of(STIFF)).toBeLessThan(of(SUPPLE) - 10);
    const [stiff, supple] = [STIFF, SUPPLE].map((flexibility) => ({
      ...someone('A', has('hip-replaced', { degree: 'back', since: '2026-10-01' })),
      statureCm: 170,
      flexibility,
    }));
    const found = [stiff!, supple!].map(
      (person) => screen(planOf(fold), person, measuring, CLASS_DAY).steps[0]!.cautions[0]?.measured,
    );
    expect(found[0]).not.toBe(found[1]);
  });

  test('a set-up is measured once, wherever it is met, and not at all where the table has it', () => {
    kept.length = 0;
    const [table, own] = [hold('chair-fold'), hold('chair-fold', { setUp: [] })];
    demandsOf(table, measuring);
    expect(kept).toEqual([]);
    const fresh = knowledgeWith(builtInLibrary, POSITIONS, TECHNIQUES, (wanted) => {
      kept.push(wanted.key);
      return measureSetUp(wanted);
    });
    const without = { ...own, setUp: [rowFor('towel', 'head', 'centre', 'x')] };
    for (let i = 0; i < 3; i++) demandsOf({ ...without, id: String(i) }, fresh);
    expect(kept).toHaveLength(1);
  });

  test('until it is measured, nothing is missed: each of the position’s set-ups counts', () => {
    const own = hold('chair-half-fold', { setUp: [rowFor('towel', 'head', 'centre', 'x')] });
    const lowest = Math.max(
      ...position('chair-half-fold').setUps.map(
        ({ items }) =>
          demandsOf(hold('chair-half-fold', { setUp: items }), builtInKnowledge).get('headBelowHeart') ?? 0,
      ),
    );
    expect(demandsOf(own, builtInKnowledge).get('headBelowHeart')).toBe(lowest);
  });
});
