import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { LEVELS, openLevel, type Cell, type Level, type MatrixRow } from '#core/caution';
import { cellInWords, isBare, openInWords } from './words';

const cell = (state: Cell['state'], level: Level | null, insteadLevel: Level | null = null): Cell =>
  ({ state, level, insteadLevel, cautions: [] }) as unknown as Cell;
const row = (...cells: Cell[]): MatrixRow => ({
  personId: 'p',
  cells,
  session: cell('open', null),
  notScreened: [],
  stale: [],
});

test('a cell in a word: what is open by its level, what was decided by that', () => {
  expect([
    cellInWords(cell('open', 'avoid')),
    cellInWords(cell('open', 'change')),
    cellInWords(cell('open', 'watch')),
    cellInWords(cell('open', null)),
    cellInWords(cell('seen', 'avoid')),
    cellInWords(cell('instead', 'avoid')),
    cellInWords(cell('instead', 'avoid', 'watch')),
  ]).toEqual(['avoid', 'change', 'watch', '', 'seen', 'instead', 'check again']);
});

test('a row: the most careful first, and nothing that was decided', () => {
  const cells = [cell('open', 'watch'), cell('open', 'avoid'), cell('open', 'watch'), cell('seen', 'avoid')];
  expect(openInWords(row(...cells))).toBe('1 to avoid, 2 to watch');
  expect(openInWords({ ...row(), session: cell('open', 'change') })).toBe('1 to change');
  expect(openInWords(row(cell('seen', 'avoid'), cell('instead', 'avoid')))).toBe('');
});

test('whatever the cells, every open one is counted once', () => {
  const any = fc.record({
    state: fc.constantFrom<Cell['state']>('open', 'seen', 'instead'),
    level: fc.option(fc.constantFrom(...LEVELS)),
    insteadLevel: fc.option(fc.constantFrom(...LEVELS)),
  });
  fc.assert(
    fc.property(fc.array(any, { maxLength: 30 }), (list) => {
      const cells = list.map(({ state, level, insteadLevel }) => cell(state, level, insteadLevel));
      const counted = [...openInWords(row(...cells)).matchAll(/\d+/g)].reduce((sum, [count]) => sum + Number(count), 0);
      expect(counted).toBe(cells.filter((one) => openLevel(one) !== null).length);
      for (const one of cells) expect(isBare(one) && cellInWords(one) !== '' && one.state !== 'seen').toBe(false);
    }),
  );
});
