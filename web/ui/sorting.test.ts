import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sortedBy } from './sorting';

interface Row {
  name: string;
  conditions: number;
  screenedOn: string;
}
const rows: Row[] = [
  { name: 'Odo 10', conditions: 0, screenedOn: '2026-10-06' },
  { name: 'Öda', conditions: 3, screenedOn: '' },
  { name: 'ada', conditions: 1, screenedOn: '2026-09-01' },
  { name: 'Odo 9', conditions: 3, screenedOn: '' },
];
const names = (of: (row: Row) => string | number, down = false): string[] =>
  sortedBy(rows, of, down).map(({ name }) => name);

describe('sorting', () => {
  test('names as people order them; numbers by size, alike ones as they were', () => {
    expect(names(({ name }) => name)).toEqual(['ada', 'Öda', 'Odo 9', 'Odo 10']);
    expect(names(({ conditions }) => conditions, true)).toEqual(['Öda', 'Odo 9', 'ada', 'Odo 10']);
  });

  test('those of whom nothing is known come last both ways round', () => {
    expect(names(({ screenedOn }) => screenedOn)).toEqual(['ada', 'Odo 10', 'Öda', 'Odo 9']);
    expect(names(({ screenedOn }) => screenedOn, true)).toEqual(['Odo 10', 'ada', 'Öda', 'Odo 9']);
  });

  test('loses and makes up no row, and nothing known is out of order', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.oneof(fc.constant(''), fc.integer()), fc.nat())), fc.boolean(), (list, down) => {
        const sorted = sortedBy(list, ([value]) => value, down);
        expect([...sorted].sort()).toEqual([...list].sort());
        const values = sorted.map(([value]) => value);
        const known = values.filter((value) => typeof value === 'number');
        expect(values.slice(0, known.length)).toEqual(known);
        known.slice(1).forEach((value, i) => expect((value - known[i]!) * (down ? -1 : 1)).toBeGreaterThanOrEqual(0));
      }),
    );
  });
});
