import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { withMissed } from '#core/course';
import { calendarFile, courseEvents, courseTable, courseText, csv, hoursTable } from '#core/exchange';
import { sixTuesdays } from '../../tests/support/course';

const about = { id: 'c1', revision: 4, changedMs: 0, zone: 'Europe/Dublin' };

describe('the classes of a course in a calendar', () => {
  test('are where its dates are, each with its theme; a missed one is cancelled', () => {
    const course = withMissed(sixTuesdays({ weeks: 3, themes: [{ week: 2, theme: 'Ribs' }] }), 3, {
      how: 'shift',
      why: 'Snow',
    });
    const parsed = new ICAL.Component(ICAL.parse(calendarFile(courseEvents(course, about))) as unknown[]);
    const events = parsed
      .getAllSubcomponents('vevent')
      .map((event) => [
        String(event.getFirstPropertyValue('dtstart')),
        String(event.getFirstPropertyValue('summary')),
        String(event.getFirstPropertyValue('status')),
        event.getFirstPropertyValue('description'),
      ]);
    expect(events).toEqual([
      ['2027-01-05T18:00:00', 'Six Tuesdays, week 1', 'CONFIRMED', null],
      ['2027-01-12T18:00:00', 'Six Tuesdays, week 2', 'CONFIRMED', 'Ribs'],
      ['2027-01-19T18:00:00', 'Six Tuesdays', 'CANCELLED', null],
      ['2027-01-26T18:00:00', 'Six Tuesdays, week 3', 'CONFIRMED', null],
    ]);
  });
  test('a class whose plan was made is the event of that plan; without dates there is none', () => {
    const course = sixTuesdays({ weeks: 2, plans: [{ week: 2, planId: 'plan-2', revision: 1 }] });
    expect(courseEvents(course, about).map(({ uid }) => uid)).toEqual(['c1.class-1@zovrin', 'plan-2@zovrin']);
    expect(courseEvents({ ...course, dates: { kind: 'none' } }, about)).toEqual([]);
  });
});

test('a course in words has its classes and what grows, and nothing that was noted of anybody', () => {
  const course = sixTuesdays({ note: 'For the winter.', notes: [{ week: 1, measure: 3, note: 'Her left hip.' }] });
  const line = {
    number: 1,
    title: 'Week 1',
    when: 'Tue 5 Jan',
    theme: 'Ribs',
    says: 'as the first plan',
    length: '40:00',
  };
  const text = courseText(course, ['Fold: 3:00 to 5:00'], [line]);
  expect(text).toBe(
    'Six Tuesdays\n\nFor the winter.\n\nWhat grows\n- Fold: 3:00 to 5:00\n\nClasses\n- Week 1, Tue 5 Jan, Ribs: as the first plan\n',
  );
  expect(csv(courseTable([line]))).toContain('1,Week 1,Tue 5 Jan,Ribs,as the first plan,40:00');
  expect(csv(hoursTable(course)).trim().split(/\r?\n/).at(-1)).toBe('in total,,,4:00:00,');
});
