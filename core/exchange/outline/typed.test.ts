import { describe, expect, test } from '@jest/globals';
import { Plan } from '#core/plan';
import { nameIndex, readOutline } from './index';
import { POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled } from '#library/synonyms';
import { faultsOfLine, rightAnswers, typedOutlines, type TypedOutline } from '../../../tests/support/typed-outlines';

const index = nameIndex({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled });
function read(text: string, decided: Record<string, string> = {}) {
  let ids = 0;
  const newId = () => `s${++ids}`;
  return readOutline(text, { index, approach: 'restorative', where: null, today: '2026-11-30', newId, decided });
}

const textOf = ({ lines }: TypedOutline): string => lines.map(({ typed }) => typed).join('\n');

/** The lines that are not what they mean, once every question has its right answer: what was wrong in silence. */
function wrongInSilence(outline: TypedOutline): string[] {
  const first = read(textOf(outline));
  const { plan, lines } = read(textOf(outline), rightAnswers(first.lines, outline));
  return outline.lines.flatMap(({ typed, means }, i) => {
    const line = lines[i];
    const faults = line ? faultsOfLine(line, means, plan) : ['not read'];
    return faults.length > 0 ? [`${typed} => ${faults.join(', ')}`] : [];
  });
}

describe('outlines as people type them', () => {
  const outlines = typedOutlines();

  test('there are at least forty', () => {
    expect(outlines.length).toBeGreaterThanOrEqual(40);
  });

  test.each(outlines)('$name: what it means is understood or asked, nothing is wrong in silence', (outline) => {
    const { plan } = read(textOf(outline));
    expect(Plan.safeParse(plan).error).toBeUndefined();
    expect(wrongInSilence(outline)).toEqual([]);
  });
});
