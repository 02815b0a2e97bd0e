import {
  isBand,
  placeInWords,
  placesFor,
  type PropKind,
  type PropPlace,
  type PropSide,
  type SetUpRow,
} from '#core/props';
import type { OpenLine } from './line';
import { HOW_FORMS, NEAR_PLACES, PART_FORMS, PLACE_PHRASES } from './prop-words';

/** A piece of a prop as it was read, before it is known where it goes. */
export interface FoundPiece {
  kind: PropKind;
  state: string | undefined;
  count: number | undefined;
  size: SetUpRow['size'];
  from: number;
  to: number;
}

const ARTICLE = String.raw`(?:the\s+|your\s+|each\s+|both\s+|their\s+)?`;
const HOW = HOW_FORMS.map(([pattern]) => `(${pattern})`).join('|');
const PART = PART_FORMS.map(({ pattern }) => `(${pattern})`).join('|');
const SIDE_OF_PART = String.raw`(?:(left|right|l|r|front|back|top|bottom|bent|straight)\s+)?`;
const PLACE = new RegExp(
  String.raw`^[\s,(]*(?:(?:${HOW})\s*(?=\s))?\s*${ARTICLE}${SIDE_OF_PART}(?:${PART})(?![\p{L}\d])`,
  'u',
);
const PART_ON = new RegExp(
  String.raw`(?<![\p{L}\d])(?:${PART})\s+(?:up\s+|resting\s+)?(?:on|onto|over)\s+(?:top of\s+)?(?:to\s+)?(?:a\s+|an\s+|the\s+)?$`,
  'u',
);

/** Which of some groups of a match was found, from 0; −1 for none. */
export const firstGroup = (match: readonly (string | undefined)[], from: number, to: number): number => {
  for (let i = from; i < to; i++) if (match[i] !== undefined) return i - from;
  return -1;
};

/** Where a prop was found to lie. */
interface FoundPlace {
  place: PropPlace;
  side: PropSide | undefined;
  /** As it is written, or near it. */
  exact: boolean;
}

const PHRASE = (words: string): string => String.raw`^[\s,]*${words}(?![\p{L}\d])`;
const patterns = new Map<string, RegExp>();
/** The pattern of some words, made once: a line is read with every key. */
export function patternOf(form: (words: string) => string, words: string): RegExp {
  const source = form(words);
  const known = patterns.get(source) ?? new RegExp(source, 'u');
  patterns.set(source, known);
  return known;
}

/** Where a prop lies, in Zovrin’s own words or in others; what is understood is taken. */
export function takePlace(line: OpenLine, piece: FoundPiece, state: string): FoundPlace | undefined {
  const rest = line.text.slice(piece.to);
  const own = ownPhrases({ kind: piece.kind, state }).find(([words]) => patternOf(PHRASE, words).test(rest));
  if (own) {
    const [words, place] = own;
    const length = /^[\s,]*/.exec(rest)?.[0].length ?? 0;
    line.take(piece.to, piece.to + length + words.length);
    piece.to += length + words.length;
    return { place, side: undefined, exact: true };
  }
  const match = PLACE.exec(rest);
  if (match) {
    line.take(piece.to, piece.to + match[0].length);
    piece.to += match[0].length;
    return placeOf(match, 1, true);
  }
  const before = PART_ON.exec(line.text.slice(0, piece.from));
  if (!before) return undefined;
  line.take(before.index, piece.from);
  piece.from = before.index;
  const part = PART_FORMS[firstGroup(before, 1, 1 + PART_FORMS.length)];
  return part && { place: part.under, side: undefined, exact: !part.vague };
}

function placeOf(match: readonly (string | undefined)[], from: number, exact: boolean): FoundPlace | undefined {
  const how = HOW_FORMS[firstGroup(match, from, from + HOW_FORMS.length)]?.[1];
  const side = match[from + HOW_FORMS.length];
  const parts = from + HOW_FORMS.length + 1;
  const part = PART_FORMS[firstGroup(match, parts, parts + PART_FORMS.length)];
  if (!part) return undefined;
  return {
    place: (how && part.others?.[how]) ?? part.under,
    side:
      side === undefined ? undefined : /^l(eft)?$/.test(side) ? 'left' : /^r(ight)?$/.test(side) ? 'right' : undefined,
    exact: exact && how !== undefined && !part.vague,
  };
}

/** The words for each place of a piece, the longest first. */
function ownPhrases(piece: { kind: PropKind; state: string }): readonly (readonly [string, PropPlace])[] {
  if (!isBand(piece)) return PLACE_PHRASES;
  return placesFor(piece, 'feet')
    .map((place) => [placeInWords(piece, place), place] as const)
    .sort(([a], [b]) => b.length - a.length);
}

/** Whether two places are called by the same word, or are the same. */
export const isNear = (a: PropPlace, b: PropPlace): boolean =>
  a === b || NEAR_PLACES.some((group) => group.includes(a) && group.includes(b));
