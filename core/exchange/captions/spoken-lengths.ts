import type { CaptionLanguage } from './language';
import type { SpokenWord } from './words';

/** A length of time that was said: `four minutes`, `three to five minutes`, `ten breaths`. */
export interface SpokenLength {
  from: number;
  to: number;
  unit: 'minute' | 'second' | 'breath' | 'round';
  least: number;
  most: number;
}

/** Finds the lengths in what was said. */
export function lengthFinder({ numbers, heardAs, units, half, and, to: between }: CaptionLanguage) {
  const unitOf = new Map(
    Object.entries(units).flatMap(([unit, words]) =>
      words.map((word) => [word, unit as SpokenLength['unit']] as const),
    ),
  );
  const numberOf = (word: string | undefined): number | undefined =>
    word === undefined ? undefined : /^\d{1,3}$/.test(word) ? Number(word) : numbers[word];

  /** A number of one or two words from a word on: `twenty five`, `four and a half`, `half a`. */
  function numberAt(words: readonly SpokenWord[], i: number): { value: number; to: number } | undefined {
    const word = (k: number): string => words[k]?.word ?? '';
    if (half.includes(word(i))) return { value: 0.5, to: numberOf(word(i + 1)) === 1 ? i + 2 : i + 1 };
    const value = numberOf(word(i));
    if (value === undefined) return undefined;
    let [total, end] = [value, i + 1];
    const ones = numberOf(word(end));
    if (value >= 20 && value % 10 === 0 && ones !== undefined && ones < 10 && ones > 0)
      [total, end] = [value + ones, end + 1];
    if (and.includes(word(end)) && numberOf(word(end + 1)) === 1 && half.includes(word(end + 2)))
      [total, end] = [total + 0.5, end + 3];
    return { value: total, to: end };
  }

  return (words: readonly SpokenWord[]): SpokenLength[] => {
    const found: SpokenLength[] = [];
    for (let i = 0; i < words.length; i++) {
      // `For minutes`: four, as a machine hears it.
      const misheard = unitOf.has(words[i + 1]?.word ?? '') ? heardAs[words[i]?.word ?? ''] : undefined;
      const first = numberAt(words, i) ?? (misheard === undefined ? undefined : { value: misheard, to: i + 1 });
      if (!first) continue;
      let [least, most, end] = [first.value, first.value, first.to];
      if (between.includes(words[end]?.word ?? '')) {
        const second = numberAt(words, end + 1);
        if (second && second.value > least) [most, end] = [second.value, second.to];
      }
      // One word may stand between: `ten slow breaths`, `two more minutes`.
      let unit = unitOf.get(words[end]?.word ?? '');
      const isPart =
        words[end - 1]?.ends === true || words[end]?.ends === true || numberOf(words[end]?.word) !== undefined;
      if (!unit && !isPart) {
        unit = unitOf.get(words[end + 1]?.word ?? '');
        if (unit) end++;
      }
      if (!unit) continue;
      end++;
      const more = and.includes(words[end]?.word ?? '') ? end + 1 : end;
      const rest = unit === 'minute' ? numberAt(words, more) : undefined;
      if (rest && rest.value < 60 && (rest.value === 0.5 || unitOf.get(words[rest.to]?.word ?? '') === 'second')) {
        const extra = rest.value === 0.5 ? 0.5 : rest.value / 60;
        [least, most, end] = [least + extra, most + extra, rest.value === 0.5 ? rest.to : rest.to + 1];
      }
      found.push({ from: i, to: end, unit, least, most });
      i = end - 1;
    }
    return found;
  };
}
