import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { CLASS_DAY } from '../../tests/support/people';
import {
  countedFrom,
  Day,
  daysLater,
  daysToCome,
  initialsOf,
  personCondition,
  monthsBetween,
  MAX_MEMBERS,
  MAX_WEEKS,
  namesake,
  newGroup,
  newPerson,
  pastDayRefusal,
  personFile,
  readGroup,
  readPerson,
  readPersonFile,
  weeksBetween,
  weeksRefusal,
} from './index';

describe('days', () => {
  const day = fc.integer({ min: 0, max: 40_000 }).map((count) => daysLater('1990-01-01', count));

  test('what is a day, and what only looks like one', () => {
    for (const good of ['2026-11-26', '2024-02-29', '1931-01-01']) expect(Day.safeParse(good).success).toBe(true);
    for (const bad of ['2026-02-29', '2026-13-01', '26-11-2026', '2026-1-1', 'today', '']) {
      expect([bad, Day.safeParse(bad).success]).toEqual([bad, false]);
    }
  });

  test('weeks and days there and back', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 6 }), (from, weeks, days) => {
        expect(weeksBetween(from, daysLater(from, 7 * weeks + days))).toBe(weeks);
        expect(weeksBetween(countedFrom(weeks, from), from)).toBe(weeks);
        expect(daysLater(daysLater(from, days), -days)).toBe(from);
      }),
    );
  });

  test.each([
    ['2026-01-31', '2026-02-28', 0],
    ['2026-01-31', '2026-03-01', 1],
    ['2026-07-20', '2026-11-20', 4],
    ['2026-07-20', '2026-11-19', 3],
    ['2024-11-26', '2026-11-26', 24],
    ['2026-11-26', '2026-11-26', 0],
  ])('whole months from %s to %s: %i', (from, to, months) => {
    expect(monthsBetween(from, to)).toBe(months);
  });

  test('fifty weeks, half a week, a birth to come: told what is wrong', () => {
    expect(weeksRefusal(23)).toBeUndefined();
    expect(weeksRefusal(50)).toContain(`at most ${MAX_WEEKS} weeks`);
    expect(weeksRefusal(-1)).toBe('Weeks cannot be below zero.');
    expect([weeksRefusal(0), weeksRefusal(MAX_WEEKS)]).toEqual([undefined, undefined]);
    expect(weeksRefusal(12.5)).toContain('whole number');
    expect(weeksRefusal(Number.NaN)).toContain('whole number');
    expect(pastDayRefusal('2031-01-01', 'A birth date', CLASS_DAY)).toBe('A birth date cannot be in the future.');
    expect(pastDayRefusal('2026-02-30', 'A birth date', CLASS_DAY)).toBe('There is no such day.');
    expect(pastDayRefusal('', 'A birth date', CLASS_DAY)).toBeUndefined();
    expect(pastDayRefusal(CLASS_DAY, 'A birth date', CLASS_DAY)).toBeUndefined();
  });
});

describe('a person', () => {
  const whole = {
    ...newPerson('Mara Quill'),
    birthDate: '2030-01-01',
    conditions: [{ ...personCondition('a', 'knee'), since: '2031-01-01' }, personCondition('b', 'x')],
    notes: [{ id: 'n', on: '2029-05-05', words: 'later' }],
  };

  test('every day that has not come yet is named by its field', () => {
    expect(daysToCome(whole, CLASS_DAY).map(({ field }) => field)).toEqual([
      'birthDate',
      'conditions.0.since',
      'notes.0.on',
    ]);
    expect(daysToCome(whole, '2032-01-01')).toEqual([]);
  });

  test('of version 2 nothing was told yet', () => {
    const { birthDate, contact, emergency, notes, conditions, askedOn, consentOn, statureCm, flexibility, ...older } =
      newPerson('A');
    expect([birthDate, contact, emergency, notes, conditions, askedOn, consentOn, statureCm, flexibility]).toEqual([
      null,
      '',
      '',
      [],
      [],
      null,
      null,
      null,
      null,
    ]);
    expect(readPerson({ ...older, version: 2 })).toEqual({ ok: true, value: newPerson('A') });
  });

  test.each([
    [{ ...whole, birthDate: '1990-02-31' }, 'birthDate', 'no such day'],
    [{ ...whole, statureCm: 20 }, 'statureCm', 'at least'],
    [{ ...whole, flexibility: { hipFold: 10, kneeOpening: 60, shoulder: 150 } }, 'flexibility.hipFold', ''],
    [{ ...whole, notes: [{ id: 'n', on: CLASS_DAY, words: ' ' }] }, 'notes.0.words', 'needed'],
    [{ ...whole, contact: 'x'.repeat(301) }, 'contact', 'at most 300'],
    [{ ...whole, photo: 'face.png' }, '', 'Unknown: photo'],
  ])('bad field %#: the field and the limit are named', (document, field, reason) => {
    const read = readPerson(document);
    expect(read.ok ? [] : read.issues).toContainEqual({ field, reason: expect.stringContaining(reason) });
  });

  test('there and back by a file; a condition nobody knows of here stays as it is', () => {
    const strange = { ...newPerson('A'), conditions: [personCondition('a', 'moon-sickness', 'Moon sickness')] };
    const file = JSON.parse(JSON.stringify(personFile(strange, ['Choir'], [], '2026-11-25T10:00:00Z'))) as unknown;
    expect(readPersonFile(file)).toEqual({ ok: true, value: strange });
    expect(readPersonFile(strange)).toEqual({ ok: true, value: strange });
    const broken = readPersonFile({ ...(file as object), person: { ...strange, name: '' } });
    expect(broken.ok ? [] : broken.issues.map(({ field }) => field)).toEqual(['person.name']);
    expect(readPersonFile({ format: 'zovrin-plan' }).ok).toBe(false);
    fc.assert(fc.property(fc.jsonValue(), (any) => expect(readPersonFile(any).ok).toBe(false)));
  });
});

describe('a group', () => {
  test('somebody twice, or five hundred, are refused with the reason', () => {
    const twice = readGroup({ ...newGroup('Choir'), members: ['a', 'b', 'a'] });
    expect(twice.ok ? [] : twice.issues).toEqual([{ field: 'members', reason: 'Someone is in the group twice.' }]);
    const many = readGroup({ ...newGroup('Choir'), members: Array.from({ length: 500 }, (_, i) => `p${i}`) });
    expect(many.ok ? [] : many.issues).toEqual([
      { field: 'members', reason: `A group has at most ${MAX_MEMBERS} people.` },
    ]);
    expect(readGroup({ ...newGroup('Choir'), members: ['a', 'b'] }).ok).toBe(true);
  });
});

describe('names', () => {
  const named = (...names: string[]) => names.map((name, i) => ({ id: String(i), name }));

  test('initials tell people apart', () => {
    const shown = (...names: string[]) => [...initialsOf(named(...names)).values()];
    expect(shown('Mara Quill', 'Tobias Fenn')).toEqual(['MQ', 'TF']);
    expect(shown('Ines Harrowgate', 'Idony Hale', 'Ada Best')).toEqual(['IHar', 'IHal', 'AB']);
    expect(shown('Ada Best', 'Ada Best', 'Ada Best')).toEqual(['ABest', 'ABest2', 'ABest3']);
    expect(shown()).toEqual([]);
  });

  test('whatever the names, no two are shown alike', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('Ada Best', 'Al Bo', 'Al Bog', 'Åsa', 'Asa', '…', 'M', 'Mo', 'Ada Beste'), {
          maxLength: 12,
        }),
        (names) => {
          const shown = [...initialsOf(named(...names)).values()];
          expect(new Set(shown).size).toBe(names.length);
        },
      ),
    );
  });

  test('the same person twice, whatever the case, the accents and the blanks', () => {
    expect(namesake('  inès   harrowgate ', named('Tobias', 'Ines Harrowgate'))?.id).toBe('1');
    expect(namesake('Ines', named('Ines Harrowgate'))).toBeUndefined();
  });
});
