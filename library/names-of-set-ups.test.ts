import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { momentsOf } from '#core/cupboard';
import { holdFrom } from '#core/plan';
import { propKind, setUpInWords, type KnownKind, type SetUp } from '#core/props';
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
