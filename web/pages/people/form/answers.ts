import { z } from 'zod';
import type { Condition } from '#core/caution';
import {
  countedFrom,
  personCondition,
  pastDayRefusal,
  weeksBetween,
  PersonCondition,
  weeksRefusal,
  type Person,
} from '#core/people';

/** The answer to one question; typed text stays as it was until it is saved. */
export interface Answer {
  yes: boolean;
  degree: string;
  since: string;
  weeks: string;
  note: string;
}
export type Answers = Record<string, Answer>;
/** The name of the consent among the answers. */
export const CONSENT_FIELD = 'consent';

/** The answers as they are known of a person already; a question that is not in it is a no. */
export function answersOf({ conditions }: Person, questions: readonly Condition[], today: string): Answers {
  return Object.fromEntries(
    questions.map((question): [string, Answer] => {
      const known = conditions.find(({ condition }) => condition === question.id);
      const since = known?.since ?? '';
      return [
        question.id,
        {
          yes: known !== undefined,
          degree: known?.degree ?? '',
          since: question.since === 'day' ? since : '',
          weeks: question.since === 'weeks' && since !== '' ? String(weeksBetween(since, today)) : '',
          note: known?.note ?? '',
        },
      ];
    }),
  );
}

/** The answer as a form gives it back. */
export const asAnswer = (value: unknown): Answer => value as Answer;

const answerShape = (question: Condition, today: string) =>
  z.custom<Answer>().superRefine((answer, context) => {
    if (!answer.yes) return;
    const refuse = (message: string | undefined): void => {
      if (message !== undefined) context.addIssue({ code: 'custom', message });
    };
    if (question.since === 'weeks' && answer.weeks.trim() !== '') refuse(weeksRefusal(Number(answer.weeks)));
    if (question.since === 'day') refuse(pastDayRefusal(answer.since, 'The date', today));
    refuse(PersonCondition.shape.note.safeParse(answer.note).error?.issues[0]?.message);
  });
/** The form: an answer for each question by its id, and the consent without which nothing is saved. */
export function screeningShape(
  questions: readonly Condition[],
  today: string,
): z.ZodType<Record<string, unknown>, Record<string, unknown>> {
  const answers = questions.map((question) => [question.id, answerShape(question, today)]);
  const consent = z.literal(true, 'Nothing is saved without consent.');
  return z.object({ ...Object.fromEntries(answers), [CONSENT_FIELD]: consent });
}

/** Since when something is, as it was answered; the day that was known stays where it says the same. */
function sinceOf(question: Condition, answer: Answer, known: string | null, today: string): string | null {
  if (question.since === 'day') return answer.since || null;
  const weeks = answer.weeks.trim();
  if (question.since === 'none' || weeks === '') return null;
  return known !== null && weeksBetween(known, today) === Number(weeks) ? known : countedFrom(Number(weeks), today);
}

/**
 * The conditions of a person after the form: what was answered with yes, in the order of the questions, and what the
 * form does not ask about, as it was. What was known already keeps its id.
 */
export function conditionsAfter(
  person: Person,
  answers: Answers,
  questions: readonly Condition[],
  today: string,
  newId: () => string,
): PersonCondition[] {
  const questionIds = new Set(questions.map(({ id }) => id));
  const answered = questions.flatMap((question): PersonCondition[] => {
    const answer = answers[question.id];
    if (!answer?.yes) return [];
    const known = person.conditions.find(({ condition }) => condition === question.id);
    const since = sinceOf(question, answer, known?.since ?? null, today);
    return [
      {
        ...(known ?? personCondition(newId(), question.id)),
        degree: answer.degree || null,
        since,
        note: answer.note,
      },
    ];
  });
  return [...answered, ...person.conditions.filter(({ condition }) => !questionIds.has(condition))];
}
