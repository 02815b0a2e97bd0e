import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, setOf } from '#core/breath';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, propRow, talk, workedHold } from '../../tests/support/examples';
import { csv, planTable } from './index';

/** A strict reader of CSV, after RFC 4180: character by character, lines that end in CR LF. */
function readCsv(file: string): string[][] {
  const rows: string[][] = [];
  let [row, cell, at] = [[] as string[], '', 0];
  while (at < file.length) {
    if (file[at] === '"') {
      for (at++; file[at] !== '"' || file[at + 1] === '"'; at++) {
        expect(at).toBeLessThan(file.length);
        if (file[at] === '"') at++;
        cell += file[at];
      }
      at++;
      expect([',', '\r']).toContain(file[at]);
    } else if (file[at] === ',') {
      row.push(cell);
      cell = '';
      at++;
    } else if (file[at] === '\r') {
      expect(file[at + 1]).toBe('\n');
      rows.push([...row, cell]);
      [row, cell] = [[], ''];
      at += 2;
    } else {
      expect(file[at]).not.toBe('\n');
      cell += file[at++];
    }
  }
  expect([row, cell]).toEqual([[], '']);
  return rows;
}

test('by hand: a plan as a table', () => {
  const plan = planOf(
    { ...workedHold, setUp: [propRow('blanket', 'seat', { state: 'longHalf' })] },
    { ...breathStep([setOf('a', [cycleOf([5, 0, 5, 0])], 6)]), name: 'Even breath' },
    talk('close', 60),
  );
  const table = planTable(plan, compileTimeline(plan, noLibrary), noLibrary);
  expect(table.map((row) => row.slice(0, 6).join(' | '))).toEqual([
    'step | name | part | side | begins | seconds',
    '1 | Head to knee | set-up |  | 0:00 | 40',
    '1 | Head to knee | getting in | left | 0:40 | 25',
    '1 | Head to knee | hold | left | 1:05 | 220',
    '1 | Head to knee | coming out | left | 4:45 | 20',
    '1 | Head to knee | change of sides |  | 5:05 | 15',
    '1 | Head to knee | getting in | right | 5:20 | 25',
    '1 | Head to knee | hold | right | 5:45 | 220',
    '1 | Head to knee | coming out | right | 9:25 | 20',
    '1 | Head to knee | release after |  | 9:45 | 25',
    '2 | Even breath | breath |  | 10:10 | 60',
    '3 | Talk | talk |  | 11:10 | 60',
  ]);
  expect(table[3]?.[6]).toBe('blanket, long half, under the seat');
  expect(table[2]?.[6]).toBe('');
});

test('the seconds of a table add up to the class, for any plan', () => {
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const timeline = compileTimeline(plan, builtInLibrary);
      const [, ...rows] = planTable(plan, timeline, builtInLibrary);
      const sum = rows.reduce((seconds, row) => seconds + Number(row[5]), 0);
      expect(sum).toBeCloseTo(timeline.totals.totalMs / 1000, 3);
    }),
    { numRuns: 40 },
  );
});

test('whatever stands in a cell is read back; nothing is a formula; the mark is there where it is wanted', () => {
  const cell = fc.string({ unit: 'grapheme', maxLength: 30 });
  const rows = fc.array(fc.array(cell, { minLength: 2, maxLength: 2 }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(rows, (all) => {
      const read = readCsv(csv(all));
      expect(read).toHaveLength(all.length);
      for (const [i, row] of read.entries()) {
        for (const [k, text] of row.entries()) {
          const typed = all[i]?.[k] ?? '';
          expect(text).not.toMatch(/^[=+\-@\t\r]/);
          expect([typed, `'${typed}`]).toContain(text);
        }
      }
    }),
  );
  expect(readCsv(csv([['=SUM(A1)', 'a "b", c']]))).toEqual([["'=SUM(A1)", 'a "b", c']]);
  expect(csv([['ä', 'b']], true)).toBe('\uFEFFä,b\r\n');
});
