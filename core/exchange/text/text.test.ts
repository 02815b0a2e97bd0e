import { describe, expect, test } from '@jest/globals';
import { newPlace } from '#core/cupboard';
import { newPerson, personFile, personCondition } from '#core/people';
import { compareRun } from '#core/review';
import { compileTimeline } from '#core/timeline';
import { POSITIONS, TECHNIQUES } from '#library';
import { noLibrary, planOf, talk } from '../../../tests/support/examples';
import { personText, placeText, positionText, sessionTable, sessionText, stockTable, techniqueText } from './index';

describe('a library entry in words', () => {
  test.each(POSITIONS.map((position) => [position.id, position] as const))('%s', (_id, position) => {
    const text = positionText(position);
    expect(text.startsWith(`${position.names.english}\n\n`)).toBe(true);
    for (const { name } of position.setUps) expect(text).toContain(`Set-up: ${name}`);
    if (position.caution) expect(text).toContain(position.caution);
    for (const { text: prompt } of position.prompts) expect(text).toContain(prompt.replace(/\.$/, ''));
    expect(text).not.toMatch(/undefined|null|NaN|\n{3}|^- $/m);
  });

  test('a technique has one round, its steps and its caution', () => {
    for (const technique of TECHNIQUES) {
      const text = techniqueText(technique);
      for (const part of [technique.round, technique.caution, ...technique.taught]) expect(text).toContain(part);
      expect(text).not.toMatch(/undefined|null|NaN|\n{3}/);
    }
  });
});

test('a place in words, and its cupboard as a table', () => {
  const place = {
    ...newPlace('Low room', 'hall'),
    note: 'The door sticks.',
    zone: 'Europe/Dublin',
    stock: { block: 1, blanket: 30, strap: 0 },
    mats: { count: 14, widthCm: 60, lengthCm: 180, gapCm: 40 },
    wallCm: 420,
  };
  expect(placeText(place)).toBe(
    [
      'Low room',
      'The door sticks.',
      'The room\n- 14 mats, 60 × 180 cm, 40 cm between them\n- 4.2 m of free wall\n- on the clock of Europe/Dublin',
      'In the cupboard\n- 1 block\n- 30 blankets\n',
    ].join('\n\n'),
  );
  expect(stockTable(place)).toEqual([
    ['kind', 'pieces'],
    ['block', '1'],
    ['blankets', '30'],
  ]);
});

test('everything that is kept of one person, for them to read', () => {
  const person = {
    ...newPerson('Ines Harrowgate'),
    contact: 'ines@example.org',
    conditions: [{ ...personCondition('c', 'knee'), since: '2025-03-01', note: 'after a fall' }],
    notes: [{ id: 'n', on: '2026-10-06', words: 'Sits high.' }],
    breaths: [
      {
        id: 'b',
        measuredAt: '2026-10-06T18:30',
        in: [3, 4, 4, 4, 5],
        out: [6, 6, 7, 6, 6],
        holdFull: [],
        holdEmpty: [],
      },
    ],
  };
  const cameTo = [{ title: 'Evening', at: '2026-10-13T18:30:00.000Z', seconds: 3540.4 }];
  const text = personText(
    personFile(person, ['Choir singers'], cameTo, '2026-11-26T12:00:00.000Z'),
    (id) => `the ${id}`,
  );
  expect(text).toBe(
    [
      'Ines Harrowgate',
      'What is kept, as of 2026-11-26.',
      'About you\n- contact: ines@example.org',
      'Conditions\n- the knee; since 2025-03-01; after a fall',
      'Notes\n- 2026-10-06: Sits high.',
      'Breaths that were easy\n- 2026-10-06: in 4 s, out 6 s',
      'Groups\n- Choir singers',
      'Classes\n- 2026-10-13: Evening, 59:00\n',
    ].join('\n\n'),
  );
});

test('a session against its plan, as a table and in words', () => {
  const plan = planOf(talk('a', 60), talk('b', 120));
  const timeline = compileTimeline(plan, noLibrary);
  const at = Date.UTC(2026, 10, 26, 18);
  const record = compareRun(timeline, [
    { id: 'started', atMs: at, kind: 'started' },
    { id: 'jumped', atMs: at + 75_000, kind: 'jumped', phase: 1 },
    { id: 'ended', atMs: at + 75_000 + 90_000, kind: 'ended' },
  ]);
  const nameOf = (i: number): string => ['Arrive', 'Close'][i]!;
  const rows = sessionTable(record, nameOf);
  expect(rows[0]).toHaveLength(8);
  for (const row of rows) expect(row).toHaveLength(8);
  expect(rows.slice(1).map((row) => [row[1], row[3]])).toEqual([
    ['Arrive', '60'],
    ['Close', '120'],
  ]);
  const text = sessionText(record, 'Evening, 26 November', nameOf);
  expect(text).toMatch(/^Evening, 26 November\n\n/);
  expect(text).toContain('1. Arrive');
  expect(text).toContain('planned 3:00');
});
