import { expect, test } from '@jest/globals';
import {
  transitionTimesChart,
  breathChart,
  plannedChart,
  sidesChart,
  strengthChart,
} from '../../../widgets/charts/chart-data';

const tone = (name: string): string => `the ${name}`;
const DAY = Date.UTC(2026, 10, 3, 12);

test('sides and lengths in minutes with one decimal, under their days', () => {
  const sides = sidesChart([{ week: '2026-11-02', leftMs: 630_000, rightMs: 600_000 }], tone);
  expect(sides.labels).toEqual(['2 Nov']);
  expect(sides.datasets.map(({ label, data }) => [label, data])).toEqual([
    ['left', [10.5]],
    ['right', [10]],
  ]);
  const runs = plannedChart([{ id: 'r', beganAtMs: DAY, title: 't', plannedMs: 3_600_000, doneMs: 3_690_000 }], tone);
  expect(runs.labels).toEqual(['3 Nov']);
  expect(runs.datasets.map(({ data }) => data)).toEqual([[61.5], [60]]);
});

test('what lies between in whole seconds, as it goes and as planned', () => {
  const chart = transitionTimesChart([{ what: 'talk', times: 3, plannedMs: 75_000, doneMs: 101_400 }], tone);
  expect(chart.labels).toEqual(['talk']);
  expect(chart.datasets.map(({ data }) => data)).toEqual([[101], [75]]);
});

test('strength as points, sides apart; a side without any is not in the legend', () => {
  const point = { position: 'p', name: 'P', doneMs: 90_000, strength: 3, beganAtMs: DAY };
  const chart = strengthChart(
    [
      { ...point, side: 'left' },
      { ...point, side: 'both' },
    ],
    tone,
  );
  expect(chart.datasets.map(({ label, data }) => [label, data])).toEqual([
    ['left', [{ x: 1.5, y: 3 }]],
    ['both sides', [{ x: 1.5, y: 3 }]],
  ]);
});

test('a session without a hold or a rate leaves a gap', () => {
  const session = { id: 's', beganAtMs: DAY, title: 't', rounds: null };
  const chart = breathChart([{ ...session, longestRetentionMs: 15_600, slowestRate: null }], tone);
  expect(chart.datasets.map(({ data }) => data)).toEqual([[16], [null]]);
});
