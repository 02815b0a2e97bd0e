import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { blankTechnique } from '#core/catalogue';
import { newCourse } from '#core/course';
import { newPlace } from '#core/cupboard';
import { newGroup, newPerson } from '#core/people';
import { copiedSteps, emptyPlan, talkStep } from '#core/plan';
import { recognise } from './index';

const json = JSON.stringify;
const kindOf = (text: string): string => recognise(text).kind;
const reasonOf = (text: string): string => {
  const found = recognise(text);
  return found.kind === 'refused' ? [found.reason, ...found.issues.map(({ reason }) => reason)].join(' ') : '';
};

describe('what a text is', () => {
  test('is known by what is in it', () => {
    expect(kindOf(json(emptyPlan('Evening')))).toBe('plan');
    expect(kindOf(`\uFEFF  ${json(emptyPlan('Evening'), null, 2)}\n`)).toBe('plan');
    expect(kindOf(json(newPlace('Hall', 'hall')))).toBe('place');
    expect(kindOf(json(newPerson('Ada')))).toBe('person');
    expect(kindOf(json(newCourse('Evenings', emptyPlan('Evening'), null, 6)))).toBe('course');
    expect(reasonOf(json(newCourse('Evenings', emptyPlan('Evening'), null, 60)))).toContain('at most 52 weeks');
    expect(kindOf(json(blankTechnique('hum')))).toBe('refused');
    expect(kindOf(copiedSteps([talkStep('t')]))).toBe('steps');
    expect(kindOf('1. Sphinx 4 min')).toBe('outline');
  });

  test('a document of a newer version says so', () => {
    expect(reasonOf(json({ ...emptyPlan('x'), version: 99 }))).toMatch(
      /a plan, but.*version 99; this Zovrin reads up to/,
    );
    expect(reasonOf(json({ ...newPlace('x', 'hall'), version: 7 }))).toMatch(/version 7/);
  });

  test('a damaged one says so', () => {
    expect(reasonOf(json(emptyPlan('x')).slice(0, -20))).toMatch(/damaged/);
    expect(reasonOf(copiedSteps([talkStep('t')]).replace('talk', 'tolk'))).toMatch(/copied steps/);
  });

  test.each([
    ['', 'nothing in it'],
    ['  \n ', 'nothing in it'],
    ['{"format":"something"}', 'no document of Zovrin'],
    ['[1,2]', 'no document of Zovrin'],
    ['{"format":"constructor"}', 'no document of Zovrin'],
    ['BEGIN:VCALENDAR\r\nVERSION:2.0', 'calendar file'],
    ['<!DOCTYPE html><html>', 'web page'],
    ['%PDF-1.7', 'another program'],
    ['PK\u0003\u0004zip', 'restore it in Settings, Backup'],
    ['step,name,part,side,begins,seconds,props\n1,Arrive,talk,,0:00,60,', 'for a spreadsheet'],
    ['{"format":"zovrin-sealed-backup","version":1}', 'backup under a passphrase'],
    ['abc\0def', 'not a text'],
    ['x'.repeat(200_001), 'too long'],
  ])('%j is refused with its reason', (text, reason) => {
    expect(reasonOf(text)).toContain(reason);
  });

  test('a table with names under headings is one of people; a message with commas is not', () => {
    expect(recognise('Name;Phone\nInes;1')).toMatchObject({ kind: 'people', table: { rows: [['Ines', '1']] } });
    expect(recognise('Evening, 60 min\nCalves on a chair, 6 min').kind).toBe('outline');
  });

  test('a group is no document of its own', () => {
    expect(reasonOf(json(newGroup('Choir')))).toContain('a group');
  });

  test('nothing makes it throw', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string({ unit: 'binary' }), fc.json()), (text) => {
        expect(recognise(text).kind).toMatch(/^[a-z]+$/);
      }),
    );
  });
});
