import { describe, expect, test } from '@jest/globals';
import { wordsOnSide } from '#core/catalogue';
import { holdFrom } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS } from '#library';
import { planOf } from '../../tests/support/examples';

const ofSides = POSITIONS.filter(({ sides }) => sides !== 'together');
const wordsOf = (position: (typeof POSITIONS)[number]): string[] => [
  ...position.waysIn,
  ...position.waysOut,
  ...position.prompts.map(({ text }) => text),
];
/** Letter by letter, without what the code goes by: each side's word stands for the other, wherever one stands. */
const swapped = (text: string): string =>
  text
    .split(/(\W+)/)
    .map((word) => ({ left: 'right', right: 'left', Left: 'Right', Right: 'Left' })[word] ?? word)
    .join('');

describe('words that name a side', () => {
  test.each([
    ['Let the right shoulder fall', 'Let the left shoulder fall'],
    ['LEFT KNEE HEAVY, right one light', 'RIGHT KNEE HEAVY, left one light'],
    ['Left-hand side. The left’s turn.', 'Right-hand side. The right’s turn.'],
    ['Bend the left knee to a right angle', 'Bend the right knee to a right angle'],
    ['A right-angled knee, right away if it hurts', 'A right-angled knee, right away if it hurts'],
    ['All right? One breath is left.', 'All right? One breath is left.'],
    ['What is left out stays on the left', 'What is left out stays on the right'],
    ['Nothing of sides', 'Nothing of sides'],
  ])('%s', (written, onTheRight) => {
    expect(wordsOnSide(written, 'right')).toBe(onTheRight);
    expect(wordsOnSide(written, 'left')).toBe(written);
    expect(wordsOnSide(onTheRight, 'right')).toBe(written);
  });

  test('every way in, way out and prompt of the library is mirrored for the other side, and back', () => {
    const naming = ofSides.flatMap(wordsOf).filter((text) => /\b(left|right)\b/i.test(text));
    expect(naming.length).toBeGreaterThan(20);
    for (const text of naming) {
      expect(wordsOnSide(text, 'right')).toBe(swapped(text).replace(/left angle/g, 'right angle'));
      expect(wordsOnSide(wordsOnSide(text, 'right'), 'right')).toBe(text);
    }
  });

  test('on the stage, what is written for both sides is mirrored; what is written for one is said as it is written', () => {
    const position = ofSides.find(({ sides, prompts }) => sides === 'each' && prompts.length > 0)!;
    const line = (id: string, text: string, on: 'every' | 'second') => ({
      id,
      at: { kind: 'half' as const },
      text,
      on,
    });
    const hold = {
      ...holdFrom(position, 'yin', 'hold'),
      prompts: [line('a', 'Right hip heavy', 'every'), line('b', 'Now the right one', 'second')],
    };
    const { prompts } = compileTimeline(planOf(hold), builtInLibrary);
    expect(prompts.map(({ side, text }) => `${side}: ${text}`)).toEqual([
      'left: Right hip heavy',
      'right: Left hip heavy',
      'right: Now the right one',
    ]);
  });
});
