import { expect, test } from '@jest/globals';
import { rowFor } from '#core/props';
import { holdNamed, setUpOfStage, type Stage } from '.';

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
