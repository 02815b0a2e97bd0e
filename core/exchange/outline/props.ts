import { NUMBER_WORDS } from '#core/time';
import { editDistance, type Position } from '#core/catalogue';
import {
  customKindName,
  MAX_PIECES,
  propKind,
  propState,
  rowFor,
  usualPlace,
  type PropKind,
  type PropPlace,
  type PropSide,
  type SetUp,
  type SetUpRow,
} from '#core/props';
import type { OpenLine } from './line';
import { firstGroup, isNear, patternOf, takePlace, type FoundPiece } from './prop-place';
import { KIND_FORMS, LONG_KIND_NAMES, STATE_FORMS } from './prop-words';

/** A row of a set-up found in a line. */
export interface FoundRow {
  row: SetUpRow;
  from: number;
  to: number;
  /** Where else it may be meant to lie: its own place first; empty where that is sure. */
  places: PropPlace[];
  /** It is said how it lies, whether it moves, or whether it is needed. */
  isExplicit: boolean;
}

const COUNT_WORDS: Readonly<Record<string, number>> = { ...NUMBER_WORDS, 'a pair of': 2, 'pair of': 2, double: 2 };
const COUNT =
  /(?:(?<![\d.,:\p{L}])(\d{1,2})\s*x?|\b(a pair of|pair of|double|two|three|four|five|six|one|an?))\s*(?:thin |thick |small |big |large |firm |soft |yoga )*$/u;
const KIND = new RegExp(
  String.raw`(?<![\p{L}\d])(?:${KIND_FORMS.map(({ pattern }) => `(${pattern})`).join('|')})(?![\p{L}\d])`,
  'u',
);
const QUOTED =
  /["“]([^"“”]{1,40})["”](?:\s*["“]([^"“”]{1,40})["”])?\s*(\d+(?:\.\d+)?) x (\d+(?:\.\d+)?) x (\d+(?:\.\d+)?) cm( roll)?,? gives (\d+(?:\.\d+)?) cm/u;

/** A row of a position’s set-ups of a kind at a place, those of the first set-up first; a plain one where there is none. */
export function usualRow(position: Position | undefined, kind: PropKind, place: PropPlace, id: string): SetUpRow {
  const rows = position?.setUps.flatMap(({ items }) => items) ?? [];
  const usual = rows.find((row) => row.kind === kind && row.place === place);
  return usual ? { ...usual, id } : rowFor(kind, place, 'centre', id);
}

/** Where a position’s set-ups have a kind, each place once. */
const usualPlaces = (position: Position | undefined, kind: PropKind): PropPlace[] => [
  ...new Set(
    (position?.setUps ?? []).flatMap(({ items }) => items.filter((row) => row.kind === kind).map(({ place }) => place)),
  ),
];

function takeQuoted(line: OpenLine): FoundPiece | undefined {
  const match = QUOTED.exec(line.text);
  if (!match) return undefined;
  const [whole, , , width, depth, height, roll, give] = match;
  const { index } = match;
  const typed = /["“]([^"“”]+)["”](?:\s*["“]([^"“”]+)["”])?/u.exec(line.typed.slice(index));
  const size = {
    shape: roll ? ('roll' as const) : ('box' as const),
    widthCm: Number(width),
    depthCm: Number(depth),
    heightCm: Number(height),
    giveCm: Number(give),
  };
  const count = COUNT.exec(line.text.slice(0, index));
  const from = count?.index ?? index;
  line.take(from, index + whole.length);
  return {
    kind: customKindName(typed?.[1] ?? ''),
    state: typed?.[2] ?? '',
    count: count ? countOf(count) : undefined,
    size,
    from,
    to: index + whole.length,
  };
}

const countOf = ([, digits, word]: readonly (string | undefined)[]): number =>
  digits === undefined ? (COUNT_WORDS[word ?? ''] ?? 1) : Number(digits);

function takeKnown(line: OpenLine): FoundPiece | undefined {
  const match = KIND.exec(line.text) ?? nearKind(line.text);
  if (!match) return undefined;
  const { index } = match;
  const form = KIND_FORMS[firstGroup(match, 1, 1 + KIND_FORMS.length)];
  const kind = form?.kind ?? (match as { kind?: PropKind }).kind;
  if (kind === undefined) return undefined;
  const count = COUNT.exec(line.text.slice(0, index));
  const from = count?.index ?? index;
  const to = index + match[0].length;
  line.take(from, to, form !== undefined);
  const isPlural = /(?:s|ves)$/u.test(match[0]) && !propKind(kind).fixture;
  const amount = count ? countOf(count) : isPlural ? undefined : 1;
  return { kind, state: form?.state, count: amount, size: undefined, from, to };
}

/** The first word that is the name of a kind with a letter or two wrong. */
function nearKind(text: string): (RegExpExecArray & { kind: PropKind }) | undefined {
  for (const match of text.matchAll(/(?<![\p{L}\d])\p{L}{5,10}(?![\p{L}\d])/gu)) {
    const [word] = match;
    const near = LONG_KIND_NAMES.find(([name]) => name[0] === word[0] && editDistance(word, name) <= 2);
    if (near) return Object.assign(match, { kind: near[1] });
  }
  return undefined;
}

const STATE_AFTER = (words: string): string => String.raw`^[\s,(]*(?:${words})(?![\p{L}\d])\)?`;
const STATE_BEFORE = (words: string): string => String.raw`(?<![\p{L}\d])(?:${words})\s*$`;
/** Words for a fold or a face right after a prop, or right before it. */
function takeState(line: OpenLine, piece: FoundPiece): string | undefined {
  if (piece.size !== undefined || piece.kind.startsWith('own:')) return piece.state;
  const { states } = propKind(piece.kind);
  if (Object.keys(states).length < 2) return piece.state;
  const forms = [
    ...Object.entries(states).map(([state, { label }]) => [label, state] as const),
    ...(STATE_FORMS[piece.kind as keyof typeof STATE_FORMS] ?? []),
  ];
  for (const [pattern, state] of forms) {
    const after = patternOf(STATE_AFTER, pattern).exec(line.text.slice(piece.to));
    if (after) {
      line.take(piece.to, piece.to + after[0].length);
      piece.to += after[0].length;
      return state;
    }
    const before = patternOf(STATE_BEFORE, pattern).exec(line.text.slice(0, piece.from));
    if (before) {
      line.take(before.index, piece.from);
      piece.from = before.index;
      return state;
    }
  }
  return piece.state;
}

/** What Zovrin writes after a place: the side, how it lies, and whether it moves. */
function takeAttributes(line: OpenLine, piece: FoundPiece, row: SetUpRow): { row: SetUpRow; isExplicit: boolean } {
  const found = { ...row };
  let isExplicit = false;
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const match = pattern.exec(line.text.slice(piece.to));
    if (!match) return null;
    line.take(piece.to, piece.to + match[0].length);
    piece.to += match[0].length;
    return match;
  };
  for (let more = true; more;) {
    more = false;
    const side = take(/^,\s*(left|right|each side|in the middle)(?![\p{L}\d:]|\s*(?:first|\d|only))/u);
    if (side) {
      found.side = side[1] === 'each side' ? 'each' : side[1] === 'in the middle' ? 'centre' : (side[1] as PropSide);
      more = true;
    }
    const lie = take(/^,?\s*(lengthwise|lengthways|crosswise|crossways)(?![\p{L}])/u);
    if (lie) [found.lie, more, isExplicit] = [lie[1]?.startsWith('l') ? 'lengthwise' : 'crosswise', true, true];
    const moves = take(/^,?\s*(stays on its side|changes sides)(?![\p{L}])/u);
    if (moves) [found.mirror, more, isExplicit] = [moves[1] === 'changes sides', true, true];
    const optional = take(/^,?\s*\(?(optional|if needed|needed)\)?(?![\p{L}])/u);
    if (optional) [found.optional, more, isExplicit] = [optional[1] !== 'needed', true, true];
    const wall = take(
      /^,?\s*(?:about\s+)?(\d+(?:\.\d+)?)\s*(cm|in\b|inch(?:es)?|["”])\s*(?:away|from (?:the )?wall)?/u,
    );
    if (wall && found.kind === 'wall') [found.wallCm, more] = [centimetres(wall), true];
    if (take(/^,?\s*at any distance(?![\p{L}])/u)) {
      delete found.wallCm;
      more = true;
    }
  }
  return { row: found, isExplicit };
}

const INCH_CM = 2.54;
const centimetres = ([, amount = '', unit = '']: readonly string[]): number => {
  const cm = Number(amount) * (unit === 'cm' ? 1 : INCH_CM);
  return unit === 'cm' ? cm : Math.round(cm);
};

/** `strap, in a loop, 90 cm round`: the length round the loop, right after the fold. */
function takeLoop(line: OpenLine, piece: FoundPiece): number | undefined {
  const match = /^[\s,]*(\d+(?:\.\d+)?)\s*(cm|in\b|inch(?:es)?|["”])\s*round/u.exec(line.text.slice(piece.to));
  if (!match) return undefined;
  line.take(piece.to, piece.to + match[0].length);
  piece.to += match[0].length;
  return centimetres(match);
}

/** `crosswise` or `lengthwise` before the place, where Zovrin writes it. */
function takeLie(line: OpenLine, piece: FoundPiece): SetUpRow['lie'] | undefined {
  const match = /^[\s,]*(lengthwise|crosswise)(?![\p{L}])/u.exec(line.text.slice(piece.to));
  if (!match) return undefined;
  line.take(piece.to, piece.to + match[0].length);
  piece.to += match[0].length;
  return match[1] as SetUpRow['lie'];
}

/** `10 cm from the wall`, `4 in from the wall`. */
function takeWall(line: OpenLine, position: Position | undefined, id: string): FoundRow | undefined {
  const match = line.takeMatch(
    /(?<![\p{L}\d.,:])(\d+(?:[.,]\d+)?)\s*(cm|in\b|inch(?:es)?|["”])\s*(?:away\s+)?(?:from|off)\s+(?:the\s+)?wall\b/u,
  );
  if (!match) return undefined;
  const [place = 'legs'] = usualPlaces(position, 'wall');
  const row = { ...usualRow(position, 'wall', place, id), wallCm: centimetres(match) };
  return { row, from: match.index, to: match.index + match[0].length, places: [], isExplicit: false };
}

/** Whether a piece of a line begins with a prop and not with the name of a position. */
export const beginsWithProp = (text: string): boolean =>
  /^\s*(?:\d{1,2}\s*x?\s*)?[“"][^”"]+[”"].* gives /u.test(text) || BEGINS.test(text);
const BEGINS = new RegExp(
  String.raw`^[\s\uE000]*(?:(?:\d{1,2}\s*x?|a|an|one|two|three|four)\s+)?(?:${KIND_FORMS.map(({ pattern }) => pattern).join('|')})(?![\p{L}\d])`,
  'u',
);

/**
 * The props of a line, each with where it goes: what is not written is as the position usually has it. What is
 * understood is taken.
 * @param idOf the id of the row with this number, from 1
 */
export function takeProps(line: OpenLine, position: Position | undefined, idOf: (n: number) => string): FoundRow[] {
  const found: FoundRow[] = [];
  const wall = takeWall(line, position, idOf(1));
  if (wall) found.push(wall);
  for (let piece = takeQuoted(line) ?? takeKnown(line); piece; piece = takeQuoted(line) ?? takeKnown(line)) {
    const { kind } = piece;
    const state = takeState(line, piece);
    const loopCm = kind === 'strap' ? takeLoop(line, piece) : undefined;
    const lie = takeLie(line, piece);
    const where = takePlace(line, piece, state ?? Object.keys(propKind(kind).states)[0] ?? '');
    const known = usualPlaces(position, kind);
    const near = where ? known.filter((place) => isNear(place, where.place)) : known;
    const place =
      where && (where.exact || known.includes(where.place))
        ? where.place
        : (near[0] ?? where?.place ?? usualPlace(kind));
    const isSure = where !== undefined && place === where.place && (where.exact || near.length < 2);
    const usual = usualRow(position, kind, place, idOf(found.length + 1));
    const row: SetUpRow = {
      ...usual,
      count: Math.min(MAX_PIECES, Math.max(1, piece.count ?? Math.max(2, usual.count))),
      ...(state !== undefined && (propState(kind, state) || piece.size) ? { state } : {}),
      ...(where?.side && { side: where.side }),
      ...(lie && { lie }),
      ...(piece.size && { size: piece.size }),
    };
    if (loopCm !== undefined) [row.state, row.loopCm] = ['loop', loopCm];
    else if (row.state !== 'loop' || state !== undefined) delete row.loopCm;
    const from = piece.from;
    const complete = takeAttributes(line, piece, row);
    const places = isSure || known.length + (where ? 1 : 0) < 2 ? [] : [...new Set([place, ...near, ...known])];
    found.push({ ...complete, from, to: piece.to, places });
  }
  return found.sort((a, b) => a.from - b.from);
}

/** Rows as one of a position’s own set-ups, where they say the same as it does; else the rows. */
export function asLibraryRows(rows: SetUp, position: Position | undefined, inWords: (row: SetUpRow) => string): SetUp {
  const words = rows.map(inWords).join('; ');
  const same = position?.setUps.find(({ items }) => items.map(inWords).join('; ') === words);
  return same?.items ?? rows;
}
