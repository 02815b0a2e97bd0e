import {
  comparedWords,
  isEmptyWord,
  matchScore,
  nameLikeness,
  searchable,
  type Position,
  type Technique,
} from '#core/catalogue';
import type { OpenLine } from './line';

/** The entries that an outline may name. */
export interface Vocabulary {
  positions: readonly Position[];
  techniques: readonly Technique[];
  /** What else an entry is called. */
  alsoCalled: (id: string) => readonly string[];
}

/** An entry of a library, of either kind. */
export type Entry = { kind: 'hold'; entry: Position } | { kind: 'breath'; entry: Technique };

interface Named {
  name: string;
  words: readonly string[];
  entry: Entry;
  /** One of its own names, not only something that people call it. */
  own: boolean;
}

/** An index of all names of a vocabulary by their first word, to find them in a line. */
export interface NameIndex {
  byFirstWord: ReadonlyMap<string, readonly Named[]>;
  entries: readonly { entry: Entry; names: readonly string[] }[];
  /** What words were found to mean; the same words are read again with every key. */
  likely: Map<string, { entries: Entry[]; score: number }>;
}

/** One form of a word for singular and plural: `legs` and `leg`. */
const singular = (word: string): string => (word.length > 3 && !word.endsWith('ss') ? word.replace(/s$/, '') : word);
const wordsOf = (text: string): string[] => comparedWords(text).map(singular);

const ownNames = ({ entry }: Entry): string[] =>
  'yin' in entry.names
    ? [entry.names.english, entry.names.sanskrit, entry.names.yin]
    : [entry.names.english, entry.names.sanskrit];

/** The index of a vocabulary; it is worth keeping, for it is the same for every outline. */
export function nameIndex({ positions, techniques, alsoCalled }: Vocabulary): NameIndex {
  const entries: Entry[] = [
    ...positions.map((entry): Entry => ({ kind: 'hold', entry })),
    ...techniques.map((entry): Entry => ({ kind: 'breath', entry })),
  ];
  const byFirstWord = new Map<string, Named[]>();
  const add = (entry: Entry, name: string, own: boolean): void => {
    const words = wordsOf(name);
    const [first] = words;
    if (first === undefined) return;
    byFirstWord.set(first, [...(byFirstWord.get(first) ?? []), { name, words, entry, own }]);
  };
  for (const entry of entries) {
    for (const name of ownNames(entry)) add(entry, name, true);
    for (const name of alsoCalled(entry.entry.id)) add(entry, name, false);
  }
  return {
    byFirstWord,
    entries: entries.map((entry) => ({
      entry,
      names: [...ownNames(entry), entry.entry.short, ...alsoCalled(entry.entry.id)],
    })),
    likely: new Map(),
  };
}

/** A name found in a line: which entries it may mean, the likeliest first. */
export interface FoundName {
  from: number;
  to: number;
  entries: Entry[];
  /** The whole name is there, and it is one entry’s alone. */
  sure: boolean;
}

interface Word {
  text: string;
  from: number;
  to: number;
}

const WORD = /[\p{L}\p{M}\d]+(?:'[\p{L}\p{M}]+)*/gu;
const wordsIn = (text: string): Word[] =>
  [...text.matchAll(WORD)].map(({ 0: word, index }) => ({ text: word, from: index, to: index + word.length }));

/** The words of a line as names have them, each with its place; those that say nothing are left out. */
const tellingWords = (text: string): Word[] =>
  wordsIn(text).flatMap((word) => {
    if (isEmptyWord(word.text)) return [];
    const [compared] = wordsOf(word.text);
    return compared === undefined ? [] : [{ ...word, text: compared }];
  });

/** How many words of a name in a row stand at a place of a line; 0 if the name is not there whole. */
function lengthAt(words: readonly Word[], at: number, name: readonly string[]): number {
  return name.every((word, i) => words[at + i]?.text === word) ? name.length : 0;
}

const isEnglish = ({ name, entry }: Named): boolean => name === entry.entry.names.english;
/** Whether names of other entries begin with the words of a name, so that they may be meant as well. */
const isBeginningOfOthers = ({ words, entry }: Named, { byFirstWord }: NameIndex): boolean =>
  (byFirstWord.get(words[0] ?? '') ?? []).some(
    (other) =>
      other.own &&
      other.entry.entry.id !== entry.entry.id &&
      other.words.length > words.length &&
      words.every((word, i) => other.words[i] === word),
  );

/** Whether a name stands in a line letter by letter, with the words in it that say nothing. */
function isTypedWhole(text: string, from: number, to: number, name: string): boolean {
  const typed = withEmptyWords(text, { from, to, entries: [], sure: true });
  return searchable(text.slice(typed.from, typed.to)) === searchable(name);
}

/**
 * The whole names at a word of a line, the longest; several entries may have it. A taken stretch or a mark of
 * punctuation between two words ends a name, but a comma does not: names have commas.
 */
function wholeNameAt(text: string, words: readonly Word[], at: number, index: NameIndex): FoundName | undefined {
  const first = words[at];
  if (!first) return undefined;
  let longest = 0;
  let found: Named[] = [];
  for (const named of index.byFirstWord.get(first.text) ?? []) {
    const length = lengthAt(words, at, named.words);
    const last = words[at + length - 1];
    if (length === 0 || !last || /[\uE000:;()]/.test(text.slice(first.from, last.to))) continue;
    if (length > longest) [longest, found] = [length, []];
    if (length === longest) found.push(named);
  }
  const last = words[at + longest - 1];
  if (found.length === 0 || !last) return undefined;
  const byOwn = [...found].sort((a, b) => Number(b.own) - Number(a.own));
  const exact = byOwn.filter((named) => named.own && isTypedWhole(text, first.from, last.to, named.name));
  const meant = exact.length > 0 ? exact : byOwn;
  const entries = [...new Map(meant.map(({ entry }) => [`${entry.kind} ${entry.entry.id}`, entry])).values()];
  const [likeliest] = meant;
  const sure =
    entries.length === 1 &&
    likeliest?.own === true &&
    (meant.some(isEnglish) || !isBeginningOfOthers(likeliest, index));
  return { from: first.from, to: last.to, entries, sure };
}

/** Words that belong to a name they stand beside, although they say nothing: `Folded hip pose`. */
const BEFORE = /(?:(?<![\p{L}\d])(?:the|an?|supported)\s+)+$/u;
const AFTER = /^\s+(?:pose|posture|asana|position|supported|variation)(?![\p{L}\d])/u;
function withEmptyWords(text: string, found: FoundName): FoundName {
  const before = BEFORE.exec(text.slice(0, found.from));
  const after = AFTER.exec(text.slice(found.to));
  return { ...found, from: before?.index ?? found.from, to: found.to + (after?.[0].length ?? 0) };
}

/** The name of an entry that stands whole in a line, from one of its first words on. Nothing is taken. */
export function wholeName(line: OpenLine, index: NameIndex, within = 3): FoundName | undefined {
  const words = tellingWords(line.text);
  for (let at = 0; at < Math.min(words.length, within); at++) {
    const found = wholeNameAt(line.text, words, at, index);
    if (found) return withEmptyWords(line.text, found);
  }
  return undefined;
}

/** At least so alike, from 0 to 1, is what may have been meant where nothing matches. */
const ALIKE = 0.6;
const MAX_OPTIONS = 6;

/** The entries that a few words may mean, the likeliest first; none if nothing is near. */
export function likelyEntries(typed: string, index: NameIndex): { entries: Entry[]; score: number } {
  const known = index.likely.get(typed);
  if (known) return known;
  const found = findLikely(typed, index);
  if (index.likely.size >= MAX_KNOWN) index.likely.clear();
  index.likely.set(typed, found);
  return found;
}
const MAX_KNOWN = 2000;

function findLikely(typed: string, index: NameIndex): { entries: Entry[]; score: number } {
  const scored = index.entries
    .map(({ entry, names }) => ({ entry, score: matchScore(typed, names), alike: nameLikeness(typed, names) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || b.alike - a.alike);
  const best = scored[0]?.score ?? 0;
  if (best > 0) return { entries: scored.slice(0, MAX_OPTIONS).map(({ entry }) => entry), score: best };
  const near = index.entries
    .map(({ entry, names }) => ({ entry, alike: nameLikeness(typed, names) }))
    .filter(({ alike }) => alike >= ALIKE)
    .sort((a, b) => b.alike - a.alike);
  return { entries: near.slice(0, 3).map(({ entry }) => entry), score: 0 };
}

/** The entries besides some whose names have one of the words of a name: what else it may have meant. */
export function alternativesTo(typed: string, chosen: readonly Entry[], index: NameIndex): Entry[] {
  const { entries } = likelyEntries(typed, index);
  const others = entries.filter(({ entry }) => !chosen.some((one) => one.entry.id === entry.id));
  return [...chosen, ...others].slice(0, MAX_OPTIONS);
}
