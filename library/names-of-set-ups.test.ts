import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { momentsOf } from '#core/cupboard';
import { holdFrom } from '#core/plan';
import { PROP_PLACES, propKind, setUpInWords, type KnownKind, type SetUp } from '#core/props';
import { compileTimeline } from '#core/timeline';
import { POSITIONS } from '#library';
import { setUp as anySetUp } from '../tests/support/arbitraries';
import { noLibrary, planOf } from '../tests/support/examples';

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];
/** What a thing is called in the name of a set-up. The longer names come first. */
const THINGS: readonly [RegExp, KnownKind][] = [
  [/^eye pillows?$/, 'eyePillow'],
  [/^bolsters?$/, 'flatBolster'],
  [/^blocks?$/, 'block'],
  [/^blankets?$/, 'blanket'],
  [/^cushions?$/, 'cushion'],
  [/^pillows?$/, 'pillow'],
  [/^towels?$/, 'towel'],
  [/^straps?$/, 'strap'],
  [/^belts?$/, 'belt'],
  [/^books?$/, 'book'],
  [/^sandbags?$/, 'sandbag'],
  [/^chairs?$/, 'chair'],
];

/** Things with a number before them in a name: `two blocks`, `three folded pillows`. */
function counted(name: string): { kind: KnownKind; count: number }[] {
  const words = name.toLowerCase().replace(/[,:]/g, ' ,').split(/\s+/);
  return words.flatMap((word, i) => {
    const kind = THINGS.find(([called]) => called.test(word))?.[1];
    // The number stands right before the thing, or before one word about it.
    const count = [words[i - 1], words[i - 2]].map((before) => NUMBERS.indexOf(before ?? '')).find((n) => n > 0);
    return kind && count !== undefined ? [{ kind, count }] : [];
  });
}
const piecesOf = (setUp: SetUp, kind: KnownKind): number =>
  setUp.reduce((sum, row) => sum + (alike(row.kind, kind) ? row.count * (row.side === 'each' ? 2 : 1) : 0), 0);
const alike = (kind: string, wanted: KnownKind): boolean =>
  kind === wanted ||
  (kind === 'roundBolster' && wanted === 'flatBolster') ||
  (kind === 'halfMoon' && wanted === 'cushion');

describe('a set-up by its name', () => {
  test.each(POSITIONS.flatMap(({ id, setUps }) => setUps.map((setUp) => [`${id}: ${setUp.name}`, setUp] as const)))(
    '%s',
    (_, { name, items }) => {
      for (const { kind, count } of counted(name)) {
        expect([kind, piecesOf(items, kind) >= count, piecesOf(items, kind)]).toEqual([kind, true, expect.any(Number)]);
      }
    },
  );
});

/** Which kinds may be meant by a word: at home a belt is a strap, a cover is a blanket, a stool is a chair. */
const MEANT: readonly [RegExp, readonly KnownKind[]][] = [
  [/^eye pillows?$|^scar(f|ves)$/, ['eyePillow', 'scarf']],
  [/^bolsters?$/, ['flatBolster', 'roundBolster']],
  [/^blocks?$/, ['block']],
  [/^blankets?$|^covers?$/, ['blanket']],
  [/^cushions?$/, ['cushion', 'halfMoon']],
  [/^pillows?$/, ['pillow']],
  [/^towels?$/, ['towel']],
  [/^straps?$|^belts?$|^cords?$/, ['strap', 'belt']],
  [/^books?$/, ['book']],
  [/^sandbags?$/, ['sandbag']],
  [/^chairs?$/, ['chair']],
  [/^walls?$/, ['wall']],
];
/** What is named as missing, or as an alternative, need not lie there. */
const notThere = (words: readonly string[], i: number): boolean =>
  words.slice(Math.max(0, i - 3), i).includes('without') || words.slice(Math.max(0, i - 3), i).includes('or');
const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .replace(/[,:;.]/g, ' , ')
    .split(/\s+/);
/** The kinds a name or a reason speaks of. */
const spokenKinds = (text: string): (readonly KnownKind[])[] => {
  const words = wordsOf(text);
  return words.flatMap((word, i) => {
    const kinds = MEANT.find(([called]) => called.test(word))?.[1];
    return kinds && !notThere(words, i) ? [kinds] : [];
  });
};
/** A fold or a face in a name, and the states of props that are so called. */
const FOLDS: readonly [RegExp, KnownKind, readonly string[]][] = [
  [/long thirds/, 'blanket', ['longThirds']],
  [/long half|long halves/, 'blanket', ['longHalf']],
  [/rolled (?:blanket|cover)/, 'blanket', ['rolled']],
  [/rolled towel/, 'towel', ['rolled']],
  [/folded towel/, 'towel', ['folded']],
  [/folded pillow/, 'pillow', ['folded']],
  [/standing blocks?|blocks? standing/, 'block', ['tall']],
  [/(?:block|blocks) (?:on (?:its|their) edges?)/, 'block', ['edge']],
];
const PLACES_SPOKEN = Object.entries(PROP_PLACES).filter(
  ([place]) => !['hands', 'legs', 'feet', 'onFeet'].includes(place),
);

describe('the name of a set-up is true of its rows', () => {
  const all = POSITIONS.flatMap(({ id, setUps }) => setUps.map((setUp) => [`${id}: ${setUp.name}`, setUp] as const));

  test.each(all)('%s', (_, { name, items }) => {
    const kinds = items.map(({ kind }) => kind as KnownKind);
    for (const meant of spokenKinds(name))
      expect([meant, kinds.some((kind) => meant.includes(kind))]).toEqual([meant, true]);
    // “Two pillows along the front, one between the knees” are three.
    const more = wordsOf(name).filter((word, i, words) => word === 'one' && words[i - 1] === ',').length;
    for (const { kind, count } of counted(name)) expect([kind, piecesOf(items, kind)]).toEqual([kind, count + more]);
    for (const [called, kind, states] of FOLDS) {
      if (!called.test(name.toLowerCase())) continue;
      expect([String(called), items.some((row) => row.kind === kind && states.includes(row.state))]).toEqual([
        String(called),
        true,
      ]);
    }
    for (const [place, words] of PLACES_SPOKEN) {
      if (!new RegExp(`\\b${words}\\b`).test(name.toLowerCase())) continue;
      expect([words, items.map((row) => row.place as string)]).toEqual([words, expect.arrayContaining([place])]);
    }
  });

  test.each(all)('a reason in %s speaks only of what lies there', (_, { items }) => {
    const kinds = items.map(({ kind }) => kind as KnownKind);
    for (const { why } of items) {
      for (const meant of spokenKinds(why))
        expect([why, kinds.some((kind) => meant.includes(kind))]).toEqual([why, true]);
    }
  });
});

/** A set-up in words, as numbers: `bolster, 2 blankets` is one and two. */
const spokenOf = (setUp: SetUp): Map<string, number> =>
  new Map(
    setUpInWords(setUp)
      .split(', ')
      .filter(Boolean)
      .map((words) => {
        const [, number, thing = ''] = /^(?:(\d+) )?(.*)$/.exec(words)!;
        return [thing, Number(number ?? 1)];
      }),
  );

/** What the cupboard counts for one person in a hold with a set-up, by what the kind is called. */
function countedByCupboard(setUp: SetUp): Map<string, number> {
  const hold = { ...holdFrom(POSITIONS[0]!, 'restorative', 'a'), stages: [], setUp };
  const [moment] = momentsOf(compileTimeline(planOf(hold), noLibrary), 1);
  const pieces = new Map<string, number>();
  for (const want of moment?.wants ?? []) {
    const { label, plural } = propKind(want.kind);
    const total = (pieces.get(label) ?? pieces.get(plural) ?? 0) + want.pieces;
    pieces.delete(label);
    pieces.set(total === 1 ? label : plural, total);
  }
  return pieces;
}
const FIXTURES = ['wall', 'walls'];
const withoutFixtures = (words: Map<string, number>) =>
  new Map([...words].filter(([thing]) => !FIXTURES.includes(thing)));

describe('a set-up in words and what the cupboard counts', () => {
  test('are the same in every set-up of the library', () => {
    for (const { setUps } of POSITIONS) {
      for (const { items } of setUps) expect(countedByCupboard(items)).toEqual(withoutFixtures(spokenOf(items)));
    }
  });

  test('and in any other', () => {
    fc.assert(
      fc.property(anySetUp, (setUp) => {
        expect(countedByCupboard(setUp)).toEqual(withoutFixtures(spokenOf(setUp)));
      }),
    );
  });
});
