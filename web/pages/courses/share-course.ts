import { classesOf, threadName, type Course } from '#core/course';
import { calendarFile, courseEvents, courseTable, courseText, csv, hoursTable, type ClassLine } from '#core/exchange';
import type { Library } from '#core/catalogue';
import type { WorkedOutCourse } from '#core/jobs';
import { clockOfMs } from '#core/time';
import type { ShareForm, Written } from '../../widgets/share/written';
import { weekTitle } from '../../widgets/courses/follows-words';
import { classDay, missedInWords, threadInWords, weekInWords } from './words';

type Form = 'file' | 'words' | 'table' | 'calendar' | 'hours';
/** The forms a course can be handed over in. */
export const COURSE_FORMS: readonly [ShareForm<Form>, ...ShareForm<Form>[]] = [
  {
    value: 'words',
    label: 'In words',
    says: 'Plain text: what grows, and a line for each class, for the wall or a letter.',
  },
  { value: 'calendar', label: 'Calendar', says: 'Every class that has a date, with its theme (.ics).' },
  { value: 'table', label: 'Table', says: 'A row for each class, for a spreadsheet (CSV).' },
  { value: 'hours', label: 'Log of hours', says: 'When each class begins and ends, the breaks, and the sum (CSV).' },
  {
    value: 'file',
    label: 'Course',
    says: 'Everything about it, with your notes, to be opened here or in another Zovrin.',
  },
];

/** What a course is handed over with. */
export interface SharedCourse {
  id: string;
  revision: number;
  course: Course;
  worked: WorkedOutCourse | undefined;
  library: Library;
  zone: string;
  nowMs: number;
}

/** A line for each class of a course. */
function classLines({ course, worked, library }: SharedCourse): ClassLine[] {
  return classesOf(course).map((held) => {
    const { number, week, missed } = held;
    const drawn = worked?.weeks.find((one) => one.week === week);
    const words = worked && week !== null && !missed ? weekInWords(course, worked, week, library) : [];
    return {
      number,
      title: week === null ? '' : weekTitle(course, week),
      when: held.startsAt === null ? '' : classDay(course, held),
      theme: course.themes.find((one) => one.week === week)?.theme ?? '',
      says: missed ? missedInWords(course, held) : words.map(({ text }) => text).join('; '),
      length: drawn ? clockOfMs(drawn.totals.totalMs) : '',
    };
  });
}

/** A course in a form. Throws an Error with why it cannot be had in it. */
export function writeCourse(form: Form, shared: SharedCourse): Written {
  const { course, library, id, revision, zone, nowMs } = shared;
  const grows = course.threads.map(
    (thread) => `${threadName(thread, course.base.plan, library)}: ${threadInWords(thread, course)}`,
  );
  switch (form) {
    case 'file':
      return { text: `${JSON.stringify(course, null, 2)}\n`, ending: '.zovrin-course.json', type: 'application/json' };
    case 'words':
      return { text: courseText(course, grows, classLines(shared)), ending: '.txt', type: 'text/plain' };
    case 'table':
      return { text: csv(courseTable(classLines(shared))), ending: '.csv', type: 'text/csv' };
    case 'hours': {
      const rows = hoursTable(course);
      if (rows.length === 2) throw new Error('No class has a date yet. Give the course its dates first.');
      return { text: csv(rows), ending: '.csv', type: 'text/csv' };
    }
    case 'calendar': {
      const events = courseEvents(course, { id, revision, zone, changedMs: nowMs });
      if (events.length === 0) throw new Error('No class has a date yet. Give the course its dates first.');
      return { text: calendarFile(events), ending: '.ics', type: 'text/calendar' };
    }
  }
}
