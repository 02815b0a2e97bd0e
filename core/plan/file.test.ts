import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { copyOf, libraryOf, positionDocument, techniqueDocument, type CustomEntry } from '#core/catalogue';
import {
  adoptEntries,
  breathFrom,
  entriesOf,
  holdFrom,
  planFile,
  readPlan,
  readPlanFile,
  type HoldStep,
} from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { planOf } from '../../tests/support/examples';

const mine = copyOf(positionDocument({ ...POSITIONS[0]!, short: 'Mine', enterSeconds: 33 }), 'own-seat');
const breath = copyOf(techniqueDocument(TECHNIQUES[0]!), 'own-breath');
const library = libraryOf([mine.entry as never], [breath.entry as never]);
const plan = planOf(holdFrom(mine.entry as never, 'yin', 'a'), breathFrom(breath.entry as never, 'b'));
const file = planFile(plan, library, [breath, mine]);
const positionOf = (of: typeof plan) => (of.steps[0] as HoldStep).position;

describe('a plan file', () => {
  test('carries the own entries it uses, and only those', () => {
    const other = copyOf(mine, 'own-other');
    expect(file.entries?.map(({ entry }) => entry.id)).toEqual(['own-breath', 'own-seat']);
    expect(planFile(plan, library, [other]).entries).toBeUndefined();
    expect((file.steps[0] as HoldStep).enterSeconds).toBe(33);
    expect(entriesOf(plan)).toEqual(['own-seat', 'own-breath']);
  });

  test('is never archived where it is opened', () => {
    expect(planFile({ ...plan, archived: true, tags: ['term 2'] }, library, [])).toMatchObject({
      archived: false,
      tags: ['term 2'],
    });
  });

  test('is read again as it was written; a plain plan is a file too', () => {
    const read = readPlanFile(JSON.parse(JSON.stringify(file)));
    expect(read).toMatchObject({ ok: true, entries: [breath, mine] });
    expect(readPlanFile(plan)).toEqual({ ok: true, plan, entries: [] });
    fc.assert(fc.property(anyPlan, (one) => expect(readPlanFile(one)).toEqual({ ok: true, plan: one, entries: [] })));
  });

  test('what a plan alone does not take, a plan alone still does not take', () => {
    expect(readPlan(file).ok).toBe(false);
  });

  test.each([
    [{ entries: {} }, 'entries', 'a list'],
    [{ entries: [7] }, 'entries.0', 'not a library entry'],
    [{ entries: [{ ...mine, entry: { ...mine.entry, areas: [] } }] }, 'entries.0.entry.areas', 'at least one area'],
    [{ title: '' }, 'title', 'needs a title'],
    [{ entries: Array.from({ length: 201 }, () => mine) }, 'entries', 'at most 200'],
  ])('a wrong one is refused with the field: %#', (patch, field, reason) => {
    const read = readPlanFile({ ...file, ...patch });
    expect(read.ok ? [] : read.issues).toContainEqual({ field, reason: expect.stringContaining(reason) });
  });

  test('never throws', () => {
    fc.assert(
      fc.property(fc.anything(), fc.anything(), (entries, rest) => {
        expect(readPlanFile({ ...(rest as object), entries }).ok).toBe(false);
      }),
    );
  });
});

describe('bringing the entries of a file into a library', () => {
  const adopt = (here: Record<string, CustomEntry | 'built-in'>, entries: CustomEntry[] = [mine]) =>
    adoptEntries(
      { plan, entries },
      (id) => here[id],
      () => 'new-id',
    );

  test('one that is not here comes as it is', () => {
    expect(adopt({})).toEqual({ plan, fresh: [mine] });
  });

  test('one that is here word for word is used as it is', () => {
    expect(adopt({ 'own-seat': mine })).toEqual({ plan, fresh: [] });
    expect(adopt({}, [mine, mine])).toEqual({ plan, fresh: [mine] });
  });

  test('one whose id is taken comes under a new id, and the steps follow', () => {
    const changed = positionDocument({ ...(mine.entry as never as (typeof POSITIONS)[0]), short: 'Changed' });
    for (const taken of [changed, 'built-in'] as const) {
      const { plan: adopted, fresh } = adopt({ 'own-seat': taken });
      expect(fresh).toEqual([copyOf(mine, 'new-id')]);
      expect(positionOf(adopted)).toBe('new-id');
      expect(adopted.steps[1]).toEqual(plan.steps[1]);
    }
    expect(positionOf(plan)).toBe('own-seat');
  });

  test('a built-in position is never in a file', () => {
    const usual = planOf(holdFrom(POSITIONS[0]!, 'yin', 'a'));
    expect(planFile(usual, builtInLibrary, [mine])).not.toHaveProperty('entries');
  });
});
