import { expect, test } from '@jest/globals';
import type { Practised } from '#core/review';
import { DEFAULT_SETTINGS, type Settings } from '#core/settings';
import { countByOptionsFor, partsOfHold } from './count-by';

const house = (bodyMap: Settings['school']['bodyMap'], entryTags: Settings['entryTags'] = {}): Settings => ({
  ...DEFAULT_SETTINGS,
  school: { ...DEFAULT_SETTINGS.school, bodyMap },
  entryTags,
});
const hold = { position: 'sleeping-swan', areas: ['outer hips', 'thighs'] } as unknown as Practised['holds'][number];

test('holds can be counted by what the settings show, and by tags where there are some', () => {
  const ways = (settings: Settings): string[] => countByOptionsFor(settings).map(({ value }) => value);
  expect(ways(house('areas'))).toEqual(['area']);
  expect(ways(house('lines'))).toEqual(['line']);
  expect(ways(house('both', { twist: ['desk'] }))).toEqual(['area', 'line', 'tag']);
});

test('a hold counts for its parts of the body, their energy lines, or its tags', () => {
  const settings = house('both', { 'sleeping-swan': ['desk', 'evening'] });
  expect(partsOfHold('area', settings)(hold)).toEqual(['outer hips', 'thighs']);
  expect(partsOfHold('line', settings)(hold)).toEqual(['gallbladder', 'spleen', 'stomach']);
  expect(partsOfHold('tag', settings)(hold)).toEqual(['desk', 'evening']);
  expect(partsOfHold('tag', settings)({ ...hold, position: 'another' })).toEqual([]);
});
