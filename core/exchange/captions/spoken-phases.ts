import type { Ms } from '#core/numbers';
import type { CaptionLanguage, PhraseRow } from './language';
import type { FoundPhrase } from './phrases';
import { beginsAnew, type SpokenWord } from './words';

/** A phase of a counted breath that was called out. */
export interface SpokenPhase {
  at: number;
  atMs: Ms;
  kind: 'in' | 'out' | 'hold';
  /** How far it was counted aloud, or said to be counted (`in for four`); 0 where it was not. */
  counted: number;
  /** It was only said how far it is counted: `in for four`. */
  isDeclared: boolean;
}

const KINDS = { breatheIn: 'in', breatheOut: 'out', holdBreath: 'hold' } as const;
/** Words of a count follow each other by a second or so. */
const COUNT_MS = 3000;

/**
 * The phases of breaths that are counted aloud: a word for a phase that a number follows, or that stands alone. `Out`
 * in the middle of a sentence, as in “stretch it out long”, is none.
 */
export function spokenPhases(
  words: readonly SpokenWord[],
  phrases: readonly FoundPhrase<PhraseRow>[],
  { numbers, forCounts, sides, otherSided }: CaptionLanguage,
): SpokenPhase[] {
  const numberOf = (i: number): number => {
    const word = words[i]?.word ?? '';
    return /^\d{1,2}$/.test(word) ? Number(word) : (numbers[word] ?? 0);
  };
  const sideWords = new Set([...sides.left, ...sides.right, ...otherSided]);
  const found: SpokenPhase[] = [];
  for (const { row, from, to: phraseTo } of phrases) {
    if (!(row.kind in KINDS)) continue;
    const kind = KINDS[row.kind as keyof typeof KINDS];
    // A nostril may be named before the count: `out right, two, three`.
    let to = phraseTo;
    while (sideWords.has(words[to]?.word ?? '') && words[to - 1]?.ends === false) to++;
    let [counted, i, lastMs] = [0, to, words[to - 1]?.endMs ?? 0];
    for (let word = words[i]; word && word.startMs - lastMs < COUNT_MS; word = words[++i]) {
      const number = numberOf(i);
      // The word of the phase itself is said on the first count.
      if (number !== (counted === 0 ? 2 : counted + 1)) break;
      [counted, lastMs] = [number, word.endMs];
    }
    const declared = forCounts.includes(words[to]?.word ?? '') ? numberOf(to + 1) : 0;
    if (counted === 0 && declared === 0 && !(beginsAnew(words, from) && beginsAnew(words, to))) continue;
    found.push({
      at: from,
      atMs: words[from]?.startMs ?? 0,
      kind,
      counted: Math.max(counted, declared),
      isDeclared: counted === 0 && declared > 0,
    });
  }
  return found;
}
