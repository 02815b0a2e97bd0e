import { describe, expect, test } from '@jest/globals';
import type { HoldStep } from '#core/plan';
import { builtInLibrary } from '#library';
import { compileTimeline } from '#core/timeline';
import { noLibrary, planOf, propRow, talk, workedHold } from '../../../../tests/support/examples';
import { sheetCells } from './sheet';

const bolster = propRow('flatBolster', 'spine');
const block = propRow('block', 'forehead', { side: 'left', count: 2 });
const cellsOf = (people: number, ...steps: Parameters<typeof planOf>) => {
  const plan = { ...planOf(...steps), groupSize: people };
  return sheetCells(plan, compileTimeline(plan, noLibrary), builtInLibrary);
};
const hold = (id: string, patch: Partial<HoldStep> = {}): HoldStep => ({ ...workedHold, id, setUp: [block], ...patch });

describe('the set-up sheet', () => {
  test('a cell for each step with props; counted for the group; what moves at the change', () => {
    const [cell, ...more] = cellsOf(12, talk('t', 60), hold('a'));
    expect(more).toEqual([]);
    expect(cell).toMatchObject({
      number: '2',
      rows: ['2 blocks, flat, under the forehead, left'],
      group: '24 blocks',
      changes: ['at the change: 2 blocks to the right side'],
      other: '',
    });
  });

  test('the same props in the same position again are one cell', () => {
    const next = hold('b', { setUp: [bolster] });
    expect(cellsOf(3, hold('a'), hold('a2'), next).map(({ number }) => number)).toEqual(['1 and 2', '3']);
  });

  test('a stage in another position says how to get there; one that stays in it does not', () => {
    const stage = (name: string, position: string | null) =>
      ({ id: name, name, length: { kind: 'fixed', seconds: 60 }, breathSeconds: null, position, setUp: null }) as const;
    const [cell] = cellsOf(
      3,
      hold('a', {
        position: 'reclined-twist',
        sides: { kind: 'together', seconds: 180 },
        stages: [stage('first', null), stage('then', 'sphinx'), stage('last', null)],
      }),
    );
    const swan = builtInLibrary.position('swan-upright')!;
    const [onRight] = cellsOf(
      3,
      hold('b', {
        sides: { kind: 'each', first: 'right', length: { kind: 'even', seconds: 120 } },
        stages: [stage('first', null), stage('then', 'swan-upright')],
      }),
    );
    // What is written for the left side is said for the one that is held first.
    expect(swan.waysIn.join(' ')).toContain('left knee');
    expect(onRight?.changes[0]).toContain('right knee');
    const sphinx = builtInLibrary.position('sphinx')!;
    expect(cell?.changes).toEqual([`after 1:00: ${sphinx.names.english}. ${sphinx.waysIn.join(' ')}`]);
  });

  test('a step with a note, or with stages that change its props, has a cell of its own', () => {
    expect(cellsOf(3, hold('a'), hold('b', { note: 'Nearer to the wall' })).map(({ number }) => number)).toEqual([
      '1',
      '2',
    ]);
    const emptied = hold('b', {
      stages: [
        {
          id: 's1',
          name: 'first',
          length: { kind: 'fixed', seconds: 60 },
          breathSeconds: null,
          position: null,
          setUp: null,
        },
        {
          id: 's2',
          name: 'then',
          length: { kind: 'share', weight: 1 },
          breathSeconds: null,
          position: null,
          setUp: [],
        },
      ],
    });
    expect(cellsOf(3, hold('a'), emptied).map(({ number }) => number)).toEqual(['1', '2']);
  });

  test('what a stage takes away, and what some have instead', () => {
    const together = { kind: 'together', seconds: 300 } as const;
    const [cell] = cellsOf(
      12,
      hold('a', {
        sides: together,
        setUp: [bolster, block],
        stages: [
          {
            id: 's1',
            name: 'raised',
            length: { kind: 'fixed', seconds: 120 },
            breathSeconds: null,
            position: null,
            setUp: null,
          },
          {
            id: 's2',
            name: 'low',
            length: { kind: 'share', weight: 1 },
            breathSeconds: null,
            position: null,
            setUp: [bolster],
          },
        ],
        otherSetUp: { people: 4, setUp: [propRow('pillow', 'spine')] },
      }),
    );
    expect(cell).toMatchObject({
      group: '8 bolsters, 16 blocks',
      changes: ['after 2:00: 2 blocks away'],
      other: '4 of 12 instead: pillow, whole, along the spine',
    });
  });
});
