import { doubleMetaphone } from 'double-metaphone';
import { distance } from 'fastest-levenshtein';
import type { CaptionLanguage } from './language';
import { beginsAnew, plainWord, type SpokenWord } from './words';

/** What a library entry is called, its own names first. */
export interface CalledEntry {
  id: string;
  kind: 'hold' | 'breath';
  names: readonly string[];
}

/** A name that was said, or what a machine made of it. */
export interface SpokenName {
  from: number;
  to: number;
  /** The entries it may mean, each with how likely it is meant, from 0 to 1. */
  entries: { id: string; kind: 'hold' | 'breath'; share: number }[];
  /** How much it is like the name, from 0 to 1. */
  likeness: number;
}

interface Name {
  letters: string;
  sound: string;
  isEveryday: boolean;
  entries: Map<string, { kind: 'hold' | 'breath'; share: number }>;
}

const NO_NAMES: readonly Name[] = [];
const MAX_WORDS = 6;
const MAX_LETTERS = 40;
/** Shorter words have too many others that sound alike. */
const SHORTEST_FOR_SOUND = 6;
/** Shorter ones count where they sound the same: `sfinx`. */
const SHORTEST_SAME_SOUND = 5;
const MIN_SAME_SOUNDS = 4;
/** An entry whose own name has a word that was said, and more words: `pigeon` for another kind of pigeon. */
const PART_OF_NAME = 0.25;
/** `Child’s pose` for one with the knees wide. */
const BEGINNING_OF_NAME = 0.5;
/** A short name that is there word for word is taken before a longer one that is only like what was said. */
const EXACT_FIRST = 6;
const LESS_PLAIN = 0.75;
const EVERYDAY_ALONE = 0.25;
/** Where a word like `pose` follows, what stands before is a name, however badly it was heard. */
const NAMED_LESS = 0.2;

/** The sound of words as consonants alone: vowels are what machines hear worst. */
const knownSounds = new Map<string, string>();
function soundOf(word: string): string {
  let sound = knownSounds.get(word);
  if (sound === undefined) {
    // Of two sounds that letters can have, the second is the harder one: a G as in `dragon`.
    sound = doubleMetaphone(word)[1].replace(/A/g, '');
    if (knownSounds.size > 20_000) knownSounds.clear();
    knownSounds.set(word, sound);
  }
  return sound;
}
const singular = (word: string): string =>
  word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word;
/** One form of a word: `bending` as `bend`. Letters and sounds are compared without it: machines hear endings too. */
const plainForm = (word: string): string =>
  word.length > 6 && word.endsWith('ing') ? word.slice(0, -3).replace(/([bdgmnprt])\1$/, '$1') : word;
const plainLetters = (words: readonly string[]): string => words.map(plainForm).join('');

const anyOrder = (words: readonly string[]): string => [...words].sort().join(' ');
const MAX_SOUNDS_OFF = 1;

/** Whether one of two texts becomes the other by one letter that is left out, put in or exchanged, at the most. */
function isOneOff(one: string, other: string): boolean {
  const shorter = Math.min(one.length, other.length);
  let [from, end] = [0, 0];
  while (from < shorter && one.charCodeAt(from) === other.charCodeAt(from)) from++;
  while (end < shorter - from && one.charCodeAt(one.length - 1 - end) === other.charCodeAt(other.length - 1 - end))
    end++;
  return Math.max(one.length, other.length) - from - end <= 1;
}

/** How much a name is like some letters, from 0 to 1; 0 where that is too little to be meant. */
function likenessOf(name: Name, letters: string, sound: string, isNamed: boolean): number {
  const longer = Math.max(name.letters.length, letters.length);
  if (Math.abs(name.letters.length - letters.length) > 0.35 * longer) return 0;
  const isSame = name.sound === sound;
  if (!isSame && (name.sound.length < 4 || !isOneOff(name.sound, sound))) return 0;
  const likeness = 1 - distance(name.letters, letters) / longer;
  return likeness < (isSame ? 0.6 : 0.7) - (isNamed ? NAMED_LESS : 0) ? 0 : likeness;
}

/** Finds the names of entries in what was said. */
export function nameFinder(entries: readonly CalledEntry[], language: CaptionLanguage) {
  const small = new Set([...language.small, ...language.afterName]);
  const afterName = new Set(language.afterName);
  const limbs = new Set(language.limbs.map(singular));
  const numberWords = new Map(Object.entries(language.numbers).map(([word, value]) => [String(value), word]));
  const wordsOf = (name: string): string[] => {
    const all = name
      .split(/[\s\-–,/:]+/)
      .map(plainWord)
      .filter((word) => word !== '' && !afterName.has(word));
    const telling = all.filter((word) => !small.has(word)).map((word) => singular(numberWords.get(word) ?? word));
    // What is left of `knees in` is no name.
    return all.length > 1 && telling.length === 1 && limbs.has(telling[0] ?? '') ? [] : telling;
  };
  const everyday = new Set([...language.everyday.map((name) => plainLetters(wordsOf(name))), ...limbs]);
  /** Words that mean themselves: a machine has heard them well. */
  const known = new Set(
    language.phrases.flatMap(({ phrases }) => phrases.flatMap((phrase) => phrase.split(/[^a-z]+/).map(singular))),
  );
  const byLetters = new Map<string, Name>();
  const ownWords = new Map<string, Set<string>>();
  /** Of the entries of one name, the one that is called so with the fewest words is the plain one. */
  const plainness = new Map(entries.map(({ id, names }) => [id, (names[0] ?? '').split(' ').length]));
  for (const { id, kind, names } of entries)
    for (const [i, words] of names.map(wordsOf).entries()) {
      const key = plainLetters(words);
      if (key === '') continue;
      const name = byLetters.get(key) ?? {
        letters: words.join(''),
        sound: words.map(soundOf).join(''),
        // What else a position is called is no name where all of it is said on the way into others: `knees drop`.
        isEveryday:
          everyday.has(key) || (kind === 'hold' && i > 0 && words.every((word) => known.has(word) || limbs.has(word))),
        entries: new Map(),
      };
      // Its own name is more its own than what else it is called.
      name.entries.set(id, { kind, share: Math.max(name.entries.get(id)?.share ?? 0, i === 0 ? 1 : 0.9) });
      byLetters.set(key, name);
      ownWords.set(id, new Set([...(ownWords.get(id) ?? []), ...words.map(plainForm)]));
    }
  const firstWords = new Map(entries.map(({ id, names }) => [id, wordsOf(names[0] ?? '').map(plainForm)]));
  /** By their first sound and how many they have: names that may sound alike have the first in common. */
  const bySound = new Map<string, Name[][]>();
  const bySameSound = new Map<string, Name[]>();
  for (const name of byLetters.values()) {
    const plainest = Math.min(...[...name.entries.keys()].map((id) => plainness.get(id) ?? 0));
    for (const [id, of] of name.entries) if ((plainness.get(id) ?? 0) > plainest) of.share *= LESS_PLAIN;
    if (name.letters.length >= SHORTEST_SAME_SOUND && name.sound.length >= MIN_SAME_SOUNDS)
      bySameSound.set(name.sound, [...(bySameSound.get(name.sound) ?? []), name]);
    if (name.letters.length < SHORTEST_FOR_SOUND) continue;
    const first = name.sound.charAt(0);
    const byLength = bySound.get(first) ?? [];
    byLength[name.sound.length] = [...(byLength[name.sound.length] ?? []), name];
    bySound.set(first, byLength);
  }

  /** Names of several words in any order: `wide knee child` for `child, knees wide`. */
  const inAnyOrder = new Map<string, Name>();
  const wordsOfNames = new Set<string>();
  for (const { names } of entries)
    for (const words of names.map(wordsOf)) {
      const name = byLetters.get(plainLetters(words));
      if (!name || words.length < 2) continue;
      const plain = words.map(plainForm);
      inAnyOrder.set(anyOrder(plain), name);
      for (const word of plain) wordsOfNames.add(word);
    }

  /** The name that some letters are most like, where no name is written so, and how much. */
  function likest(letters: string, sound: string, isNamed: boolean): { name: Name; likeness: number } | undefined {
    if (letters.length < SHORTEST_SAME_SOUND) return undefined;
    let best: { name: Name; likeness: number } | undefined;
    for (const name of bySameSound.get(sound) ?? NO_NAMES) {
      const likeness = likenessOf(name, letters, sound, isNamed);
      if (likeness > (best?.likeness ?? 0)) best = { name, likeness };
    }
    if (letters.length < SHORTEST_FOR_SOUND) return best;
    const byLength = bySound.get(sound.charAt(0));
    for (let off = -MAX_SOUNDS_OFF; off <= MAX_SOUNDS_OFF; off++)
      for (const name of byLength?.[sound.length + off] ?? NO_NAMES) {
        const likeness = likenessOf(name, letters, sound, isNamed);
        if (likeness > (best?.likeness ?? 0)) best = { name, likeness };
      }
    return best;
  }

  return (words: readonly SpokenWord[], isNamed: (from: number) => boolean): SpokenName[] => {
    const content = words.flatMap(({ word: spoken, ends }, i) => {
      if (small.has(spoken)) return [];
      const word = singular(numberWords.get(spoken) ?? spoken);
      return [{ i, word, plain: plainForm(word), sound: soundOf(word), ends, isKnown: known.has(word) }];
    });
    const found: (SpokenName & { letters: number })[] = [];
    for (const [a, first] of content.entries()) {
      let [plain, letters, sound, isKnown, areOfNames] = ['', '', '', true, true];
      for (let b = 0; b < MAX_WORDS; b++) {
        const at = content[a + b];
        // A name is not said over the end of a sentence.
        if (!at || (b > 0 && endsBetween(words, content[a + b - 1]?.i ?? 0, at.i))) break;
        plain += at.plain;
        letters += at.word;
        sound += at.sound;
        isKnown &&= at.isKnown;
        areOfNames &&= wordsOfNames.has(at.plain) && (b === 0 || !hasComma(words, content[a + b - 1]?.i ?? 0, at.i));
        if (letters.length > MAX_LETTERS) break;
        const [from, to] = [first.i, at.i + 1];
        const hasPose = !at.ends && afterName.has(words[to]?.word ?? '');
        const reordered =
          areOfNames && b > 0
            ? inAnyOrder.get(anyOrder(content.slice(a, a + b + 1).map((one) => one.plain)))
            : undefined;
        const exact = reordered ?? byLetters.get(plain);
        const match = exact ? { name: exact, likeness: 1 } : isKnown ? undefined : likest(letters, sound, hasPose);
        if (!match) continue;
        const isAlone = beginsAnew(words, from) && beginsAnew(words, to);
        const isPlain = !match.name.isEveryday || hasPose || isAlone;
        const isMeant = isPlain || isNamed(from);
        found.push({
          from,
          to,
          letters: letters.length * match.likeness ** EXACT_FIRST * (isPlain ? 1 : EVERYDAY_ALONE),
          likeness: match.likeness * (isMeant ? 1 : EVERYDAY_ALONE),
          entries: [...match.name.entries].map(([id, { kind, share }]) => ({ id, kind, share })),
        });
      }
    }
    // The longest names first; a name within another is not one of its own.
    found.sort((one, other) => other.letters - one.letters);
    const taken: typeof found = [];
    for (const name of found)
      if (!taken.some((other) => name.from < other.to && other.from < name.to)) taken.push(name);
    return taken
      .sort((one, other) => one.from - other.from)
      .map(({ from, to, likeness, entries: exact }) => ({
        from,
        to,
        likeness,
        entries: withParts(from, to, exact, words),
      }));
  };

  /** Others whose names have all the words that were said are meant sometimes as well. */
  function withParts(
    from: number,
    to: number,
    exact: SpokenName['entries'],
    all: readonly SpokenWord[],
  ): SpokenName['entries'] {
    const spoken = all.slice(from, to).flatMap(({ word }) => (small.has(word) ? [] : [plainForm(singular(word))]));
    const known = new Set(exact.map(({ id }) => id));
    const plain = exact.flatMap(({ id }) => [firstWords.get(id) ?? []]);
    const parts = entries.flatMap(({ id, kind }) => {
      const own = ownWords.get(id);
      if (known.has(id) || !own) return [];
      // `Alternate nostrils with a hold` is meant as well, whatever alternate nostrils were called.
      const isVariant = plain.some(
        (words) => words.length > 1 && words.every((word, i) => firstWords.get(id)?.[i] === word),
      );
      if (isVariant) return [{ id, kind, share: BEGINNING_OF_NAME }];
      if (!spoken.every((word) => own.has(word))) return [];
      const begins = spoken.every((word, i) => firstWords.get(id)?.[i] === word);
      return [{ id, kind, share: begins ? BEGINNING_OF_NAME : PART_OF_NAME }];
    });
    return [...exact, ...parts];
  }
}

/** Whether a sentence ends from one word until before another. */
function endsBetween(words: readonly SpokenWord[], from: number, to: number): boolean {
  for (let i = from; i < to; i++) if (words[i]?.ends) return true;
  return false;
}

/** Whether a comma stands from one word until before another. */
function hasComma(words: readonly SpokenWord[], from: number, to: number): boolean {
  for (let i = from; i < to; i++) if (words[i]?.shown.endsWith(',')) return true;
  return false;
}
