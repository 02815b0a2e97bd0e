import type { CaptionLanguage } from './language';
import { plainWord, type SpokenWord } from './words';

/** An entry with sentences that tell how it is entered. */
export interface DescribedEntry {
  id: string;
  descriptions: readonly string[];
}

/** How strongly the words of all entries stand behind those of one: a description has some dozens of words. */
const SMOOTHING = 30;
const MOST = 2.5;

/**
 * How much likelier each word is where an entry is described than anywhere in the library: the logarithm of the ratio
 * of the two, smoothed (naive Bayes with a background; C. Zhai and J. Lafferty, A study of smoothing methods for
 * language models, 2004, Dirichlet prior). Words below the background count nothing: nobody says all of a description.
 */
export function describer(entries: readonly DescribedEntry[], { small, empty, sides }: CaptionLanguage) {
  const skipped = new Set([...small, ...empty, ...sides.left, ...sides.right]);
  const wordsOf = (text: string): string[] =>
    text
      .split(/[\s\-–—/]+/)
      .map(plainWord)
      .filter((word) => word !== '' && !skipped.has(word))
      .map(stem);
  const background = new Map<string, number>();
  let total = 0;
  const counts = entries.map(({ id, descriptions }) => {
    const own = new Map<string, number>();
    let size = 0;
    for (const word of descriptions.flatMap(wordsOf)) {
      own.set(word, (own.get(word) ?? 0) + 1);
      background.set(word, (background.get(word) ?? 0) + 1);
      size++;
      total++;
    }
    return { id, own, size };
  });
  const byWord = new Map<string, { id: string; score: number }[]>();
  for (const { id, own, size } of counts)
    for (const [word, count] of own) {
      const usual = (background.get(word) ?? 0) / total;
      const here = (count + SMOOTHING * usual) / (size + SMOOTHING);
      const score = Math.min(MOST, Math.log(here / usual));
      if (score > 0) byWord.set(word, [...(byWord.get(word) ?? []), { id, score }]);
    }
  /** What was looked up once: the words of a class are mostly the same ones. */
  const lookedUp = new Map<string, readonly { id: string; score: number }[]>();
  return ({ word }: SpokenWord): readonly { id: string; score: number }[] => {
    let found = lookedUp.get(word);
    if (!found) {
      found = skipped.has(word) ? [] : (byWord.get(stem(word)) ?? []);
      lookedUp.set(word, found);
    }
    return found;
  };
}

/** Words of one kind as one: `leaning` and `leans` as `lean`. */
const stem = (word: string): string =>
  word.length > 4 ? word.replace(/(?:ing|es|s|ed)$/, '') : word.replace(/s$/, '');
