import { expect, test } from '@jest/globals';
import { propRow } from '../../tests/support/examples';
import { isAtHand } from './index';

test('what one person needs is counted by kind and side; the wall and what is only if wished are not', () => {
  const setUp = [
    propRow('blanket', 'thighs', { side: 'each' }),
    propRow('blanket', 'head'),
    propRow('wall', 'legs'),
    propRow('eyePillow', 'eyes', { optional: true }),
  ];
  expect(isAtHand(setUp, { blanket: 3 })).toBe(true);
  expect(isAtHand(setUp, { blanket: 2 })).toBe(false);
  expect(isAtHand([], {})).toBe(true);
});
