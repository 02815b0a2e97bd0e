import { expect, test } from '@jest/globals';
import { remembering } from './remembering';

test('what was calls before is answered without work; what was calls last is forgotten last', () => {
  const calls: string[] = [];
  const upper = remembering((text: string, times: number) => {
    calls.push(text);
    return text.toUpperCase().repeat(times);
  }, 2);
  expect([upper('a', 1), upper('a', 1), upper('b', 2)]).toEqual(['A', 'A', 'BB']);
  expect(calls).toEqual(['a', 'b']);
  upper('a', 1);
  upper('c', 1);
  // Only two are kept: b had been calls longest ago.
  expect(upper('a', 1)).toBe('A');
  expect(upper('b', 2)).toBe('BB');
  expect(calls).toEqual(['a', 'b', 'c', 'b']);
  expect(upper('b', 3)).toBe('BBB');
});
