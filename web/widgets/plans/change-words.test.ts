import { expect, test } from '@jest/globals';
import { changeInWords } from './change-words';

const step = { stepId: 's', name: 'Reclined twist' };

test.each([
  [{ kind: 'field', field: 'classSeconds' } as const, 'Class length changed'],
  [{ kind: 'added', ...step } as const, 'Added Reclined twist'],
  [{ kind: 'removed', ...step } as const, 'Removed Reclined twist'],
  [{ kind: 'moved', ...step, from: 4, to: 1 } as const, 'Moved Reclined twist from place 4 to 1'],
  [
    {
      kind: 'step',
      ...step,
      facets: ['length', 'props'],
      length: { from: { left: 180, right: 180, kind: 'even' }, to: { left: 120, right: 130, kind: 'perSide' } },
    } as const,
    'Reclined twist: 3:00 a side → left 2:00, right 2:10; props changed',
  ],
  [
    {
      kind: 'step',
      ...step,
      facets: ['length'],
      length: { from: { left: 1, right: 1, kind: 'rounds' }, to: { left: 12, right: 12, kind: 'rounds' } },
    } as const,
    'Reclined twist: 1 round → 12 rounds',
  ],
  [
    { kind: 'step', ...step, facets: ['prompts', 'note'], length: null } as const,
    'Reclined twist: prompts, note changed',
  ],
])('%j in words', (change, words) => {
  expect(changeInWords({ ...change } as never)).toBe(words);
});
