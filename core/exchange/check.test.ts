import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { emptyPlan } from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled } from '#library/synonyms';
import { checkFile, nameIndex } from './index';

const index = nameIndex({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled });
const check = (text: string) => checkFile(text, { library: builtInLibrary, index, today: '2026-11-30' });
const EXAMPLES = new URL('../../docs/examples/', import.meta.url);

describe('checking a file', () => {
  test.each(readdirSync(EXAMPLES).filter((name) => /\.(?:ics|vtt|txt|csv|eml|html)$/.test(name)))(
    '%s has no fault',
    (name) => {
      expect(check(readFileSync(new URL(name, EXAMPLES), 'utf8'))).toMatchObject({ faults: [], remarks: [] });
    },
  );

  test('says what a file is', () => {
    expect(check(JSON.stringify(emptyPlan('Evening'))).what).toBe('a plan, “Evening”, with 0 steps, 0:00 of 60:00');
    expect(check('1. Sphinx 4:00\n2. Happy baby 2:00').what).toMatch(/^an outline of a plan with 2 steps, \d+:\d\d$/);
    expect(check('step,name,part,x\n1,a,b,c\n').what).toBe('a table with 1 row, for a spreadsheet');
    expect(check('<!doctype html><script id="handout">{</script>').faults).toEqual(['the steps in it cannot be read']);
    expect(check('From: a@b.example\r\nMIME-Version: 1.0\r\n\r\nx').faults).toEqual(['it has no To', 'it has no Date']);
    expect(check('WEBVTT\n\n00:01.000 --> 00:02.000\nhello\n').what).toBe('captions with 1 cue');
  });

  test.each([
    [JSON.stringify({ ...emptyPlan('x'), classSeconds: -1 }), /classSeconds: A class is at least 1:00/],
    [JSON.stringify({ ...emptyPlan('x'), version: 99 }), /version 99/],
    ['hello', /no line of it is a step/],
    ['', /nothing in it/],
    ['BEGIN:VCALENDAR\nBEGIN:VEVENT\nEND:VEVENT\nEND:VCALENDAR', /event 1 has no UID/],
    ['BEGIN:VCALENDAR\nBEGIN:VEVENT', /./],
    ['WEBVTT\n\n00:02.000 --> 00:01.000\nhello', /ends before it begins/],
    ['WEBVTT\n\n1:2 --> 00:01.000\nhello', /line 3: .* is no timing/],
    ['WEBVTT\n\n00:05.000 --> 00:06.000\na\n\n00:01.000 --> 00:02.000\nb', /begins before the one above/],
  ])('%j is wrong, and says why', (text, reason) => {
    expect(check(text).faults.join('; ')).toMatch(reason);
  });

  test('what could be read in two ways is remarked, with the choices', () => {
    expect(check('pigeon 4 min each').remarks.join()).toMatch(/line 1: Which is meant\? Taken as Folded hip pose; or /);
  });

  test('nothing makes it throw', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'binary' }),
          fc.string().map((text) => `BEGIN:VCALENDAR\n${text}`),
          fc.string().map((text) => `WEBVTT\n${text} --> `),
        ),
        (text) => {
          expect(typeof check(text).what).toBe('string');
        },
      ),
      { numRuns: 200 },
    );
  });
});
