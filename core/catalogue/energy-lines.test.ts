import { expect, test } from '@jest/globals';
import { AREAS, ENERGY_LINES, linesOfAreas } from '#core/catalogue';
import { POSITIONS } from '#library';

test('each line once, in one order, whatever the order of the areas', () => {
  expect(linesOfAreas(['hamstrings', 'low back', 'calves'])).toEqual(['kidney', 'bladder']);
  expect(linesOfAreas(['inner thighs'])).toEqual(['kidney', 'liver', 'spleen']);
  expect(linesOfAreas(['chest', 'breath'])).toEqual(['heart', 'lung', 'pericardium']);
  expect(linesOfAreas(['whole body'])).toEqual([]);
});

test('every line runs through some part of the body, and every part but the whole has some', () => {
  expect(linesOfAreas([...AREAS])).toEqual([...ENERGY_LINES]);
  for (const area of AREAS)
    if (area !== 'whole body') expect([area, linesOfAreas([area]).length]).not.toEqual([area, 0]);
});

test('every position of the library that works on a part has a line', () => {
  const without = POSITIONS.filter(({ areas }) => linesOfAreas(areas).length === 0);
  expect(without.filter(({ areas }) => areas.some((area) => area !== 'whole body'))).toEqual([]);
});
