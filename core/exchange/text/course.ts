import { hoursLog, type Course } from '#core/course';
import { clockOfSeconds } from '#core/time';
import { paragraphs } from './paragraphs';

/** A class of a course in words: when it is, what is in it, and how long it is. */
export interface ClassLine {
  number: number;
  title: string;
  when: string;
  theme: string;
  says: string;
  length: string;
}

/** The classes of a course as rows of a table, the first of them the headings. */
export const courseTable = (lines: readonly ClassLine[]): string[][] => [
  ['class', 'week', 'when', 'theme', 'what is different', 'length'],
  ...lines.map(({ number, title, when, theme, says, length }) => [String(number), title, when, theme, says, length]),
];

/**
 * A course as plain text: what it is for, what grows in it, and a line for each class. The teacher’s notes, attendance
 * and everything about people stay out.
 */
export const courseText = (course: Course, grows: readonly string[], lines: readonly ClassLine[]): string =>
  paragraphs(course.title, [
    { lines: [course.note] },
    { heading: 'What grows', lines: grows },
    {
      heading: 'Classes',
      lines: lines.map(({ title, when, theme, says }) => `${[title, when, theme].filter(Boolean).join(', ')}: ${says}`),
    },
  ]);

/** The hours of a course as rows of a table, the first of them the headings, the last their sum. */
export function hoursTable(course: Course): string[][] {
  const log = hoursLog(course);
  const total = log.reduce((sum, { seconds }) => sum + seconds, 0);
  return [
    ['day', 'from', 'until', 'length', 'break after it'],
    ...log.map(({ day, from, until, seconds, breakSeconds }) => [
      day,
      from,
      until,
      clockOfSeconds(seconds),
      breakSeconds === null ? '' : clockOfSeconds(Math.max(0, breakSeconds)),
    ]),
    ['in total', '', '', clockOfSeconds(total), ''],
  ];
}
