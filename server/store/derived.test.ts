import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Derived } from './derived';

describe('values that are worked out from rows', () => {
  test('are there again for the same stamp only', () => {
    const derived = new Derived<number>();
    derived.set('a', '1', 10);
    expect([derived.get('a', '1'), derived.get('a', '2'), derived.get('b', '1')]).toEqual([10, undefined, undefined]);
    derived.set('a', '2', 20);
    expect([derived.get('a', '1'), derived.get('a', '2')]).toEqual([undefined, 20]);
    derived.clear();
    expect(derived.get('a', '2')).toBeUndefined();
  });

  test('however many there are, at most 5,000 are kept, and never a wrong one', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(8000), { minLength: 6000, maxLength: 7000 }), (ids) => {
        const derived = new Derived<number>();
        ids.forEach((id) => derived.set(String(id), 's', id));
        const kept = [...new Set(ids)].filter((id) => derived.get(String(id), 's') !== undefined);
        expect(kept.length).toBeLessThanOrEqual(5000);
        for (const id of kept) expect(derived.get(String(id), 's')).toBe(id);
        expect(derived.get(String(ids.at(-1)), 's')).toBe(ids.at(-1));
      }),
      { numRuns: 10 },
    );
  });
});
