import { describe, expect, test } from '@jest/globals';
import { breathCost } from '#core/breath';
import { matchScore, Position, Technique } from '#core/catalogue';
import { breathFrom, emptyPlan, holdFrom, Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';

describe.each(POSITIONS.map((entry) => [entry.id, entry] as const))('position %s', (id, entry) => {
  test('fits the schema of the library', () => {
    expect(Position.parse(entry)).toEqual(entry);
  });

  test('has a studio set-up and one for home, and says what left means when it has sides', () => {
    expect(entry.setUps.map(({ home }) => home)).toEqual(expect.arrayContaining([true, false]));
    expect(entry.leftMeans !== '').toBe(entry.sides !== 'together');
  });

  test('can be put into a plan in every approach and compiles without a note', () => {
    for (const approach of ['restorative', 'yin', 'pranayama', 'blended'] as const) {
      const plan = Plan.parse({ ...emptyPlan('Try', approach), steps: [holdFrom(entry, approach, 'a')] });
      expect(compileTimeline(plan, builtInLibrary).notes).toEqual([]);
    }
    expect(builtInLibrary.position(id)).toBe(entry);
  });
});

describe.each(TECHNIQUES.map((entry) => [entry.id, entry] as const))('technique %s', (_, entry) => {
  test('fits the schema, costs time, and says what a round is', () => {
    expect(Technique.parse(entry)).toEqual(entry);
    expect(breathCost(entry.practice).lengthMs).toBeGreaterThan(60_000);
    expect(entry.round).toMatch(/^1 round = /);
    const plan = Plan.parse({ ...emptyPlan('Try'), steps: [breathFrom(entry, 'a')] });
    expect(compileTimeline(plan, builtInLibrary).notes).toEqual([]);
  });
});

test('ids are unique, and there are sixty positions at least', () => {
  expect(new Set(POSITIONS.map(({ id }) => id)).size).toBe(POSITIONS.length);
  expect(POSITIONS.length).toBeGreaterThanOrEqual(60);
  expect(new Set(TECHNIQUES.map(({ id }) => id)).size).toBe(TECHNIQUES.length);
});

test('nothing promises a cure', () => {
  const said = JSON.stringify([POSITIONS, TECHNIQUES]).toLowerCase();
  for (const word of ['cure', 'heals', 'treats', 'detox']) expect(said).not.toContain(word);
});

test('entries are found without accents, by any name and by part of one', () => {
  const found = (query: string) =>
    POSITIONS.filter(({ names }) => matchScore(query, Object.values(names)) > 0).map(({ id }) => id);
  expect(found('janu')).toEqual(['head-to-knee']);
  expect(found('half butterfly')).toEqual(['head-to-knee']);
  expect(found('SAVASANA')).toEqual(expect.arrayContaining(['knees-in-rest', 'last-rest', 'side-lying']));
  expect(found('wall')).toContain('legs-up-wall');
  expect(found('')).toEqual([]);
  expect(found('zzz')).toEqual([]);
});
