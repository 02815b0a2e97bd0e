import { describe, expect, test } from '@jest/globals';
import type { Practised } from '#core/review';
import { practisedTable, sessionsTable } from './index';

const on = (ms: number): string => new Date(ms).toISOString().slice(0, 16);
const AT = Date.UTC(2026, 10, 26, 18, 30);
const planned = { plannedMs: 180_000, doneMs: 170_500, differenceMs: -9_500 };
const none = { plannedMs: 0, doneMs: 0, differenceMs: 0, times: 0 };
const evening: Practised = {
  id: 'run-1',
  kind: 'run',
  beganAtMs: AT,
  title: 'Evening, slowly',
  planId: 'p',
  group: 'Singers of the quay',
  groupId: 'g',
  people: ['demo-ines'],
  total: planned,
  ended: true,
  holds: [
    { ...planned, position: 'x', name: 'Twist', areas: ['sides'], side: 'left', paired: true, strength: 3 },
    { ...planned, position: 'x', name: 'Twist', areas: ['sides'], side: 'right', paired: true, strength: null },
  ],
  breaths: [{ ...planned, name: 'Longer out-breath', rounds: 15, breathsPerMinute: 5, longestRetentionMs: null }],
  easyBreaths: [],
  setUp: none,
  entries: none,
  talk: none,
};

describe('what was practised, as a table', () => {
  test('has a row for each side and each breath, and names nobody', () => {
    const rows = practisedTable([evening], on);
    expect(rows.slice(1)).toEqual([
      ['2026-11-26T18:30', 'Evening, slowly', 'taught', 'Twist', 'left', '180', '170.5', '3', '', ''],
      ['2026-11-26T18:30', 'Evening, slowly', 'taught', 'Twist', 'right', '180', '170.5', '', '', ''],
      ['2026-11-26T18:30', 'Evening, slowly', 'taught', 'Longer out-breath', '', '180', '170.5', '', '15', '5.00'],
    ]);
    expect(new Set(rows.map((row) => row.length)).size).toBe(1);
    expect(JSON.stringify(rows)).not.toMatch(/Singers|ines/);
  });

  test('sessions have a row each; nothing is planned for a journal entry', () => {
    const rows = sessionsTable(
      [
        { startMs: AT, title: 'Evening', kind: 'run', ms: 3_600_000, differenceMs: -12_345 },
        { startMs: AT, title: 'At home', kind: 'entry', ms: 900_000, differenceMs: '' },
      ],
      on,
    );
    expect(rows).toEqual([
      ['began', 'session', 'kind', 'seconds', 'longer than planned'],
      ['2026-11-26T18:30', 'Evening', 'taught', '3600', '-12.345'],
      ['2026-11-26T18:30', 'At home', 'journal', '900', ''],
    ]);
  });
});
