import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Plan, PLAN_LIMITS } from '#core/plan';
import { POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled } from '#library/synonyms';
import { nameIndex, readOutline } from './index';

const index = nameIndex({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled });
function read(text: string, decided: Record<string, string> = {}) {
  let ids = 0;
  const newId = () => `s${++ids}`;
  return readOutline(text, { index, approach: 'yin', where: null, today: '2026-11-30', newId, decided });
}

describe('nothing that was typed is lost without a word', () => {
  test('steps past the most that a plan has are said, line by line', () => {
    const { plan, lines } = read('sphinx 1 min\n'.repeat(PLAN_LIMITS.maxSteps + 2).trimEnd());
    expect(plan.steps).toHaveLength(PLAN_LIMITS.maxSteps);
    expect(lines.slice(-3).map(({ kind, says }) => [kind, says])).toEqual([
      ['step', 'Sphinx, 1:00'],
      ['note', 'Left out: a plan has at most 200 steps'],
      ['note', 'Left out: a plan has at most 200 steps'],
    ]);
  });

  test('steps that are too many breaths to lead together are said', () => {
    const { plan, lines } = read('even breath 2-2, 600 rounds, count of 1 s\n'.repeat(30).trimEnd());
    expect(Plan.safeParse(plan).success).toBe(true);
    const left = lines.filter(({ says }) => says === 'Left out: together the steps have more breaths than can be led');
    expect(plan.steps.length).toBeLessThan(30);
    expect(left).toHaveLength(30 - plan.steps.length);
  });

  test('a note that is too long for a step says so', () => {
    const { lines } = read(`sphinx 4 min\n${`${'so '.repeat(300)}\n`.repeat(6)}`);
    expect(lines.filter(({ says }) => says === 'Left out: the note of the step before is full').length).toBeGreaterThan(
      0,
    );
  });

  test('a piece of a line that is decided to be a note goes into the note of the step beside it', () => {
    const line = 'sphinx 4, wobbly pigeon 3, frog 2';
    const question = read(line).lines[0]?.questions.find(({ about }) => about === 'Which is meant?');
    const { plan } = read(line, question ? { [question.id]: 'note' } : {});
    expect(JSON.stringify(plan.steps)).toContain('wobbly pigeon');
  });

  test('every word of any text is in the plan, in a mark of its line, or in a line that says it was left out', () => {
    const words = fc.constantFrom(
      'sphinx',
      'twist',
      '3 min',
      'each side',
      'blanket',
      'soften',
      'zorp',
      ',',
      ';',
      '(',
      '–',
      '5',
      'L',
      '🙂',
      'then',
      'rest',
    );
    const typed = fc.array(
      fc.array(words, { maxLength: 8 }).map((line) => line.join(' ')),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(typed, (lines) => {
        const found = read(lines.join('\n'));
        const inPlan = JSON.stringify(found.plan).toLowerCase();
        for (const { typed: line, marks, says } of found.lines) {
          if (says.startsWith('Left out') || found.plan.steps.length === 0) continue;
          for (const { index: at, 0: word } of line.matchAll(/zorp|soften/g)) {
            const isMarked = marks.some(({ from, to }) => from <= at && at + word.length <= to);
            expect([line, word, isMarked || inPlan.includes(word)]).toEqual([line, word, true]);
          }
        }
      }),
      { numRuns: 400 },
    );
  });
});
