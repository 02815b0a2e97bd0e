import { expect, test } from '@jest/globals';
import { weekBefore } from '#core/breath';

const DAY = 86_400_000;
const NOW = Date.parse('2026-11-30T18:00:00Z');
const taught = (...daysAgo: number[]) => daysAgo.map((days) => ({ atMs: NOW - days * DAY, days }));
const found = (...daysAgo: number[]) => weekBefore(taught(...daysAgo), NOW)?.days;

test.each([
  ['a weekly class: the one a week ago', [7, 14, 21], 7],
  ['one that slipped to the day before', [6, 13], 6],
  ['three a week: the latest of a week ago, not the last class', [2, 4, 7, 9, 11], 7],
  ['all within this week: the first of them', [1, 3, 5], 5],
  ['three weeks ago is still compared with', [21], 21],
  ['a month ago is not', [30], undefined],
  ['nothing was taught', [], undefined],
  ['what is still to come is nothing to compare with', [-1], undefined],
])('%s', (_, daysAgo, days) => {
  expect(found(...daysAgo)).toBe(days);
  expect(found(...daysAgo.toReversed())).toBe(days);
});
