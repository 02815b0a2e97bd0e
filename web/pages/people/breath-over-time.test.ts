import { expect, test } from '@jest/globals';
import { breathOverTime, breathOverTimeInWords, type MeasuredOn } from './breath-over-time';

const on = (day: string, out: number, holdFull?: number): MeasuredOn => ({
  day,
  easy: { in: 4, out, ...(holdFull !== undefined && { holdFull }) },
});

test('what became of the out-breath, in a sentence', () => {
  expect(breathOverTimeInWords([on('6 Oct', 7), on('3 Nov', 9), on('24 Nov', 8.5)])).toBe(
    'The easy out-breath grew longer: 7.0 s on 6 Oct, 8.5 s on 24 Nov.',
  );
  expect(breathOverTimeInWords([on('6 Oct', 7), on('3 Nov', 6)])).toContain('grew shorter');
  expect(breathOverTimeInWords([on('6 Oct', 7), on('3 Nov', 7.2)])).toContain('stayed as it was');
  expect(breathOverTimeInWords([on('6 Oct', 7)])).toBe('Measured once.');
  expect(breathOverTimeInWords([])).toBe('Measured once.');
});

test('a line for what was measured, with a gap where it was not', () => {
  const { labels, datasets } = breathOverTime([on('6 Oct', 7), on('3 Nov', 8, 10)], (name) => name);
  expect(labels).toEqual(['6 Oct', '3 Nov']);
  expect(datasets.map(({ label, data }) => [label, data])).toEqual([
    ['in', [4, 4]],
    ['out', [7, 8]],
    ['hold full', [null, 10]],
  ]);
});
