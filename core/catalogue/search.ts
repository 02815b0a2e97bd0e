/** Words that say nothing about which position is meant. */
const EMPTY_WORDS: ReadonlySet<string> = new Set([
  'pose',
  'posture',
  'position',
  'asana',
  'supported',
  'variation',
  'the',
  'a',
  'of',
  'on',
  'with',
]);
/** Spellings of one sound in names from Sanskrit, and how they are compared: `sh` as `s`, `ee` as `i`. */
const SOUNDS: readonly (readonly [RegExp, string])[] = [
  [/sh/g, 's'],
  [/ch/g, 'c'],
  [/th/g, 't'],
  [/ph/g, 'p'],
  [/ee/g, 'i'],
  [/oo/g, 'u'],
  [/aa/g, 'a'],
];

const folded = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f'’]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** The texts of a library are asked for with every key that is typed; this many of them are remembered at most. */
const MAX_KNOWN = 5000;
const known = new Map<string, string>();

/** Letters only, without accents or case, for search: `Ānanda-bālāsana` becomes `ananda balasana`. */
export function searchable(text: string): string {
  const before = known.get(text);
  if (before !== undefined) return before;
  if (known.size >= MAX_KNOWN) known.clear();
  const now = folded(text);
  known.set(text, now);
  return now;
}

const sounded = (text: string): string => SOUNDS.reduce((now, [spelling, sound]) => now.replace(spelling, sound), text);
const sounds = new Map<string, string[]>();
/** The words of a name as they are compared: by sound, without those that say nothing, unless there are no others. */
export function comparedWords(text: string): string[] {
  let words = sounds.get(text);
  if (!words) {
    const all = searchable(text).split(' ').filter(Boolean);
    const telling = all.filter((word) => !EMPTY_WORDS.has(word));
    words = (telling.length > 0 ? telling : all).map(sounded);
    sounds.set(text, words);
  }
  return words;
}

/** Whether a word says nothing about which position is meant: `pose`, `the`, `on`. */
export const isEmptyWord = (word: string): boolean => EMPTY_WORDS.has(searchable(word));

/**
 * How many letters have to be added, left out, changed or swapped with their neighbour to make one word of another
 * (Damerau 1964, Levenshtein 1966; each pair of letters is swapped at most once).
 */
export function editDistance(a: string, b: string): number {
  let [earlier, before]: [number[], number[]] = [[], Array.from({ length: b.length + 1 }, (_, j) => j)];
  const at = (row: readonly number[], j: number): number => row[j] ?? 0;
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const change = a[i - 1] === b[j - 1] ? 0 : 1;
      const least = Math.min(at(before, j) + 1, at(row, j - 1) + 1, at(before, j - 1) + change);
      const swapped = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
      row.push(swapped ? Math.min(least, at(earlier, j - 2) + 1) : least);
    }
    [earlier, before] = [before, row];
  }
  return at(before, b.length);
}

/** How many wrong letters are forgiven in a word: none in a short one, where another word would be meant. */
const forgiven = (word: string): number => (word.length < 4 ? 0 : word.length < 8 ? 1 : 2);
/** Whether a typed word is the beginning of another with a letter or two wrong. */
const almost = (typed: string, word: string): boolean => {
  const most = forgiven(typed);
  if (most === 0 || typed[0] !== word[0]) return false;
  const lengths = [typed.length, typed.length - 1, typed.length + 1, word.length];
  return lengths.some((length) => length <= word.length && editDistance(typed, word.slice(0, length)) <= most);
};

/**
 * How well what was typed matches an entry’s names: 0 for not at all, more for better (4 a whole name, 3 the start of a
 * name, 2 the start of words in the same order, 1 each word the start of one, ½ the same with a letter or two wrong).
 * Accents, spellings of one sound, and words such as “pose” do not matter.
 */
export function matchScore(query: string, names: readonly string[]): number {
  const typed = comparedWords(query);
  if (typed.length === 0) return 0;
  const wanted = typed.join(' ');
  let best = 0;
  for (const words of names.map(comparedWords)) {
    const name = words.join(' ');
    if (name === '') continue;
    if (name === wanted) return 4;
    const score = name.startsWith(wanted)
      ? 3
      : ` ${name}`.includes(` ${wanted}`)
        ? 2
        : typed.every((one) => words.some((word) => word.startsWith(one)))
          ? 1
          : best < 0.5 && typed.every((one) => words.some((word) => word.startsWith(one) || almost(one, word)))
            ? 0.5
            : 0;
    best = Math.max(best, score);
  }
  return best;
}

/** From 0, nothing alike, to 1, the same: how near what was typed is to the nearest of an entry’s names. */
export function nameLikeness(query: string, names: readonly string[]): number {
  const wanted = comparedWords(query).join(' ');
  if (wanted === '') return 0;
  return Math.max(
    0,
    ...names.map((one) => {
      const name = comparedWords(one).join(' ');
      const longest = Math.max(wanted.length, name.length);
      return longest === 0 ? 0 : 1 - editDistance(wanted, name) / longest;
    }),
  );
}
