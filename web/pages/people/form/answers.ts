import type { Condition } from '#core/caution';
import {
  countedFrom,
  personCondition,
  pastDayRefusal,
  weeksBetween,
  weeksRefusal,
  type PersonCondition,
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

/** The problems of the answers, by question; empty if there are none. */
export function refusals(answers: Answers, questions: readonly Condition[], today: string): Record<string, string> {
  return Object.fromEntries(
    questions.flatMap((question): [string, string][] => {
      const answer = answers[question.id];
      if (!answer?.yes) return [];
      const refused =
        question.since === 'weeks' && answer.weeks.trim() !== ''
          ? weeksRefusal(Number(answer.weeks))
          : question.since === 'day'
            ? pastDayRefusal(answer.since, 'The date', today)
            : undefined;
      if (refused) return [[question.id, refused]];
      return answer.note.length > 500 ? [[question.id, 'At most 500 letters.']] : [];
    }),
  );
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
