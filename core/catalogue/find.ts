import { linesOfAreas, type EnergyLine } from './energy-lines';
import { propKind, type PropKind } from '#core/props';
import { APPROACH_LABELS, type Approach } from './approach';
import { sameTag } from '#core/document';
import { familyLabel } from './library';
import type { NamedSetUp, Position } from './position';
import { matchScore, searchable } from './search';
import { SITUATION_WORDS, type Situation } from './situations';
import { spineWays, type SpineWay } from './spine';
import { isFor, isOutdoors } from './where';

/** What positions can be filtered by; every group may have several chosen, which widen it. */
export interface Chosen {
  approach: readonly Approach[];
  family: readonly Position['family'][];
  area: readonly Position['areas'][number][];
  line: readonly EnergyLine[];
  /** Own tags, as they are written. */
  tag: readonly string[];
  /** In a plan that was changed lately. */
  used: readonly 'lately'[];
  situation: readonly Situation[];
  spine: readonly SpineWay[];
  sides: readonly ('together' | 'sides')[];
  /** A set-up that needs no other kinds of prop than these; empty: any. `none`: one without props. */
  props: readonly (PropKind | 'none')[];
  wall: readonly ('with' | 'without')[];
  /** On or at what it can be done. */
  where: readonly ('bed' | 'chair' | 'outdoors')[];
  length: readonly ('short' | 'middle' | 'long')[];
  leaveOut: readonly Position['traits'][number][];
}

export const NOTHING_CHOSEN: Chosen = {
  approach: [],
  family: [],
  area: [],
  line: [],
  tag: [],
  used: [],
  situation: [],
  spine: [],
  sides: [],
  props: [],
  wall: [],
  where: [],
  length: [],
  leaveOut: [],
};

/** Minutes a position is usually held: up to two, up to four, longer. */
const SHORT_SECONDS = 120;
const MIDDLE_SECONDS = 240;

function lengthOf({ defaults }: Position): Chosen['length'][number] {
  const seconds = Math.max(...Object.values(defaults).map((usual) => usual.seconds));
  return seconds <= SHORT_SECONDS ? 'short' : seconds <= MIDDLE_SECONDS ? 'middle' : 'long';
}

/** The kinds a set-up cannot do without. */
const needed = (items: Position['setUps'][number]['items']): PropKind[] =>
  items.filter(({ optional, kind }) => !optional && kind !== 'wall').map(({ kind }) => kind);

/** What a house knows of entries besides what they say, each by its id. */
export interface EntryWords {
  /** What else an entry is called. */
  alsoCalled: (id: string) => readonly string[];
  /** Its own tags. */
  tagsOf: (id: string) => readonly string[];
  /** The situations it serves. */
  situationsOf: (id: string) => readonly Situation[];
  /** Whether it is in a plan that was changed lately; where nobody asked, nothing is. */
  usedLately?: (id: string) => boolean;
  /** Whether an entry is found by its energy lines too. */
  byLines: boolean;
}
export const NO_WORDS: EntryWords = {
  alsoCalled: () => [],
  tagsOf: () => [],
  situationsOf: () => [],
  byLines: false,
};

/** Whether a set-up is one for a place: in bed, sitting on a chair, or outdoors. */
const DONE_AT: Readonly<Record<Chosen['where'][number], (setUp: NamedSetUp) => boolean>> = {
  bed: isFor('bed'),
  chair: (setUp) =>
    isFor('chair')(setUp) || setUp.items.some(({ kind, place }) => kind === 'chair' && place === 'seat'),
  outdoors: isOutdoors,
};

const fits: {
  [group in keyof Chosen]: (entry: Position, wanted: Chosen[group], words: EntryWords) => boolean;
} = {
  approach: (entry, wanted) => wanted.some((approach) => entry.defaults[approach]),
  family: (entry, wanted) => wanted.includes(entry.family),
  area: (entry, wanted) => wanted.some((area) => entry.areas.includes(area)),
  line: (entry, wanted) => linesOfAreas(entry.areas).some((line) => wanted.includes(line)),
  tag: (entry, wanted, { tagsOf }) => tagsOf(entry.id).some((tag) => wanted.some((one) => sameTag(one, tag))),
  used: (entry, _, { usedLately }) => usedLately?.(entry.id) ?? false,
  situation: (entry, wanted, { situationsOf }) => situationsOf(entry.id).some((one) => wanted.includes(one)),
  spine: (entry, wanted) => spineWays(entry).some((way) => wanted.includes(way)),
  sides: (entry, wanted) => wanted.includes(entry.sides === 'together' ? 'together' : 'sides'),
  props: (entry, wanted) =>
    entry.setUps.some(({ items }) => {
      const kinds = needed(items);
      return kinds.length === 0 ? wanted.includes('none') : kinds.every((kind) => wanted.includes(kind));
    }),
  wall: (entry, wanted) =>
    entry.setUps.some(({ items }) => wanted.includes(items.some(({ kind }) => kind === 'wall') ? 'with' : 'without')),
  where: (entry, wanted) => entry.setUps.some((setUp) => wanted.some((where) => DONE_AT[where](setUp))),
  length: (entry, wanted) => wanted.includes(lengthOf(entry)),
  leaveOut: (entry, wanted) => !wanted.some((trait) => entry.traits.includes(trait)),
};
const GROUPS = Object.keys(fits) as (keyof Chosen)[];

function passes(entry: Position, chosen: Chosen, words: EntryWords, without?: keyof Chosen): boolean {
  return GROUPS.every((group) => {
    if (group === without || chosen[group].length === 0) return true;
    return (fits[group] as (entry: Position, wanted: readonly string[], words: EntryWords) => boolean)(
      entry,
      chosen[group],
      words,
    );
  });
}

/** The searchable texts of an entry, the names first. */
const wordsOf = (entry: Position): string[] => [
  ...Object.values(entry.names),
  entry.short,
  ...entry.areas,
  familyLabel(entry.family),
  ...Object.keys(entry.defaults).map((approach) => APPROACH_LABELS[approach as Approach]),
  ...entry.setUps.flatMap(({ name, items }) => [
    name,
    ...items.flatMap(({ kind, count }) => [
      propKind(kind).label,
      ...(count > 1 ? [`${count} ${propKind(kind).plural}`] : []),
    ]),
  ]),
];
const NAMES = 4;

function scoreOf(entry: Position, query: string, { alsoCalled, tagsOf, situationsOf, byLines }: EntryWords): number {
  const words = [
    ...wordsOf(entry),
    ...tagsOf(entry.id),
    ...situationsOf(entry.id).map((situation) => SITUATION_WORDS[situation]),
    ...(byLines ? linesOfAreas(entry.areas) : []),
  ];
  const byName = matchScore(query, [...words.slice(0, NAMES), ...alsoCalled(entry.id)]);
  if (byName > 0) return byName + 10;
  if (matchScore(query, words.slice(NAMES)) > 0) return 5;
  // Each word may match a different part: "hips bolster".
  const all = ` ${searchable(words.join(' '))}`;
  return searchable(query)
    .split(' ')
    .every((word) => all.includes(` ${word}`))
    ? 1
    : 0;
}

/** The entries that match a query and the filters; the best first, or in library order without a query. */
export function findPositions(
  entries: readonly Position[],
  query: string,
  chosen: Chosen,
  words: EntryWords = NO_WORDS,
): Position[] {
  const left = entries.filter((entry) => passes(entry, chosen, words));
  if (searchable(query) === '') return left;
  return left
    .map((entry) => ({ entry, score: scoreOf(entry, query, words) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.entry.names.english.length - b.entry.names.english.length)
    .map(({ entry }) => entry);
}

/** How many entries each option of a group would leave, given the filters of the other groups. */
export function countOptions(
  entries: readonly Position[],
  query: string,
  chosen: Chosen,
  group: keyof Chosen,
  options: readonly string[],
  words: EntryWords = NO_WORDS,
): Map<string, number> {
  const hasQuery = searchable(query) !== '';
  const others = entries.filter(
    (entry) => passes(entry, chosen, words, group) && (!hasQuery || scoreOf(entry, query, words) > 0),
  );
  return new Map(
    options.map((option) => [
      option,
      others.filter((entry) => passes(entry, { ...NOTHING_CHOSEN, [group]: [option] }, words)).length,
    ]),
  );
}
