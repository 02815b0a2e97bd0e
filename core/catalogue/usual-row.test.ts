import { expect, test } from '@jest/globals';
import { builtInLibrary, POSITIONS } from '#library';
import { nextUsualRow } from './index';

test('a new row is what the position usually has and is not there yet, where it usually lies; else a blanket under the head', () => {
  const fold = builtInLibrary.position('seated-fold')!;
  const brief = (setUp: Parameters<typeof nextUsualRow>[1]) => {
    const { id, kind, place } = nextUsualRow(fold, setUp, 'new');
    return `${id}: ${kind} ${place}`;
  };
  expect(brief([])).toBe('new: flatBolster onThighs');
  expect(brief(fold.setUps[0]!.items.slice(0, 1))).toBe('new: blanket seat');
  expect(nextUsualRow(undefined, [], 'new')).toMatchObject({ id: 'new', kind: 'blanket', place: 'head' });
});

test('pressed again and again it never gives the same thing at the same place twice, in any position', () => {
  for (const position of POSITIONS) {
    const all = position.setUps.flatMap(({ items }) => items);
    const different = new Set(all.map(({ kind, place }) => `${kind} ${place}`));
    const rows = [...different].reduce<Parameters<typeof nextUsualRow>[1]>(
      (setUp, _, i) => [...setUp, nextUsualRow(position, setUp, `row-${i}`)],
      [],
    );
    expect(new Set(rows.map(({ kind, place }) => `${kind} ${place}`))).toEqual(different);
  }
});
