import { afterEach, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  lengthsInWords,
  fromUnit,
  heightInWords,
  inUnit,
  lengthInWords,
  lengthUnitOf,
  setLengthUnit,
  withLengths,
} from './lengths';

afterEach(() => setLengthUnit('cm'));

test.each([
  ['en-GB', 'cm'],
  ['en-US', 'in'],
  ['de', 'cm'],
  ['en', 'in'],
])('a device that speaks %s measures in %s', (language, unit) => expect(lengthUnitOf(language)).toBe(unit));

test('in centimetres they are shown as they are stored', () => {
  expect([inUnit(172.5), fromUnit(172.5), lengthInWords(12.4), heightInWords(172)]).toEqual([
    172.5,
    172.5,
    '12 cm',
    '172 cm',
  ]);
});

// By hand: 10 in are 25.4 cm; 5 ft 8 in are 68 × 2.54 = 172.72 cm; a yard is 91.44 cm.
test('in inches: an inch is 2.54 cm, twelve are a foot', () => {
  setLengthUnit('in');
  expect([inUnit(25.4), fromUnit(10), fromUnit(36)]).toEqual([10, 25.4, 91.44]);
  expect([lengthInWords(12), heightInWords(172.72), heightInWords(182.88)]).toEqual([
    '4.5 in',
    '5 ft 8 in',
    '6 ft 0 in',
  ]);
  expect(withLengths('At least 20 cm round, at most 254 cm.')).toBe('At least 8 in round, at most 100 in.');
});

test('two lengths have their unit once, and are one where they are shown alike', () => {
  expect([lengthsInWords(20, 24), lengthsInWords(20.1, 20.4)]).toEqual(['20 to 24 cm', '20 cm']);
  setLengthUnit('in');
  expect(lengthsInWords(20, 24)).toBe('8 to 9.5 in');
});

test('what is typed in inches is shown again as it was typed, to a tenth', () => {
  setLengthUnit('in');
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3000 }), (tenths) => expect(inUnit(fromUnit(tenths / 10))).toBe(tenths / 10)),
  );
});
