import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mergeChanges, rebase, record, redo, startHistory, undo } from './index';

interface Thing {
  id: string;
  weeks: number;
}
interface Kept {
  name: string;
  note: string;
  body: { tall: number | null; knee: number | null };
  things: Thing[];
  words: string[];
}
const START: Kept = {
  name: 'Wren Salter',
  note: '',
  body: { tall: 164, knee: null },
  things: [
    { id: 'a', weeks: 0 },
    { id: 'b', weeks: 3 },
    { id: 'c', weeks: 7 },
  ],
  words: ['low light', 'no music'],
};
const ids = (kept: Kept | undefined): string[] | undefined => kept?.things.map(({ id }) => id);

describe('two changes at the same time', () => {
  test('of different fields are both there, however deep', () => {
    const mine: Kept = { ...START, note: 'sings', body: { ...START.body, tall: 170 } };
    const theirs: Kept = { ...START, name: 'Wren Salter-Moss', body: { ...START.body, knee: 80 } };
    expect(mergeChanges(START, mine, theirs)).toEqual({
      ...START,
      name: 'Wren Salter-Moss',
      note: 'sings',
      body: { tall: 170, knee: 80 },
    });
  });

  test('of different things in a list: one is changed, one put in, one taken out', () => {
    const mine: Kept = {
      ...START,
      things: [
        { id: 'a', weeks: 23 },
        { id: 'new', weeks: 1 },
        { id: 'b', weeks: 3 },
        { id: 'c', weeks: 7 },
      ],
      words: ['no music'],
    };
    const theirs: Kept = {
      ...START,
      things: START.things.filter(({ id }) => id !== 'b'),
      words: [...START.words, 'tea'],
    };
    const both = mergeChanges(START, mine, theirs);
    expect(both?.things).toEqual([
      { id: 'a', weeks: 23 },
      { id: 'new', weeks: 1 },
      { id: 'c', weeks: 7 },
    ]);
    expect(both?.words).toEqual(['no music', 'tea']);
  });

  test('one moves a thing, the other puts one in: both', () => {
    const [a, b, c] = START.things as [Thing, Thing, Thing];
    const moved: Kept = { ...START, things: [c, a, b] };
    const longer: Kept = { ...START, things: [a, { id: 'd', weeks: 2 }, b, c] };
    expect(ids(mergeChanges(START, moved, longer))).toEqual(['c', 'a', 'd', 'b']);
    expect(ids(mergeChanges(START, longer, moved))).toEqual(['c', 'a', 'd', 'b']);
  });

  test('of the same thing, the same way: once', () => {
    const both: Kept = { ...START, note: 'sings', things: [...START.things, { id: 'd', weeks: 2 }] };
    expect(mergeChanges(START, both, JSON.parse(JSON.stringify(both)) as Kept)).toEqual(both);
  });

  test.each([
    ['one word', { ...START, note: 'sings' }, { ...START, note: 'hums' }],
    [
      'one thing in a list',
      { ...START, things: [{ id: 'a', weeks: 4 }, ...START.things.slice(1)] },
      { ...START, things: [{ id: 'a', weeks: 5 }, ...START.things.slice(1)] },
    ],
    [
      'what the other took out',
      { ...START, things: START.things.slice(1) },
      { ...START, things: [{ id: 'a', weeks: 5 }, ...START.things.slice(1)] },
    ],
    [
      'the order, each another way',
      { ...START, words: ['no music', 'low light'], things: [...START.things].reverse() },
      { ...START, things: [START.things[1]!, START.things[0]!, START.things[2]!] },
    ],
  ])('of the same thing, differently: %s; nobody is chosen for', (_what, mine, theirs) => {
    expect(mergeChanges<Kept>(START, mine, theirs)).toBeUndefined();
    expect(mergeChanges<Kept>(START, theirs, mine)).toBeUndefined();
  });

  test('things that cannot be told apart are not put together', () => {
    expect(mergeChanges([1, 2], [1, 2, 3], [0, 1, 2])).toBeUndefined();
    expect(mergeChanges(['a'], ['a', 'a'], ['a', 'b'])).toBeUndefined();
  });

  test('any change beside none is that change; two that do not touch are both made, whichever was first', () => {
    const thing = fc.record(
      { id: fc.constantFrom(...'abcdefghij'), weeks: fc.integer({ min: 0, max: 42 }) },
      { noNullPrototype: true },
    );
    const list = fc.uniqueArray(thing, { selector: ({ id }) => id, maxLength: 10 });
    fc.assert(
      fc.property(list, list, (base, mine) => {
        expect(mergeChanges(base, mine, base)).toEqual(mine);
        expect(mergeChanges(base, base, mine)).toEqual(mine);
        expect(mergeChanges(base, mine, mine)).toEqual(mine);
      }),
    );
    // Brute force: each thing belongs to one of the two, who keeps, changes, drops or (where it is not there) adds it.
    const fate = fc.record({
      there: fc.boolean(),
      mine: fc.boolean(),
      does: fc.constantFrom('keep', 'change', 'drop'),
    });
    fc.assert(
      fc.property(fc.array(fate, { minLength: 1, maxLength: 12 }), (fates) => {
        const side = (whose: boolean | 'base' | 'both'): Thing[] =>
          fates.flatMap(({ there, mine, does }, i): Thing[] => {
            const acts = whose === 'both' || whose === mine;
            const [id, weeks] = [`t${i}`, acts && does === 'change' ? 9 : 1];
            if (!there) return acts ? [{ id, weeks }] : [];
            return acts && does === 'drop' ? [] : [{ id, weeks }];
          });
        const sorted = (things: readonly Thing[] | undefined) =>
          things && [...things].sort((one, other) => one.id.localeCompare(other.id));
        for (const [first, second] of [
          [true, false],
          [false, true],
        ] as const) {
          const merged = mergeChanges(side('base'), side(first), side(second));
          expect(sorted(merged)).toEqual(sorted(side('both')));
          const kept = side('base').filter(({ id }) => merged?.some((one) => one.id === id));
          expect(merged?.map(({ id }) => id).filter((id) => kept.some((one) => one.id === id))).toEqual(
            kept.map(({ id }) => id),
          );
        }
      }),
    );
  });
});

describe('undo after a change from elsewhere', () => {
  test('takes back one’s own and leaves the other’s; it reaches as far as the two go together', () => {
    let history = startHistory(START);
    for (const note of ['sits', 'sits high', 'sits high, by the door']) {
      history = record(history, { name: 'note' }, { ...history.now, note });
    }
    history = undo(history);
    const onto = (theirs: Kept) => (version: Kept) => mergeChanges(START, version, theirs);
    const named = onto({ ...START, name: 'Wren Salter-Moss' });
    const moved = rebase(history, named(history.now)!, named);
    expect([moved.past.length, moved.future.length]).toEqual([2, 1]);
    expect(undo(undo(moved)).now).toEqual({ ...START, name: 'Wren Salter-Moss' });
    expect(redo(moved).now).toEqual({ ...START, name: 'Wren Salter-Moss', note: 'sits high, by the door' });

    const noted = onto({ ...START, note: 'hums' });
    const chosen = rebase(history, { ...START, note: 'hums' }, noted);
    expect([chosen.past, chosen.future]).toEqual([[], []]);
  });
});

describe('where both changed the same thing', () => {
  const mine: Kept = { ...START, note: 'sings', name: 'Wren' };
  const theirs: Kept = { ...START, note: 'hums', words: ['tea', ...START.words] };

  test('one side can be preferred: it counts there only, and all else of both is kept', () => {
    const both = { ...START, name: 'Wren', words: ['tea', ...START.words] };
    expect(mergeChanges(START, mine, theirs)).toBeUndefined();
    expect(mergeChanges(START, mine, theirs, { prefer: 'mine' })).toEqual({ ...both, note: 'sings' });
    expect(mergeChanges(START, mine, theirs, { prefer: 'theirs' })).toEqual({ ...both, note: 'hums' });
  });

  test('a thing that one removed and the other changed goes by who is preferred, and so does an order', () => {
    const without: Kept = { ...START, things: START.things.slice(1) };
    const changed: Kept = { ...START, things: [{ id: 'a', weeks: 5 }, ...START.things.slice(1)] };
    expect(ids(mergeChanges(START, without, changed, { prefer: 'mine' }))).toEqual(['b', 'c']);
    expect(mergeChanges(START, without, changed, { prefer: 'theirs' })?.things[0]).toEqual({ id: 'a', weeks: 5 });
    const [one, two] = [[...START.things].reverse(), [START.things[1]!, START.things[0]!, START.things[2]!]];
    const ordered = mergeChanges(START, { ...START, things: one }, { ...START, things: two }, { prefer: 'theirs' });
    expect(ids(ordered)).toEqual(['b', 'a', 'c']);
  });

  test('a value that was sent from here and never answered is no conflict, though another window has saved since', () => {
    const sent: Kept = { ...START, note: 'sits', things: [{ id: 'a', weeks: 4 }, ...START.things.slice(1)] };
    const now: Kept = { ...sent, note: 'sits high', things: [{ id: 'a', weeks: 5 }, ...START.things.slice(1)] };
    const saved: Kept = { ...sent, name: 'Wren Salter-Moss' };
    expect(mergeChanges(START, now, saved)).toBeUndefined();
    expect(mergeChanges(START, now, saved, { sent: [sent] })).toEqual({ ...now, name: 'Wren Salter-Moss' });
    // Something else than what was sent is still somebody else's.
    expect(mergeChanges(START, now, { ...saved, note: 'hums' }, { sent: [sent] })).toBeUndefined();
  });

  test('whoever is preferred, what only one of them changed is in the result', () => {
    const plain = { noNullPrototype: true };
    const fields = fc.record({ a: fc.nat(3), b: fc.nat(3), c: fc.record({ d: fc.nat(3) }, plain) }, plain);
    fc.assert(
      fc.property(
        fields,
        fields,
        fields,
        fc.constantFrom('mine' as const, 'theirs' as const),
        (base, my, other, prefer) => {
          const merged = mergeChanges(base, my, other, { prefer });
          const flat = ({ a, b, c }: typeof base) => [a, b, c.d];
          const preferred = prefer === 'mine' ? flat(my) : flat(other);
          const expected = flat(base).map((was, i) => {
            const [mineIs, theirsIs] = [flat(my)[i], flat(other)[i]];
            return mineIs === was ? theirsIs : theirsIs === was ? mineIs : preferred[i];
          });
          expect(merged && flat(merged)).toEqual(expected);
        },
      ),
    );
  });
});
