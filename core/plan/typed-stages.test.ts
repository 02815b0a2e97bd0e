import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readStages, stagesAsTyped, type Stage } from '#core/plan';

let made = 0;
const newId = (): string => `stage-${made++}`;
const NONE = { stages: [], breathSeconds: null };
const read = (typed: string, before: Parameters<typeof readStages>[1] = NONE): [string, number | string][] => {
  const result = readStages(typed, before, newId);
  if (!result.ok) return [[result.reason, '']];
  return result.stages.map(({ name, length, breathSeconds }) => [
    name,
    length.kind === 'share' ? 'share' : breathSeconds === null ? length.seconds : `${length.seconds} in breaths`,
  ]);
};

describe('stages typed as one line', () => {
  test.each([
    [
      'upright 1:00, folded 3:00',
      [
        ['upright', 60],
        ['folded', 180],
      ],
    ],
    [
      'upright 1, folded over the front leg 2.5 min; rest',
      [
        ['upright', 60],
        ['folded over the front leg', 150],
        ['rest', 'share'],
      ],
    ],
    [
      'turned 3 breaths → folded 90 s',
      [
        ['turned', '18 in breaths'],
        ['folded', 90],
      ],
    ],
    [
      'fold: 4,5 min, up 30s',
      [
        ['fold', 270],
        ['up', 30],
      ],
    ],
    ['stage 2 1:00', [['stage 2', 60]]],
    ['fold 4 min 30', [['fold', 270]]],
    ['', []],
    [' upright , ', [['upright', 'share']]],
  ])('%s', (typed, stages) => {
    expect(read(typed)).toEqual(stages);
  });

  test('a length without a name is refused, with an example', () => {
    expect(read('upright 1:00, 3:00')).toEqual([
      ['“3:00” needs a name: upright 1:00, folded 3:00, turned 3 breaths.', ''],
    ]);
  });

  test('breaths are as long as those of the hold', () => {
    expect(read('turned 3 breaths', { stages: [], breathSeconds: 8 })).toEqual([['turned', '24 in breaths']]);
  });

  test('a stage that keeps its place and name keeps its id, props and position', () => {
    const before: Stage[] = [
      {
        id: 'a',
        name: 'upright',
        length: { kind: 'fixed', seconds: 60 },
        breathSeconds: null,
        position: null,
        setUp: [],
      },
      {
        id: 'b',
        name: 'folded',
        length: { kind: 'share', weight: 1 },
        breathSeconds: null,
        position: 'swan',
        setUp: null,
      },
    ];
    const result = readStages('upright 2:00, turned', { stages: before, breathSeconds: null }, newId);
    expect(result.ok && result.stages).toMatchObject([
      { id: 'a', setUp: [], length: { seconds: 120 } },
      { name: 'turned', position: null, setUp: null },
    ]);
    expect(result.ok && result.stages[1]?.id).not.toBe('b');
  });

  test('what is written out is read back as it was', () => {
    const name = fc.constantFrom('upright', 'folded', 'turned to the right', 'stage 2', 'knees in');
    const length = fc.oneof(
      fc.constant({ length: { kind: 'share' as const, weight: 1 }, breathSeconds: null }),
      fc
        .integer({ min: 5, max: 3600 })
        .map((seconds) => ({ length: { kind: 'fixed' as const, seconds }, breathSeconds: null })),
      fc
        .integer({ min: 1, max: 40 })
        .map((breaths) => ({ length: { kind: 'fixed' as const, seconds: breaths * 6 }, breathSeconds: 6 })),
    );
    const stage = fc
      .tuple(name, length)
      .map(([called, long]): Stage => ({ id: newId(), name: called, position: null, setUp: null, ...long }));
    fc.assert(
      fc.property(fc.array(stage, { maxLength: 6 }), (stages) => {
        expect(readStages(stagesAsTyped(stages), { stages, breathSeconds: null }, newId)).toEqual({ ok: true, stages });
      }),
    );
  });
});
