import type { CaptionLanguage } from './language';
import { plainWord, type SpokenWord } from './words';

/** An entry with sentences that tell how it is entered. */
export interface DescribedEntry {
  id: string;
  descriptions: readonly string[];
}

/** The positions that a word, or a pair of words, describes, by their place among the entries; and how much. */
export type DescribedBy = readonly { entry: number; score: number }[];

/** How strongly the words of all entries stand behind those of one: a description has some dozens of words. */
const SMOOTHING = 30;
/** What a word or a pair tells at the most, however rare it is. */
const MAX_SCORE = { word: 2.5, pair: 1 } as const;

/** Words in one sentence that follow each other so closely belong together: `ankle on the knee`. */
const PAIR_WORDS = 4;
const PAIR = '>';

/**
 * How much likelier each word, and each pair of words that follow each other, is where an entry is described than
 * anywhere in the library: the logarithm of the ratio of the two, smoothed (naive Bayes with a background; C. Zhai and
 * J. Lafferty, A study of smoothing methods for language models, 2004, Dirichlet prior). What is below the background
 * counts nothing: nobody says all of a description. Gives for each word of a class the entries that it
 * describes, and those that it describes together with a word before it.
 */
export function describer(entries: readonly DescribedEntry[], { small, empty, sides, alike }: CaptionLanguage) {
  const same = new Map(alike.flatMap((some) => some.map((word) => [stem(word), stem(some[0] ?? word)] as const)));
  const skipped = new Set([...small, ...empty, ...sides.left, ...sides.right]);
  /** The one word of all that mean the same; empty for what describes nothing. */
  const known = new Map<string, string>();
  const plain = (word: string): string => {
    let found = known.get(word);
    if (found === undefined) {
      found = skipped.has(word) || word === '' ? '' : (same.get(stem(word)) ?? stem(word));
      known.set(word, found);
    }
    return found;
  };
  /** Words and pairs of a text. */
  const partsOf = (text: string): string[] =>
    text.split(/[.;:!?]/).flatMap((sentence) => {
      const words = sentence.split(/[\s\-–—/]+/).map((word) => plain(plainWord(word)));
      return words.flatMap((word, i) => partsAt(word, (back) => words[i - back] ?? null));
    });
  const counted = (wanted: (part: string) => boolean, most: number) => {
    const background = new Map<string, number>();
    let total = 0;
    const counts = entries.map(({ descriptions }, entry) => {
      const own = new Map<string, number>();
      const parts = descriptions.flatMap(partsOf).filter(wanted);
      for (const part of parts) {
        own.set(part, (own.get(part) ?? 0) + 1);
        background.set(part, (background.get(part) ?? 0) + 1);
      }
      total += parts.length;
      return { entry, own, size: parts.length };
    });
    for (const { entry, own, size } of counts)
      for (const [part, count] of own) {
        const usual = (background.get(part) ?? 0) / total;
        const here = (count + SMOOTHING * usual) / (size + SMOOTHING);
        const score = Math.min(most, Math.log(here / usual));
        if (score > 0) byPart.set(part, [...(byPart.get(part) ?? []), { entry, score }]);
      }
  };
  const byPart = new Map<string, DescribedBy>();
  counted((part) => !part.includes(PAIR), MAX_SCORE.word);
  counted((part) => part.includes(PAIR), MAX_SCORE.pair);

  return (words: readonly SpokenWord[]): (readonly DescribedBy[])[] =>
    words.map(({ word }, i) => {
      const parts = partsAt(plain(word), (back) => {
        const before = words[i - back];
        return !before || before.ends ? null : plain(before.word);
      });
      return parts.flatMap((part) => {
        const found = byPart.get(part);
        return found ? [found] : [];
      });
    });
}

/** A word by itself, and with the one that describes something just before it; null is where a sentence begins. */
function partsAt(word: string, before: (back: number) => string | null): string[] {
  if (word === '') return [];
  for (let back = 1; back <= PAIR_WORDS; back++) {
    const other = before(back);
    if (other === null) break;
    if (other !== '') return [word, `${other}${PAIR}${word}`];
  }
  return [word];
}

/** Words of one kind as one: `leaning` and `leans` as `lean`. */
const stem = (word: string): string =>
  word.length > 4 ? word.replace(/(?:ing|es|s|ed)$/, '') : word.replace(/s$/, '');
