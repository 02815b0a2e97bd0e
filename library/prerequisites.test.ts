import { expect, test } from '@jest/globals';
import { builtInLibrary as library, TECHNIQUES } from './index';
import { PREREQUISITES } from './prerequisites';

const isEntry = (id: string): boolean => library.position(id) !== undefined || library.technique(id) !== undefined;

test('what comes first, and what comes after it, are entries, each with a reason', () => {
  for (const [id, { knows, reason }] of Object.entries(PREREQUISITES)) {
    expect([id, ...knows].filter((one) => !isEntry(one))).toEqual([]);
    expect(knows.length).toBeGreaterThan(0);
    expect(reason ?? library.technique(id)?.gates ?? '').toMatch(/^[A-Z].*\.$/);
  }
});

test('nothing has to be known before itself, by whatever way', () => {
  const before = (id: string, way: readonly string[]): void => {
    expect(way).not.toContain(id);
    for (const one of PREREQUISITES[id]?.knows ?? []) before(one, [...way, id]);
  };
  for (const id of Object.keys(PREREQUISITES)) before(id, []);
});

test('every technique that holds the breath comes after one that it names itself', () => {
  const holds = TECHNIQUES.filter(({ practice }) =>
    /"hold(Full|Empty)":[1-9]|"retention"/.test(JSON.stringify(practice)),
  );
  expect(holds.length).toBeGreaterThan(6);
  for (const { id, gates } of holds) {
    const known = PREREQUISITES[id]?.knows ?? [];
    expect([id, known.length > 0]).toEqual([id, true]);
    // A word of the name of each stands in what the technique says it comes after.
    for (const one of known) {
      const words = (library.technique(one)?.names.english ?? '').toLowerCase().split(/[^a-z]+/);
      expect([id, one, words.some((word) => word.length > 3 && gates.toLowerCase().includes(word))]).toEqual([
        id,
        one,
        true,
      ]);
    }
  }
});
