import { expect, test } from '@jest/globals';
import { MEASURED } from './measured';
import { measureLibrary } from './strains';

test('what is written of the set-ups is what the figures measure, to a centimetre and a degree (else: npm run library:measure)', () => {
  const measured = measureLibrary();
  expect(Object.keys(MEASURED)).toEqual(Object.keys(measured));
  const off = Object.entries(measured).filter(([key, row]) =>
    row.some((value, i) => Math.abs(value - (MEASURED[key]?.[i] ?? Infinity)) > 1),
  );
  expect(off).toEqual([]);
});
