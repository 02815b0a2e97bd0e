import type { CaptionLanguage } from './language';
import { beginsAnew, type SpokenWord } from './words';

/** A side that was said, with the words that go with it. */
export interface SpokenSide {
  at: number;
  side: 'left' | 'right';
  /** The words after it, up to the next side or the end of the sentence; and those just before it, backwards. */
  after: readonly string[];
  before: readonly string[];
  /** A limb is named with it, or it is said to be the side. */
  isPlain: boolean;
}

const WORDS_AFTER = 9;
const WORDS_BEFORE = 6;
/** So many words before a side may show where something goes: `over to the left`. */
const TOWARDS_WORDS = 3;

/** Finds the sides in what was said. `Right here` and `a minute left` are none. */
export function sideFinder({ sides, limbs, otherSided, notASide }: CaptionLanguage) {
  const left = new Set(sides.left);
  const right = new Set(sides.right);
  const bodyWords = new Set([...limbs, ...otherSided]);
  const isSide = (word: string): boolean => left.has(word) || right.has(word);

  return (words: readonly SpokenWord[]): SpokenSide[] =>
    words.flatMap(({ word, shown, ends }, at) => {
      if (!isSide(word)) return [];
      const before = words[at - 1];
      const after = ends ? undefined : words[at + 1];
      const hasBody = after !== undefined && bodyWords.has(after.word);
      if (!hasBody && before && !before.ends && notASide.before.includes(before.word)) return [];
      if (!hasBody && after && notASide.after.includes(after.word)) return [];
      const isStart = !before || before.ends;
      // `Right, then` and `Right.` at the beginning of a sentence say nothing of a side.
      if (isStart && !hasBody && (ends || !after || shown.endsWith(','))) return [];
      // Backwards and forwards from the word, until something new begins or another side is named.
      const earlier = upTo(range(at, -WORDS_BEFORE), (i) => isSide(words[i - 1]?.word ?? '') || beginsAnew(words, i));
      const later = upTo(range(at + 1, WORDS_AFTER), (i) => isSide(words[i]?.word ?? '') || beginsAnew(words, i));
      const wordsAt = (places: readonly number[]): string[] => places.flatMap((i) => words[i]?.word ?? []);
      return [
        {
          at,
          side: left.has(word) ? 'left' : 'right',
          after: wordsAt(later),
          before: wordsAt(earlier.map((i) => i - 1)),
          isPlain: hasBody,
        },
      ];
    });
}

/** So many places from one on, forwards or, below zero, backwards. */
const range = (from: number, count: number): number[] =>
  Array.from({ length: Math.abs(count) }, (_, i) => from + Math.sign(count) * i);
const upTo = <T>(list: readonly T[], ends: (one: T) => boolean): readonly T[] => {
  const at = list.findIndex(ends);
  return at < 0 ? list : list.slice(0, at);
};

/** How much a side tells when no other words go with it. */
const BARE = 0.4;
const OPPOSITE = -0.7;

/**
 * What a side that was said tells of the side of a position, from −1 (the other side) to 1. The first row of the table
 * whose meaning is the position’s counts.
 */
export function sideEvidence(
  { after, before, isPlain }: SpokenSide,
  leftMeans: string,
  { sideRows: rows, towards }: CaptionLanguage,
): number {
  const row = rows.find(({ means }) => means.test(leftMeans));
  if (!row) return BARE;
  const goesThere = before.slice(0, TOWARDS_WORDS).some((word) => towards.includes(word));
  // `Turn to your right, one hand on the chair`: what is said after it belongs to something else.
  const movesThere = before.some((word) => row.same.includes(word));
  const isElsewhere = before.some((word) => row.elsewhere.includes(word) && !row.same.includes(word));
  if (row.towards === 'same' && goesThere && movesThere && !isElsewhere) return 1;
  const first = after.find((word) => row.same.includes(word) || row.opposite.includes(word));
  // Something else goes there: `look over to the right`.
  if (first === undefined && before.some((word) => row.elsewhere.includes(word))) return OPPOSITE / 2;
  if (goesThere && (row.towards === 'opposite' || first === undefined)) return row.towards === 'same' ? 1 : OPPOSITE;
  if (first !== undefined) return row.same.includes(first) ? 1 : OPPOSITE;
  return isPlain ? BARE : BARE / 2;
}
