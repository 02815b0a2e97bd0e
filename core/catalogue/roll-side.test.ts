import { expect, test } from '@jest/globals';
import { withRollSide } from '#core/catalogue';
import { POSITIONS } from '#library';

test.each([
  ['Bend the knees, roll to the side, stay there.', 'Bend the knees, roll to the right side, stay there.'],
  ['Roll to one side and rest there.', 'Roll to the right side and rest there.'],
  ['Bend the knees and roll off to one side.', 'Bend the knees and roll off to the right side.'],
  [
    'From the low lunge roll to the outer edge of the left foot.',
    'From the low lunge roll to the outer edge of the left foot.',
  ],
  ['Lie down, head to one side.', 'Lie down, head to one side.'],
])('“%s” to the right', (sentence, expected) => {
  expect(withRollSide(sentence, 'right')).toBe(expected);
  expect(withRollSide(sentence, null)).toBe(sentence);
});

test('every way out of the library that rolls to a side says which one', () => {
  const ways = POSITIONS.flatMap(({ waysOut }) => waysOut).filter((line) => /roll\b.* side/i.test(line));
  expect(ways.length).toBeGreaterThan(8);
  for (const line of ways) expect(withRollSide(line, 'left')).toMatch(/to the left side/);
});
