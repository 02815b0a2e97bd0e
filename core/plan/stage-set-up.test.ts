import { expect, test } from '@jest/globals';
import { rowFor, withOneFewer } from '#core/props';
import { holdNamed, setUpOfStage, stagesSeconds, type Stage } from '.';

const [block, blanket] = [[rowFor('block', 'head', 'centre', 'a')], [rowFor('blanket', 'seat', 'centre', 'b')]];
const stage = (id: string, setUp: Stage['setUp']): Stage => ({
  id,
  name: id,
  length: { kind: 'share', weight: 1 },
  breathSeconds: null,
  position: null,
  setUp,
});

test('a stage keeps what lies there until one changes it; without props is a change too', () => {
  const hold = {
    ...holdNamed('Long lean', 'h'),
    setUp: block,
    stages: [stage('one', null), stage('two', blanket), stage('three', null), stage('four', [])],
  };
  expect([-1, 0, 1, 2, 3].map((at) => setUpOfStage(hold, at))).toEqual([block, block, blanket, blanket, []]);
  expect(setUpOfStage({ ...hold, stages: [] }, 0)).toEqual(block);
});

test('the stages add up where each has a length of its own', () => {
  const fixed = (id: string, seconds: number): Stage => ({ ...stage(id, null), length: { kind: 'fixed', seconds } });
  expect(stagesSeconds({ stages: [fixed('a', 60), fixed('b', 18.5)] })).toBe(78.5);
  expect(stagesSeconds({ stages: [fixed('a', 60), stage('b', null)] })).toBeUndefined();
  expect(stagesSeconds({ stages: [] })).toBeUndefined();
});

test('one is taken away from the highest stack, then the first single piece, until nothing lies there', () => {
  const two = [...blanket, { ...block[0]!, count: 2 }];
  const counts = (setUp: typeof two) => setUp.map(({ kind, count }) => `${count} ${kind}`);
  expect(counts(withOneFewer(two))).toEqual(['1 blanket', '1 block']);
  expect(counts(withOneFewer(withOneFewer(two)))).toEqual(['1 block']);
  expect(withOneFewer([])).toEqual([]);
});
