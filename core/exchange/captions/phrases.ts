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

const PAUSE_MS = 2500;
const isBroken = (words: readonly SpokenWord[], at: number): boolean => {
  const [before, word] = [words[at - 1], words[at]];
  return !before || !word || before.ends || word.startMs - before.endMs > PAUSE_MS;
};

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
  const keysOf = new Map<string, readonly string[]>();
  /** All that a word may stand for in a phrase. */
  function keysFor(word: string): readonly string[] {
    let keys = keysOf.get(word);
    if (!keys) {
      keys = [
        word,
        ...(limbWords.has(word) ? ['<limb>'] : []),
        ...(sideWords.has(word) ? ['<side>'] : []),
        ...(isNumber(word) ? ['<number>'] : []),
        '*',
      ];
      keysOf.set(word, keys);
    }
    return keys;
  }

  /** The longest phrase that goes on from a place in the table at a word, and begins where it began. */
  function longest(
    words: readonly SpokenWord[],
    at: Node<R>,
    from: number,
    i: number,
    known?: FoundPhrase<R>,
  ): FoundPhrase<R> | undefined {
    let best = at.row && (!known || i > known.to) ? { row: at.row, from, to: i } : known;
    const word = words[i]?.word;
    // A phrase is not said over the end of a sentence, or a long pause.
    if (word === undefined || (i > from && isBroken(words, i))) return best;
    for (const key of keysFor(word)) {
      const next = at.next.get(key);
      if (next) best = longest(words, next, from, i + 1, best);
    }
    return best;
  }

  /** The phrases in words, in order. Where one lies within another, the longer one is taken. */
  return (words: readonly SpokenWord[]): FoundPhrase<R>[] => {
    const found: FoundPhrase<R>[] = [];
    for (let i = 0; i < words.length;) {
      const phrase = longest(words, root, i, i);
      if (phrase) found.push(phrase);
      i = phrase ? phrase.to : i + 1;
    }
    return found;
  };
}
