import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readSpoken, spokenAsTyped, spokenOver } from './spoken';

const line = fc.record({
  text: fc
    .array(fc.constantFrom('feel', 'the', 'left', 'foot', 'and', 'rest'), { minLength: 1, maxLength: 14 })
    .map((all) => all.join(' ')),
  pause: fc.integer({ min: 1, max: 4 }),
});
const lines = fc.array(line, { minLength: 1, maxLength: 30 });

describe('spoken lines over a length', () => {
  test('begin at once, keep their order, and are all begun before it is over', () => {
    fc.assert(
      fc.property(lines, fc.integer({ min: 30, max: 3600 }), (all, seconds) => {
        const spoken = spokenOver(all, seconds);
        expect(spoken.map(({ text }) => text)).toEqual(all.map(({ text }) => text));
        expect(spoken[0]?.atSeconds).toBe(0);
        for (const [i, { atSeconds }] of spoken.entries()) {
          expect(atSeconds).toBeGreaterThanOrEqual(spoken[i - 1]?.atSeconds ?? 0);
          expect(atSeconds).toBeLessThan(seconds);
        }
      }),
    );
  });

  test('by hand: four words take two seconds, and what is left goes to the pauses by their weights', () => {
    // 2 + 2 + 2 seconds of speaking in 60: 54 left, 18 for each pause of one, 36 for a pause of two.
    const even = [{ text: 'feel the left foot' }, { text: 'feel the right foot' }, { text: 'feel the whole body' }];
    expect(spokenOver(even, 60).map(({ atSeconds }) => atSeconds)).toEqual([0, 20, 40]);
    const [first, second] = [{ text: 'feel the left foot', pause: 2 }, { text: 'feel the right foot' }];
    expect(spokenOver([first, second], 58).map(({ atSeconds }) => atSeconds)).toEqual([0, 38]);
  });

  test('too short for the speaking, they draw together evenly', () => {
    const twelve = { text: 'one two three four five six seven eight nine ten eleven twelve' };
    // Six seconds each, eighteen in all, in nine: half as long.
    expect(spokenOver([twelve, twelve, twelve], 9).map(({ atSeconds }) => atSeconds)).toEqual([0, 3, 6]);
  });

  test('a longer length moves no line forward', () => {
    fc.assert(
      fc.property(lines, fc.integer({ min: 60, max: 1800 }), fc.integer({ min: 0, max: 600 }), (all, seconds, more) => {
        const [short, long] = [spokenOver(all, seconds), spokenOver(all, seconds + more)];
        for (const [i, { atSeconds }] of short.entries()) expect(long[i]!.atSeconds).toBeGreaterThanOrEqual(atSeconds);
      }),
    );
  });
});

describe('lines as they are typed', () => {
  test('one on each line; an empty line after one makes its pause longer', () => {
    expect(readSpoken('\n  Feel the feet. \r\n\r\n\nThe knees.\n\n')).toEqual([
      { text: 'Feel the feet.', pause: 3 },
      { text: 'The knees.' },
    ]);
    expect(readSpoken(' \n\n')).toEqual([]);
  });

  test('are read as they were written, but for the pause after the last', () => {
    fc.assert(
      fc.property(lines, (all) => {
        const read = readSpoken(spokenAsTyped(all)).map(({ text, pause = 1 }) => ({ text, pause }));
        expect(read).toEqual(all.map((one, i) => (i === all.length - 1 ? { ...one, pause: 1 } : one)));
      }),
    );
  });
});
