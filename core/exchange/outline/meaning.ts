import { comparedWords } from '#core/catalogue';
import type { PlainStep } from '#core/plan';
import type { OpenLine } from './line';
import { alternativesTo, likelyEntries, wholeName, type Entry } from './names';
import { plainKindOf } from './plain-steps';
import type { Questions, Reading } from './reading';
import type { Choice } from './types';

/** Words that say nothing where they are left over. */
const FILLERS =
  /(?<![\p{L}\d])(?:and|then|with|for|hold|holds?ing|stay|in|into|on|onto|the|an?|of|pose|about|approx|min|x|to|your|do|repeat|same|next|finally|now|first|also|from|plus|our|my|some|using|use|nice|lovely|long|gentle|held|go|we|is|at)(?![\p{L}\d])/gu;
export const isTelling = (typed: string): boolean => /[\p{L}\d]/u.test(typed.toLowerCase().replace(FILLERS, ''));

/** What a line means: an entry, a thin step, a custom hold, or nothing but words. */
export interface Meant {
  entry: Entry | undefined;
  /** The kind of a thin step, or a custom hold. */
  plain: PlainStep['kind'] | 'custom' | undefined;
  /** As it was typed. */
  typed: string;
  isNote: boolean;
}

const choiceOf = ({ kind, entry }: Entry): Choice => ({ value: `${kind} ${entry.id}`, label: entry.names.english });
const PLAIN_CHOICES: readonly Choice[] = [
  { value: 'talk', label: 'talk' },
  { value: 'rest', label: 'rest' },
  { value: 'move', label: 'release' },
];
const NOTE: Choice = { value: 'note', label: 'a note' };
const customChoice = (typed: string): Choice => ({ value: 'custom', label: `“${typed}” as a custom hold` });

export const firstUpper = (typed: string): string => typed.charAt(0).toUpperCase() + typed.slice(1);
const MAX_NAME = 120;
export const clean = (typed: string): string =>
  typed
    .replace(/\s+/g, ' ')
    .replace(/^[\s"“”:;,.–—-]+|[\s"“:;,.–—-]+$/gu, '')
    .slice(0, MAX_NAME);

/** What was chosen of a name’s question. */
function meantBy(value: string, entries: readonly Entry[], typed: string): Meant {
  const entry = entries.find((one) => choiceOf(one).value === value);
  const plain = value === 'talk' || value === 'rest' || value === 'move' || value === 'custom' ? value : undefined;
  return { entry, plain, typed, isNote: value === 'note' };
}

/** Where the words that may be a name end: at what was understood, a comma, a bracket, or a dash between blanks. */
const NAME_END = /[\uE000,;:(|–—]|\s-\s|\s(?=\d)|$/u;

/** The name that is in quotation marks at the beginning. */
export function takeQuotedName(line: OpenLine): string | undefined {
  const match = /^[\uE000\s]*["“]([^"”]+)["”]/u.exec(line.text);
  if (!match) return undefined;
  line.take(match.index, match[0].length);
  return /["“]([^"”]+)["”]/u.exec(line.typed)?.[1];
}

/** `Reclined twist called “The long one”`: the name a step has besides that of its entry. */
export function takeCalled(line: OpenLine): string | undefined {
  const match = line.takeMatch(/\bcalled\s+(?:“[^”]+”|"[^"]+")/u);
  return match && line.typed.slice(match.index, match.index + match[0].length).replace(/^called\s+["“]|["”]$/giu, '');
}

/** The first words that are open, as they may be a name; undefined if there are none. */
export function openWords(line: OpenLine): { from: number; to: number; typed: string } | undefined {
  for (const { from, to } of line.leftover()) {
    const end = NAME_END.exec(line.text.slice(from, to))?.index ?? to - from;
    const typed = clean(line.typed.slice(from, from + end));
    if (isTelling(typed)) return { from, to: from + end, typed };
  }
  return undefined;
}

/** Which entry or kind of step a line means; questions are put where that is not sure. */
export function takeName(
  line: OpenLine,
  hasLength: boolean,
  isListed: boolean,
  reading: Reading,
  questions: Questions,
): Meant {
  const { index } = reading;
  const found = wholeName(line, index, 12);
  const before = found ? line.typed.slice(0, found.from) : '';
  const atStart = found !== undefined && !isTelling(openBefore(line, found.from));
  if (found && atStart) {
    const typed = line.typed.slice(found.from, found.to);
    line.take(found.from, found.to, found.sure);
    const [first] = found.entries;
    if (found.sure && first) return { entry: first, plain: undefined, typed, isNote: false };
    const entries = alternativesTo(typed, found.entries, index);
    return meantBy(
      questions.choose('Which is meant?', [...entries.map(choiceOf), customChoice(typed)]),
      entries,
      typed,
    );
  }
  const words = openWords(line);
  if (!words) return { entry: undefined, plain: undefined, typed: before, isNote: true };
  const { typed } = words;
  const plain = plainKindOf(typed);
  const likely = withFound(likelyEntries(typed, index), found?.entries ?? []);
  if (plain && !found) {
    const end = Math.max(words.to, restOfTalk(line, words.to));
    const name = clean(line.typed.slice(words.from, end));
    line.take(words.from, end);
    return { entry: undefined, plain, typed: name, isNote: false };
  }
  const hasName = likely.entries.length > 0 && (likely.score >= 1 || hasLength || isListed);
  if (!hasLength && !(hasName && (isListed || likely.score >= 3) && typed.split(' ').length <= 6))
    return { entry: undefined, plain: undefined, typed, isNote: true };
  const to = found ? Math.max(found.to, words.to) : words.to;
  line.take(words.from, to, false);
  const shown = clean(line.typed.slice(words.from, to));
  const choices = [
    ...(plain ? PLAIN_CHOICES.filter(({ value }) => value === plain) : []),
    ...likely.entries.map(choiceOf),
    customChoice(shown),
    ...PLAIN_CHOICES.filter(({ value }) => value !== plain),
    NOTE,
  ];
  return meantBy(questions.choose('Which is meant?', choices), likely.entries, shown);
}

/** What words may mean, with the entries whose names stand whole somewhere in the line. */
const withFound = (likely: { entries: Entry[]; score: number }, found: readonly Entry[]): typeof likely => ({
  entries: [...new Map([...likely.entries, ...found].map((one) => [one.entry.id, one])).values()],
  score: found.length > 0 ? Math.max(1, likely.score) : likely.score,
});

const openBefore = (line: OpenLine, to: number): string =>
  // A stretch that was taken already is no word before a name.
  line.text.slice(0, to).replace(/\uE000+/g, ' ');

/** A talk may go on after a comma: `arrive, how was the week`. */
const restOfTalk = (line: OpenLine, from: number): number => {
  const open = /^[^\uE000(]*/u.exec(line.text.slice(from))?.[0] ?? '';
  return from + open.replace(/[\s,;:–—-]+$/u, '').length;
};

/** `“pigeon” is known here as Sleeping swan`; nothing where it was called by its own name. */
export function knownAs({ entry, typed }: Meant): string[] {
  if (!entry) return [];
  const { english } = entry.entry.names;
  return comparedWords(english).join(' ') === comparedWords(typed).join(' ')
    ? []
    : [`“${typed}” is known here as ${english}`];
}
