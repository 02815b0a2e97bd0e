import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { spokenWords } from './words';
import type { CaptionCue } from './write';

const cue = (startSeconds: number, endSeconds: number, text: string): CaptionCue => ({
  startMs: startSeconds * 1000,
  endMs: endSeconds * 1000,
  text,
});
const spoken = (...cues: CaptionCue[]): string =>
  spokenWords(cues)
    .words.map(({ word }) => word)
    .join(' ');

describe('the words of captions', () => {
  test('lower case, without marks, sounds and tags; a hyphen joins two', () => {
    expect(
      spoken(cue(0, 4, '<i>Cross-legged</i>, please. [music] ♪ la la ♪ (bell rings) *bell* Don’t &amp; śavāsana')),
    ).toBe('cross legged please dont savasana');
  });

  test('lines that roll up are said once', () => {
    expect(
      spoken(
        cue(0, 2, 'bring your feet together'),
        cue(2, 2.01, 'bring your feet together'),
        cue(2.01, 4, 'bring your feet together\nand fold forward now'),
        cue(4, 4.01, 'and fold forward now'),
        cue(4.01, 6, 'and fold forward now\nstay'),
        cue(6, 6.01, 'stay'),
        cue(6.01, 8, 'stay\nthere'),
      ),
    ).toBe('bring your feet together and fold forward now stay there');
  });

  test('a text that grows is said once, and words that are said twice are there twice', () => {
    expect(spoken(cue(0, 1, 'let the left'), cue(1, 2, 'let the left knee'), cue(2, 3, 'let the left knee fall'))).toBe(
      'let the left knee fall',
    );
    expect(spoken(cue(0, 1, 'breathe'), cue(1, 2, 'breathe'), cue(2, 3, 'and breathe'))).toBe(
      'breathe breathe and breathe',
    );
    expect(spoken(cue(0, 2, 'stay with the breath'), cue(60, 62, 'stay with the breath'))).toBe(
      'stay with the breath stay with the breath',
    );
  });

  test('moments inside a cue count; and nobody takes half a second over a word, however long its cue stands', () => {
    const { words } = spokenWords([cue(10, 20, 'and <00:00:14.000><c>stay</c> <00:00:15.000><c>there</c>')]);
    expect(words.map(({ word, startMs }) => [word, startMs])).toEqual([
      ['and', 10_000],
      ['stay', 14_000],
      ['there', 15_000],
    ]);
    const [, second] = spokenWords([cue(0, 30, 'stay here')]).words;
    expect(second?.endMs).toBe(900);
  });

  test('of several who speak the one who says most is the teacher', () => {
    const { words, byOthers, lines } = spokenWords([
      cue(0, 2, 'Teacher: Fold to the left now.'),
      cue(2, 4, 'Student: Which left?'),
      cue(4, 6, 'Teacher: Yours, not mine.'),
      cue(6, 8, '<v Student>Oh.'),
    ]);
    expect([words.map(({ word }) => word).join(' '), byOthers]).toEqual(['fold to the left now yours not mine', 3]);
    expect(lines.map(({ text }) => text)).toEqual(['Fold to the left now.', 'Which left?', 'Yours, not mine.', 'Oh.']);
    expect(spoken(cue(0, 2, 'Now build a slope: two blocks.'), cue(3, 4, 'Lie back.'))).toBe(
      'now build a slope two blocks lie back',
    );
  });

  test('whatever the cues are, words come in order of their cues and lie within them', () => {
    const anyCue = fc
      .tuple(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 20 }), fc.string({ maxLength: 60 }))
      .map(([from, length, text]) => cue(from, from + length, text));
    fc.assert(
      fc.property(fc.array(anyCue, { maxLength: 20 }), (cues) => {
        const sorted = [...cues].sort((a, b) => a.startMs - b.startMs);
        for (const { startMs, endMs, word } of spokenWords(sorted).words) {
          expect(word).not.toBe('');
          expect(endMs).toBeGreaterThanOrEqual(startMs);
          expect(sorted.some((one) => startMs >= one.startMs && endMs <= one.endMs)).toBe(true);
        }
      }),
    );
  });
});
