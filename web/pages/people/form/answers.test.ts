import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { builtInKnowledge } from '#library/cautions';
import { screeningQuestions } from '#core/caution';
import { anyPerson, CLASS_DAY, has, someone } from '../../../../tests/support/people';
import { answersOf, conditionsAfter, screeningShape, type Answer } from './answers';

const questions = screeningQuestions(builtInKnowledge).flatMap((group) => group.questions);
const of = (person: ReturnType<typeof someone>) => answersOf(person, questions, CLASS_DAY);
const after = (person: ReturnType<typeof someone>, answers: ReturnType<typeof of>) => {
  let next = 0;
  return conditionsAfter(person, answers, questions, CLASS_DAY, () => `new-${next++}`);
};
/** What the form says is wrong, by question. */
const refusals = (answers: ReturnType<typeof of>, consent = true): Record<string, string> => {
  const issues = screeningShape(questions, CLASS_DAY).safeParse({ ...answers, consent }).error?.issues ?? [];
  return Object.fromEntries(issues.map(({ path, message }) => [path.join('.'), message]));
};
const yes = (patch: Partial<Answer> = {}): Answer => ({
  yes: true,
  degree: '',
  since: '',
  weeks: '',
  note: '',
  ...patch,
});

describe('the answers of the form', () => {
  test('kept as they stand they change nothing of what is known', () => {
    fc.assert(
      fc.property(anyPerson, (person) => {
        const withConditions = (conditions: typeof person.conditions) =>
          conditions.map(({ condition, degree, id, since }) => [condition, degree, id, since]).sort();
        expect(withConditions(after(person, of(person)))).toEqual(withConditions(person.conditions));
        expect(refusals(of(person))).toEqual({});
      }),
    );
  });

  test('a yes is kept with what was told, a no is taken away, and what the form does not ask stays', () => {
    const person = someone('A', has('knee', { degree: 'old', note: 'left' }), {
      ...has('in-words'),
      words: 'a tired thyroid',
    });
    const answers = {
      ...of(person),
      knee: { ...yes(), yes: false },
      stroke: yes({ since: '2026-01-05' }),
      pregnancy: yes({ weeks: '23' }),
    };
    expect(after(person, answers).map(({ condition, since, id }) => [condition, since, id])).toEqual([
      ['pregnancy', '2026-06-18', 'new-0'],
      ['stroke', '2026-01-05', 'new-1'],
      ['in-words', null, 'in-words'],
    ]);
  });

  test.each([
    ['pregnancy', yes({ weeks: '50' }), 'at most 42 weeks'],
    ['pregnancy', yes({ weeks: 'some' }), 'whole number'],
    ['stroke', yes({ since: '2031-01-01' }), 'cannot be in the future'],
    ['migraine', yes({ note: 'x'.repeat(501) }), 'A note has at most 500 characters.'],
  ])('%s: what is wrong is told at its question', (id, answer, reason) => {
    const answers = { ...of(someone('A')), [id]: answer };
    expect(refusals(answers)).toEqual({ [id]: expect.stringContaining(reason) });
    expect(refusals({ ...answers, [id]: { ...answer, yes: false } })).toEqual({});
  });

  test('nothing is saved without consent', () => {
    expect(refusals(of(someone('A')), false)).toEqual({ consent: 'Nothing is saved without consent.' });
  });
});
