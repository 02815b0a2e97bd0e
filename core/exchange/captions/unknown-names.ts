import type { CaptionLanguage } from './language';
import type { Mark } from './marks';
import type { SpokenEntry } from './entries';
import { plainWord, type SpokenWord } from './words';

/** A position that was named, and that no entry is called. */
export interface UnknownName {
  /** Nobody else has it: `spoken:cannonball`. */
  id: string;
  /** As it is shown: `Cannonball`. */
  name: string;
  /** Its other side was led as well. */
  isSided: boolean;
}

/** The id of a position that is only known from what was said. */
export const spokenId = (name: string): string => `spoken:${name.trim().toLowerCase()}`;

/** What has to be known of such a position to find it in a class. */
export const entryOfName = ({ id, name, isSided }: UnknownName): SpokenEntry => ({
  id,
  kind: 'hold',
  names: [name],
  descriptions: [],
  isSided,
  leftMeans: '',
  family: '',
  holdsBreath: { full: false, empty: false },
});

const MIN_WEIGHT = 0.4;
const MAX_NAME_WORDS = 3;
/** A word as short as this is no name by itself. */
const MIN_NAME_LETTERS = 4;
/** Nothing but its name tells of it, so that this has to tell more. */
const WEIGHT = 1.4;
/** The other side comes within so many words after a name. */
const MAX_WORDS_TO_SIDE = 1500;

/**
 * Names that were said before a word like `pose` and that no entry is called, and where: as marks that may be added to
 * the others.
 */
export function unknownNames(
  words: readonly SpokenWord[],
  marks: readonly Mark[],
  language: CaptionLanguage,
): { names: UnknownName[]; marks: Mark[] } {
  const afterName = new Set(language.afterName);
  const noName = new Set([
    ...[...language.small, ...language.empty, ...language.noName, ...language.afterName],
    ...Object.keys(language.numbers),
    ...language.phrases.flatMap(({ phrases }) => phrases.flatMap((phrase) => phrase.split(/[^a-z]+/))),
  ]);
  const known = marks.filter((mark) => mark.kind === 'name');
  const found: { name: string; from: number; to: number }[] = [];
  for (const [at, { word }] of words.entries()) {
    if (!afterName.has(word)) continue;
    let from = at;
    while (at - from < MAX_NAME_WORDS) {
      const before = words[from - 1];
      if (!before || before.ends || noName.has(plainWord(before.word)) || !/^\p{L}/u.test(before.word)) break;
      from--;
    }
    const name = words
      .slice(from, at)
      .map((one) => one.word.replace(/s$/, ''))
      .join(' ');
    const isKnown = known.some((mark) => mark.from <= at && mark.to >= from);
    if (name.length >= MIN_NAME_LETTERS && !isKnown) found.push({ name, from, to: at });
  }

  const names = new Map<string, UnknownName>();
  for (const { name, to } of found) {
    const id = spokenId(name);
    const nextName = known.find((mark) => mark.from > to && mark.weight > MIN_WEIGHT)?.from ?? Infinity;
    const lastWord = Math.min(nextName, to + MAX_WORDS_TO_SIDE);
    const isSided = marks.some(
      (mark) => mark.kind === 'phrase' && mark.tells === 'otherSide' && mark.from > to && mark.from < lastWord,
    );
    const shown = name.charAt(0).toUpperCase() + name.slice(1);
    names.set(id, { id, name: shown, isSided: isSided || (names.get(id)?.isSided ?? false) });
  }
  return {
    names: [...names.values()],
    marks: found.map(({ name, from, to }) => ({
      kind: 'name',
      from,
      to,
      atMs: words[from]?.startMs ?? 0,
      weight: WEIGHT,
      entries: [{ id: spokenId(name), kind: 'hold', share: 1 }],
    })),
  };
}
