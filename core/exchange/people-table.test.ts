import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newPerson, personCondition, readPerson } from '#core/people';
import { CONDITIONS } from '#library/cautions';
import {
  COLUMN_MEANINGS,
  filledIn,
  KEEP_WORDS,
  LEAVE_OUT,
  peopleIn,
  readPeopleTable,
  withConditions,
  type PeopleOptions,
} from './people-table';

const OPTIONS: PeopleOptions = { conditions: CONDITIONS, here: [], today: '2026-11-26', readDay: () => undefined };
let count = 0;
const newId = (): string => `c${++count}`;
const TABLE = [
  'First name;Surname;E-mail;Phone;Date of birth;Health;Remarks;Course;Shoe size',
  'Ines;Harrowgate;ines@example.org;;3.4.1971;high blood pressure, bad discs;sits high;Choir;39',
  ';;;;;;;;',
  '"Odo";"Maplin, junior";;0123 456;1980-02-30;none;"said: ""slowly""";;',
  'Hollis;Pengarry;;;;Schwangerschaft;;Nurses;',
].join('\n');

function tableOf(text: string) {
  const table = readPeopleTable(text);
  if (!table) throw new Error('This is no table of people.');
  return table;
}
const likelyOf = (text: string) => tableOf(text).columns.map(({ likely }) => likely);
const rowsOf = (text: string, options = OPTIONS) => peopleIn(tableOf(text), likelyOf(text), options);

describe('a table of people', () => {
  test('has its columns matched by their headings, in English and in German', () => {
    expect(likelyOf(TABLE)).toEqual([
      ...['firstName', 'lastName', 'contact', 'contact', 'birthDate', 'conditions', 'note', 'group', 'nothing'],
    ]);
    expect(likelyOf('Name\tNotfallkontakt\tBeschwerden\tBemerkung\nA\tb\tc\td')).toEqual([
      ...['name', 'emergency', 'conditions', 'note'],
    ]);
  });

  test.each([
    ['an outline', 'Evening, 60 min\nCalves on a chair 6:00\n'],
    [
      'a sentence with commas',
      'Dear Name, tonight we begin with the calves on the chair, and then we turn\nto the side',
    ],
    ['one column', 'Name\nInes\nOdo'],
    ['headings alone', 'Name,Phone'],
    ['a table of something else', 'step,length\n1,60'],
    ['a table of steps', 'start,name,side,note\n0:00,Twist,left,slowly'],
    ['nothing', ''],
  ])('%s is none', (_what, text) => {
    expect(readPeopleTable(text)).toBeUndefined();
  });

  test('gives people with what is known of them; rows without a name are left out, and what is wrong is said', () => {
    const [ines, odo, hollis] = rowsOf(TABLE);
    expect(ines!.person).toMatchObject({
      name: 'Ines Harrowgate',
      birthDate: '1971-04-03',
      contact: 'ines@example.org',
      note: 'sits high',
    });
    expect([ines!.line, odo!.line, hollis!.line]).toEqual([2, 4, 5]);
    expect(odo!.person).toMatchObject({ name: 'Odo Maplin, junior', contact: '0123 456', birthDate: null });
    expect(odo!.issues.map(({ field }) => field)).toEqual(['birthDate']);
    expect(odo!.conditions).toEqual([]);
    expect([ines!.group, hollis!.group]).toEqual(['Choir', 'Nurses']);
  });

  test('asks conditions back: sure by one of their names, otherwise with the likest', () => {
    const [pressure, discs] = rowsOf(TABLE)[0]!.conditions;
    expect(pressure).toMatchObject({ words: 'high blood pressure', sure: true });
    expect(CONDITIONS.find(({ id }) => id === pressure!.choices[0])!.name).toBe('High blood pressure');
    expect(discs).toMatchObject({ words: 'bad discs', sure: false });
    expect(discs!.choices.some((id) => id.startsWith('disc-'))).toBe(true);
    for (const { choices } of rowsOf(TABLE).flatMap(({ conditions }) => conditions)) {
      expect(choices.length).toBeLessThanOrEqual(3);
      expect(new Set(choices).size).toBe(choices.length);
    }
  });

  test('every condition is found by each of its own names', () => {
    for (const { id, name, alsoCalled } of CONDITIONS) {
      for (const called of [name, ...alsoCalled].filter((one) => !/[,;/]|\band\b/.test(one))) {
        const [found] = rowsOf(`Name\tHealth\nA\t${called}`)[0]!.conditions;
        expect([called, found?.choices.includes(id)]).toEqual([called, true]);
      }
    }
  });

  test('decided, they are in the person, once; words of the table stand beside a guess', () => {
    const row = rowsOf('Name,Health\nA,knee; bad knees; something nobody knows; asthma')[0]!;
    const [knee, again, unknown, asthma] = row.conditions;
    const person = withConditions(
      row,
      { [knee!.id]: 'knee', [again!.id]: 'knee', [unknown!.id]: KEEP_WORDS, [asthma!.id]: LEAVE_OUT },
      newId,
    );
    expect(person.conditions.map(({ condition, words }) => [condition, words])).toEqual([
      ['knee', ''],
      [KEEP_WORDS, 'something nobody knows'],
    ]);
    expect(readPerson(person).ok).toBe(true);
  });

  test('finds who is here already, and who stands in it twice', () => {
    const here = [{ id: 'p1', name: 'Inès  Harrowgate' }];
    const rows = rowsOf('Name,Phone\nInes Harrowgate,1\nOdo,2\nodo,3', { ...OPTIONS, here });
    expect(rows.map(({ same }) => same)).toEqual([{ kind: 'here', id: 'p1' }, null, { kind: 'above', line: 3 }]);
  });

  test('someone who is here is filled in, and nothing of theirs is written over', () => {
    const here = { ...newPerson('Ines'), contact: 'known', conditions: [personCondition('a', 'knee')] };
    const from = {
      ...newPerson('Ines'),
      contact: 'other',
      birthDate: '1971-04-03',
      conditions: [personCondition('b', 'knee'), personCondition('c', 'asthma')],
    };
    expect(filledIn(here, from)).toMatchObject({ contact: 'known', birthDate: '1971-04-03' });
    expect(filledIn(here, from).conditions.map(({ id }) => id)).toEqual(['a', 'c']);
  });

  test('whatever stands in it gives people that can be stored, whichever columns are chosen', () => {
    const cell = fc.string({ unit: 'grapheme', maxLength: 150 }).map((text) => `"${text.replaceAll('"', '""')}"`);
    const meanings = fc.array(fc.constantFrom(...COLUMN_MEANINGS), { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 6 }), meanings, (rows, chosen) => {
        const table = readPeopleTable(`Name,Phone,c\n${rows.map((row) => row.join(',')).join('\n')}`);
        if (!table) return;
        for (const row of peopleIn(table, chosen, OPTIONS)) {
          expect(readPerson(withConditions(row, {}, newId)).ok).toBe(true);
        }
      }),
      { numRuns: 200 },
    );
  });
});
