import type { CaptionLanguage } from './language';
import type { SpokenWord } from './words';

/** A row of a table of phrases, whatever they tell. */
interface Phrases {
  phrases: readonly string[];
}
/** A phrase that was found in what was said. */
export interface FoundPhrase<R> {
  row: R;
  /** The words it is made of: from one until before another. */
  from: number;
  to: number;
}

interface Node<R> {
  next: Map<string, Node<R>>;
  row: R | undefined;
}

/** All ways of saying a phrase, each as its words. `[a|b] c (d e|f)` has six. */
function waysToSay(phrase: string): string[][] {
  const pattern = /\(([^()]*)\)|\[([^[\]]*)\]|(\S+)/g;
  let ways: string[][] = [[]];
  for (const [, either, optional, word] of phrase.matchAll(pattern)) {
    const choices = (either ?? optional ?? word ?? '').split('|').map((choice) => choice.split(' ').filter(Boolean));
    if (optional !== undefined) choices.push([]);
    ways = ways.flatMap((way) => choices.map((choice) => [...way, ...choice]));
  }
  return ways;
}

/** Finds the phrases of a table in a language. */
export function phraseFinder<R extends Phrases>(
  rows: readonly R[],
  { limbs, sides, numbers }: Pick<CaptionLanguage, 'limbs' | 'sides' | 'numbers'>,
) {
  const node = (): Node<R> => ({ next: new Map(), row: undefined });
  const root = node();
  for (const row of rows)
    for (const phrase of row.phrases)
      for (const way of waysToSay(phrase)) {
        let at = root;
        for (const word of way) {
          const next = at.next.get(word) ?? node();
          at.next.set(word, next);
          at = next;
        }
        // Where two rows say the same words, the one that stands first has them.
        at.row ??= row;
      }
  const limbWords = new Set(limbs);
  const sideWords = new Set([...sides.left, ...sides.right]);
  const isNumber = (word: string): boolean => /^\d+$/.test(word) || word in numbers;

  /** The longest phrase that begins at a word, if any does. */
  function longest(words: readonly SpokenWord[], from: number): FoundPhrase<R> | undefined {
    let best: FoundPhrase<R> | undefined;
    const walk = (at: Node<R>, i: number): void => {
      if (at.row && (!best || i > best.to)) best = { row: at.row, from, to: i };
      const word = words[i]?.word;
      // A phrase is not said over the end of a sentence.
      if (word === undefined || (i > from && words[i - 1]?.ends)) return;
      const go = (key: string): void => {
        const next = at.next.get(key);
        if (next) walk(next, i + 1);
      };
      go(word);
      if (limbWords.has(word)) go('<limb>');
      if (sideWords.has(word)) go('<side>');
      if (isNumber(word)) go('<number>');
      go('*');
    };
    walk(root, from);
    return best;
  }

  /** The phrases in words, in order. Where one lies within another, the longer one is taken. */
  return (words: readonly SpokenWord[]): FoundPhrase<R>[] => {
    const found: FoundPhrase<R>[] = [];
    for (let i = 0; i < words.length;) {
      const phrase = longest(words, i);
      if (phrase) found.push(phrase);
      i = phrase ? phrase.to : i + 1;
    }
    return found;
  };
}
