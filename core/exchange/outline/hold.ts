import type { Position, Technique } from '#core/catalogue';
import type { Seconds } from '#core/numbers';
import {
  holdBreathFrom,
  holdFrom,
  holdNamed,
  PLAN_LIMITS,
  sideSeconds,
  type HoldSides,
  type HoldStep,
} from '#core/plan';
import { placeInWords, propKind, type SetUp } from '#core/props';
import { clockOfSeconds } from '#core/time';
import { takeBareLength, type FoundLength } from './lengths';
import type { OpenLine } from './line';
import type { Marks } from './marks';
import { firstUpper, type Meant } from './meaning';
import { wholeName } from './names';
import { asLibraryRows, beginsWithProp, takeProps, type FoundRow } from './props';
import { rowInOutline } from './row';
import type { Questions, Reading } from './reading';
import { takeSides, type FoundSides } from './sides';

export const limited = (seconds: Seconds, max: Seconds): Seconds | undefined =>
  seconds > 0 && seconds <= max ? seconds : undefined;

/** The sides of a hold as a line says, with a question where it does not. */
function sidesOf(
  step: HoldStep,
  position: Position | undefined,
  found: FoundSides,
  seconds: Seconds,
  questions: Questions,
): HoldSides {
  const usual = position?.sides ?? 'together';
  const twoSided = usual === 'each' || usual === 'crossing';
  const first = found.firstByOrder
    ? questions.choose('Which side first?', [
        { value: 'right', label: 'right first' },
        { value: 'house', label: 'as usual' },
      ])
    : (found.first ?? 'house');
  const kind = found.crossing === undefined ? (twoSided ? usual : 'each') : found.crossing ? 'crossing' : 'each';
  const each = (one: Seconds): HoldSides => ({ kind, first, length: { kind: 'even', seconds: one } });
  if (found.left !== undefined && found.right !== undefined)
    return { kind, first, length: { kind: 'perSide', left: found.left, right: found.right } };
  if (found.kind === 'one') return { kind: 'one', side: found.side ?? 'left', seconds };
  if (found.total && twoSided) return each(Math.round(seconds * 500) / 1000);
  if (found.kind === 'each' || found.first !== undefined || found.crossing !== undefined) {
    if (twoSided || position === undefined) return each(seconds);
    const chosen = questions.choose('This is usually held on both sides at once.', [
      { value: 'each', label: 'each side' },
      { value: 'together', label: 'both sides at once' },
    ]);
    return chosen === 'each' ? each(seconds) : { kind: 'together', seconds };
  }
  if (found.kind === 'together') return { kind: 'together', seconds };
  if (!twoSided)
    return usual === 'one' && step.sides.kind === 'one' ? { ...step.sides, seconds } : { kind: 'together', seconds };
  if (found.twice) return each(seconds);
  const chosen = questions.choose('For how long?', [
    { value: 'each', label: `${clockOfSeconds(seconds)} each side` },
    { value: 'half', label: `${clockOfSeconds(seconds)} for both sides` },
    { value: 'together', label: 'both sides at once' },
  ]);
  return chosen === 'each'
    ? each(seconds)
    : chosen === 'half'
      ? each(Math.round(seconds * 500) / 1000)
      : { kind: 'together', seconds };
}

/** The length a rest after a hold is given in the hold’s own line: `then 1 min rest`. */
function takeRestAfter(line: OpenLine, lengths: FoundLength[]): { seconds: Seconds; each: boolean } | undefined {
  for (const [i, length] of lengths.entries()) {
    if (length.kind !== 'length') continue;
    const before =
      /(?:[,;+&(–—-]|\bthen|\band|\bwith)?\s*(?:a\s+)?\b(?:rest|rebound|pause)(?:\s+on the back|\s+for)?\s*$/u.exec(
        line.text.slice(0, length.from),
      );
    const after =
      /^\s*(?:of\s+)?(?:still\s+)?(?:rest|rebound|pause)\b(?:\s+(?:after|between)(?:\s+(?:each|both|the))?(?:\s+sides?)?)?/u.exec(
        line.text.slice(length.to),
      );
    if (!before && !after) continue;
    if (lengths.length === 1 && i === 0 && !after) continue;
    const words = `${before?.[0] ?? ''} ${after?.[0] ?? ''}`;
    if (before) line.take(before.index, length.from);
    if (after) line.take(length.to, length.to + after[0].length);
    const between = line.takeMatch(/\b(?:after|between)(?:\s+(?:each|the|both))?\s+sides?\b/u);
    lengths.splice(i, 1);
    return { seconds: length.seconds, each: /each|between/.test(words + (between?.[0] ?? '')) };
  }
  return undefined;
}

/** The rows of a line as a set-up, with a question where a prop may lie in several places. */
function setUpOf(rows: readonly FoundRow[], position: Position | undefined, questions: Questions): SetUp {
  const chosen = rows.map(({ row, places }) => {
    if (places.length === 0) return row;
    const { label } = propKind(row.kind);
    const place = questions.choose(
      `Where does the ${label} go?`,
      places.map((value) => ({ value, label: placeInWords(row, value) })),
    );
    return { ...row, place };
  });
  // The line wins, even where the library’s set-up differs.
  if (rows.some(({ isExplicit }) => isExplicit)) return chosen;
  return asLibraryRows(chosen, position, (row) => rowInOutline(row));
}

export const NO_PROPS = /\b(?:no|without(?: any)?)\s+props\b/u;

/** The seconds a breath takes where lengths are counted in breaths and nobody says. */
const USUAL_BREATH: Seconds = 6;

/** How long a line says that a side is held, and what else it says with it. */
interface HoldLength {
  seconds: Seconds | undefined;
  range: HoldStep['range'] | undefined;
  breathSeconds: Seconds | null;
  remaining: boolean;
}

function lengthOfHold(line: OpenLine, lengths: readonly FoundLength[], dash: number, questions: Questions): HoldLength {
  const remaining = lengths.some(({ kind }) => kind === 'remaining');
  const timed = lengths.filter(({ kind }) => kind !== 'remaining');
  const length = timed.find(({ from }) => dash < 0 || from < dash) ?? timed[0];
  if (length?.kind === 'breaths')
    return { seconds: length.seconds * USUAL_BREATH, range: undefined, breathSeconds: USUAL_BREATH, remaining };
  const bare = length || remaining ? undefined : takeBareLength(line);
  const found = length ?? bare;
  const asMinutes =
    bare?.asMinutes !== undefined &&
    questions.choose('Seconds or minutes?', [
      { value: 'seconds', label: clockOfSeconds(bare.seconds) },
      { value: 'minutes', label: clockOfSeconds(bare.asMinutes) },
    ]) === 'minutes';
  return {
    seconds: asMinutes ? bare.asMinutes : found?.seconds,
    range: found?.range && limited(found.range.max, PLAN_LIMITS.maxHold) ? found.range : undefined,
    breathSeconds: null,
    remaining,
  };
}

/** The range of a hold: as it was typed, or the usual one with room for the length. */
function rangeOf(
  { range, rangeIsUsual }: HoldStep,
  typed: HoldStep['range'] | undefined,
  seconds: Seconds | undefined,
) {
  if (typed) return { range: typed, rangeIsUsual: false };
  if (!range || !rangeIsUsual || seconds === undefined) return { range, rangeIsUsual };
  return { range: { min: Math.min(range.min, seconds), max: Math.max(range.max, seconds) }, rangeIsUsual };
}

/** Whether a line says anything of the sides. */
const saysSides = ({ kind, first, crossing, left }: FoundSides): boolean =>
  kind !== undefined || first !== undefined || crossing !== undefined || left !== undefined;

/** Reads the rest of a line as a hold of what it means: its lengths and sides, its props, and the rest after it. */
export function readHold(
  line: OpenLine,
  meant: Meant,
  marks: Marks,
  lengths: FoundLength[],
  reading: Reading,
  questions: Questions,
): HoldStep {
  const position = meant.entry?.kind === 'hold' ? meant.entry.entry : undefined;
  const id = reading.newId();
  const usual = position
    ? holdFrom(position, reading.approach, id, marks.common.where ?? reading.where)
    : holdNamed(firstUpper(meant.typed), id);
  const rest = takeRestAfter(line, lengths);
  const noProps = line.takeMatch(NO_PROPS);
  const idOf = (n: number): string => `row-${n}`;
  // After a length and a dash, words such as “each side” belong to the props.
  const dash = line.text.indexOf(' – ');
  const propsLast = lengths.some(({ to }) => to <= dash) && beginsWithProp(line.text.slice(dash + 3));
  const written = propsLast ? takeProps(line, position, idOf) : undefined;
  const foundSides = takeSides(line, lengths);
  const inside = breathInside(line, reading);
  const rows = written ?? takeProps(line, position, idOf);
  const { seconds: typed, range, breathSeconds, remaining } = lengthOfHold(line, lengths, dash, questions);
  const seconds = typed === undefined ? undefined : limited(typed, PLAN_LIMITS.maxHold);
  const { left, right } = sideSeconds(usual.sides);
  const sides =
    seconds === undefined && !saysSides(foundSides)
      ? usual.sides
      : sidesOf(usual, position, foundSides, seconds ?? Math.max(left, right), questions);
  return {
    ...usual,
    ...marks.common,
    sides,
    ...rangeOf(usual, range, seconds),
    breathSeconds: breathSeconds ?? usual.breathSeconds,
    takesRemaining: remaining,
    setUp: rows.length > 0 ? setUpOf(rows, position, questions) : noProps ? [] : usual.setUp,
    rebound: rest
      ? {
          kind: rest.each && 'length' in sides ? 'afterEach' : 'afterBoth',
          seconds: Math.min(rest.seconds, PLAN_LIMITS.maxChange),
        }
      : usual.rebound,
    breath: inside ? holdBreathFrom(inside) : null,
  };
}

/** `with throat breath`: a technique that is practised inside a hold. */
function breathInside(line: OpenLine, { index }: Reading): Technique | undefined {
  const match = /(?:\bwith|\bincl(?:uding)?|\+|\bdoing)\s+(?:a\s+)?/u.exec(line.text);
  if (!match) return undefined;
  const found = wholeName(line, index, 12);
  const technique = found?.entries.find((one) => one.kind === 'breath');
  if (!found || technique?.kind !== 'breath' || found.from < match.index) return undefined;
  line.take(match.index, found.to, found.sure);
  return technique.entry;
}
