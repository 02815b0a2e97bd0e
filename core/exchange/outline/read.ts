import type { Approach, ClassWhere } from '#core/catalogue';
import { emptyPlan, Plan, PLAN_LIMITS, Step } from '#core/plan';
import { withDetail } from './details';
import { propsInWords, stepInWords } from './in-words';
import { OpenLine, type Mark } from './line';
import { dropBullet } from './marks';
import type { NameIndex } from './names';
import { piecesOf } from './pieces';
import { beginsWithProp, takeProps } from './props';
import { Questions, type Reading } from './reading';
import { readStep, withLeftovers } from './step';
import { readHeading } from './read-heading';
import { blank, isGreeting, keep, NOTE_FULL, type State, type Turn } from './turn';
import type { ReadLine, ReadOutline } from './types';

/** What a reading of an outline starts from. */
export interface OutlineOptions {
  index: NameIndex;
  /** What holds where the text does not say. */
  approach: Approach;
  where: ClassWhere | null;
  /** The day it is read on, `2026-11-26`. */
  today: string;
  newId: () => string;
  /** What was decided of the questions of an earlier reading, by their ids. */
  decided?: Readonly<Record<string, string>>;
}

/** No outline is longer, in characters. */
export const MAX_OUTLINE = 200_000;

const shifted = (marks: readonly Mark[], by: number): Mark[] =>
  marks.map(({ from, to, sure }) => ({ from: from + by, to: to + by, sure }));

/**
 * Reads an outline that somebody typed: a plan, and for every line what was understood, what was guessed and what else it
 * may have meant. A line that is no step is kept as a note of the step before it. Never throws; the plan it gives is
 * always one that can be saved. What was decided of questions goes in, and the text is read anew with it.
 */
export function readOutline(text: string, options: OutlineOptions): ReadOutline {
  const { index, approach, where, today, newId, decided = {} } = options;
  const typedLines = text.slice(0, MAX_OUTLINE).split(/\r\n|\r|\n/);
  const state: State = { steps: [], title: '', heading: {}, intent: [], early: [] };
  const seen = new Map<string, number>();
  const lines = typedLines.map((typed, line): ReadLine => {
    const count = (seen.get(typed) ?? 0) + 1;
    seen.set(typed, count);
    const questions = new Questions(`${count > 1 ? `${count} ` : ''}${typed.trim()}`, decided);
    const reading: Reading = {
      index,
      approach: state.heading.approach ?? approach,
      where: state.heading.where ?? where,
      today,
      newId,
      decided,
    };
    return readLine({ typed, line, questions, reading, state });
  });
  const plan = planOf(state, approach, where);
  return { plan, lines: withLeftOut(lines, plan) };
}

/** No step takes more; what is longer is a whole text without line breaks, or no plan at all. */
const MAX_LINE = 1000;
const MAX_LINES = 2000;
const TOO_LONG = 'Left out: a line has at most 1,000 characters, and an outline 2,000 lines.';

function readLine(turn: Turn): ReadLine {
  const { typed, line, state } = turn;
  if (!/[\p{L}\p{N}]/u.test(typed)) return blank(turn);
  if (line >= MAX_LINES || typed.length > MAX_LINE) return { ...blank(turn), kind: 'note', says: TOO_LONG };
  if (state.steps.length > 0) {
    const detail = readDetail(turn);
    if (detail) return detail;
  } else {
    const heading = readHeading(turn);
    if (heading) return heading;
  }
  return readSteps(turn) ?? noteOf(turn);
}

/** Why a step cannot be in a plan; empty if it can. */
const reasonAgainst = (step: Step): string => Step.safeParse(step).error?.issues[0]?.message ?? '';

/** A line under a step. */
function readDetail(turn: Turn): ReadLine | undefined {
  const { typed, reading, state } = turn;
  const step = state.steps.at(-1);
  const bullet = /^\s*(?:[-–—*•·+>]\s*)?/u.exec(typed)?.[0] ?? '';
  const words = typed.slice(bullet.length).trimEnd();
  const changed = step && withDetail(step, words, reading);
  if (!step || !changed) return undefined;
  const reason = reasonAgainst(changed);
  if (reason !== '') return { ...noteOf(turn), also: reason };
  state.steps.splice(-1, 1, changed);
  const marks = [{ from: bullet.length, to: typed.trimEnd().length, sure: true }];
  return { ...blank(turn), kind: 'detail', marks, says: words, also: '', questions: [] };
}

const FULL = `Left out: a plan has at most ${PLAN_LIMITS.maxSteps} steps`;

/** The steps of a line; undefined if it has none. */
function readSteps(turn: Turn): ReadLine | undefined {
  const { typed, reading, questions, state } = turn;
  const isListed = dropBullet(new OpenLine(typed));
  if (!isListed && isGreeting(new OpenLine(typed).text) && !/\d/.test(typed)) return undefined;
  const props = state.steps.length > 0 ? propsOnly(turn) : undefined;
  if (props) return props;
  const pieces = piecesOf(typed, reading.index).map(({ from, to }) => {
    const line = new OpenLine(typed.slice(from, to));
    dropBullet(line);
    return { line, from, ...readStep(line, isListed, reading, questions) };
  });
  const found = pieces.flatMap(({ step }) => step ?? []);
  if (found.length === 0) return questions.list.length > 0 ? noteOf(turn) : undefined;
  if (state.steps.length + found.length > PLAN_LIMITS.maxSteps)
    return { ...blank(turn), kind: 'note', says: FULL, also: typed.trim() };
  const reason = found.map(reasonAgainst).find((words) => words !== '');
  if (reason !== undefined) return { ...noteOf(turn), also: reason };
  const also: string[] = [];
  for (const { step, line, also: remarks } of pieces) {
    if (step) {
      state.steps.push(step);
      also.push(...[propsInWords(step), ...remarks].filter(Boolean));
    } else if (keep(state, line.typed)) also.push(`kept as a note: ${line.typed.trim()}`);
    else also.push(NOTE_FULL);
  }
  return {
    ...blank(turn),
    kind: 'step',
    marks: pieces.flatMap(({ line, from }) => shifted(line.marks, from)),
    says: found.map(stepInWords).join('; '),
    also: also.join(' · '),
    questions: questions.list,
    steps: found.map(({ id }) => id),
  };
}

/** Props in a line of their own belong to the step above. */
function propsOnly(turn: Turn): ReadLine | undefined {
  const { typed, state, reading } = turn;
  const step = state.steps.at(-1);
  if (step?.kind !== 'hold') return undefined;
  const line = new OpenLine(typed);
  dropBullet(line);
  const position = reading.index.entries.find(
    ({ entry }) => entry.kind === 'hold' && entry.entry.id === step.position,
  )?.entry;
  if (!beginsWithProp(line.text) || /\d\s*(?:min|:)/u.test(line.text)) return undefined;
  const rows = takeProps(line, position?.kind === 'hold' ? position.entry : undefined, (n) => `row-${n}`);
  if (rows.length === 0 || line.leftover().some((piece) => piece.typed.split(' ').length > 3)) return undefined;
  const { step: changed, kept } = withLeftovers({ ...step, setUp: rows.map(({ row }) => row) }, line);
  const reason = reasonAgainst(changed);
  if (reason !== '') return { ...noteOf(turn), also: reason };
  state.steps.splice(-1, 1, changed);
  const also = kept === '' ? 'props' : `props · kept as a note: ${kept}`;
  return { ...blank(turn), kind: 'detail', marks: line.marks, says: propsInWords(changed), also };
}

/** A line that is kept as it is, in the note of the step before it. */
function noteOf(turn: Turn): ReadLine {
  const { typed, questions, state } = turn;
  const says = keep(state, typed) ? 'Kept as a note' : NOTE_FULL;
  return { ...blank(turn), kind: 'note', says, also: typed.trim(), questions: questions.list };
}

const TOO_MANY = 'Left out: together the steps have more breaths than can be led';

/** The lines of steps that are not in the plan say so. */
const withLeftOut = (lines: ReadLine[], { steps }: Plan): ReadLine[] => {
  const ids = new Set(steps.map(({ id }) => id));
  return lines.map((line) =>
    line.steps.every((id) => ids.has(id))
      ? line
      : { ...line, kind: 'note', says: TOO_MANY, also: line.typed.trim(), steps: [] },
  );
};

/** The plan of what was read. What a plan cannot have, such as a class of a day, stays as it usually is. */
function planOf({ steps, title, heading, intent, early }: State, approach: Approach, where: ClassWhere | null): Plan {
  const [first, ...others] = steps;
  const note = first && [...early, first.note].filter(Boolean).join('\n').slice(0, PLAN_LIMITS.maxNote);
  const noted = first && note !== undefined ? [{ ...first, note }, ...others] : steps;
  const fields: Partial<Plan>[] = [
    { title: title.trim() === '' ? 'From your notes' : title },
    { intent: intent.join('\n') },
    ...Object.entries(heading).map(([name, value]) => ({ [name]: value })),
  ];
  const plan = fields.reduce<Plan>(withFields, { ...emptyPlan('From your notes', approach), where });
  const whole = { ...plan, steps: onlyOneRemaining(noted) };
  if (Plan.safeParse(whole).success) return whole;
  // Each step is right by itself: only together they may be too many to lead.
  return whole.steps.reduce<Plan>((so, step) => withFields(so, { steps: [...so.steps, step] }), plan);
}

/** A plan with other fields, where it can have them. */
const withFields = (plan: Plan, fields: Partial<Plan>): Plan => {
  const changed = { ...plan, ...fields };
  return Plan.safeParse(changed).success ? changed : plan;
};

/** Of several steps that are to take what is left of the class, the last one does. */
const onlyOneRemaining = (steps: readonly Step[]): Step[] => {
  const last = steps.findLastIndex(({ takesRemaining }) => takesRemaining);
  return steps.map((step, i) => (step.takesRemaining && i !== last ? { ...step, takesRemaining: false } : step));
};
