import { PLAN_LIMITS } from '#core/plan';
import { saysSomething, takeHeading, type FoundHeading } from './heading';
import { headingInWords } from './in-words';
import { OpenLine } from './line';
import { dropBullet } from './marks';
import { wholeName } from './names';
import { blank, isGreeting, keep, NOTE_FULL, type State, type Turn } from './turn';
import type { ReadLine } from './types';

const merged = (a: FoundHeading, b: FoundHeading): FoundHeading => ({ ...a, ...b });
const MAX_TITLE_OF_WORDS = 60;

/** A line above the first step that says what the class is. */
export function readHeading(turn: Turn): ReadLine | undefined {
  const { typed, reading, questions, state } = turn;
  const title = /^\s*#+\s*(.*)$/u.exec(typed)?.[1]?.trim();
  if (title) {
    const isFirst = state.title === '';
    if (isFirst) state.title = title.slice(0, PLAN_LIMITS.maxTitle);
    else if (!keep(state, title)) return { ...blank(turn), kind: 'note', says: NOTE_FULL, also: title };
    return {
      ...blank(turn),
      kind: 'heading',
      marks: [{ from: typed.indexOf(title), to: typed.trimEnd().length, sure: true }],
      says: title,
      also: isFirst ? 'title' : 'kept as a note',
    };
  }
  const focus = /^\s*(?:focus|intent|theme)\s*:\s*(.+)$/iu.exec(typed)?.[1];
  if (focus !== undefined) {
    state.intent.push(focus);
    return {
      ...blank(turn),
      kind: 'heading',
      marks: [{ from: 0, to: typed.trimEnd().length, sure: true }],
      says: focus,
      also: 'focus of the class',
    };
  }
  const line = new OpenLine(typed);
  const listed = dropBullet(line);
  const whole = wholeName(line, reading.index, 4);
  if (listed || isGreeting(line.text)) return undefined;
  const found = takeHeading(line, reading, questions);
  if (isLengthOfAStep(found)) return undefined;
  if (state.heading.classSeconds !== undefined) delete found.classSeconds;
  const isStep =
    whole !== undefined &&
    found.groupSize === undefined &&
    found.startsAt === undefined &&
    !(found.classSeconds !== undefined && found.approach);
  if (isStep || !isHeading(found, line, state)) return undefined;
  const left = line
    .leftover()
    .map((piece) => piece.typed.replace(/^[\s,.:;–-]+|[\s,.:;–-]+$/gu, ''))
    .filter((piece) =>
      /\p{L}{2,}/u.test(piece.replace(/\b(?:for|at|on|in|the|class|with|people|of|and|am|pm)\b/giu, '')),
    );
  const words = left.join(', ');
  let also = '';
  if (words !== '') {
    if (state.title === '') {
      state.title = words.slice(0, PLAN_LIMITS.maxTitle);
      also = `title: ${state.title}`;
    } else if (found.place === undefined && words.length <= 120) {
      found.place = words;
    } else also = keep(state, words) ? `kept as a note: ${words}` : NOTE_FULL;
  }
  state.heading = merged(state.heading, found);
  const says = headingInWords(found);
  return {
    ...blank(turn),
    kind: 'heading',
    marks: line.marks,
    says: says || state.title,
    also: says ? also : 'title',
    questions: questions.list,
  };
}

/** A shorter time on a line that says nothing else about the class is the length of a step. */
const MIN_CLASS_ALONE = 20 * 60;
const OF_A_CLASS = ['groupSize', 'startsAt', 'place'] as const;
const isLengthOfAStep = (found: FoundHeading): boolean =>
  (found.classSeconds ?? MIN_CLASS_ALONE) < MIN_CLASS_ALONE && OF_A_CLASS.every((field) => found[field] === undefined);

/** Whether what was found makes a line a heading: something of the class, or a short line before everything else. */
function isHeading(found: FoundHeading, line: OpenLine, { title, steps }: State): boolean {
  if (saysSomething(found)) return true;
  return (
    title === '' &&
    steps.length === 0 &&
    line.typed.trim().length <= MAX_TITLE_OF_WORDS &&
    !/\d/.test(line.typed) &&
    !/[,:]\s*$/.test(line.text)
  );
}
