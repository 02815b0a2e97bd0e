import type { Ms } from '#core/numbers';
import type { CaptionLanguage } from './language';
import type { Mark } from './marks';
import type { SpokenWord } from './words';
import { PLACE } from './worth';

/** What has to be known of a position to say whether it fits where a class is and what lies there. */
export interface PositionPlace {
  id: string;
  /** Where it is held, as the library says it: `seated`, `supine`; empty where nobody knows. */
  family: string;
  names: readonly string[];
  isSided: boolean;
}

/** Where in the room a class is at each moment, which props it speaks of, and what was shown just before. */
export interface Setting {
  /** The families of positions that are held where the class went last; undefined where nobody knows. */
  familiesAt: (ms: Ms) => readonly string[] | undefined;
  /** What it is worth at a moment for a position that the props in its name were spoken of before, or were not. */
  propsAt: (ms: Ms) => (position: PositionPlace) => number;
  /** Whether a side of the body was spoken of just before a moment. */
  hasSide: (ms: Ms) => boolean;
  /** The positions that were named while something was shown, where everybody does it now. */
  shownBefore: (ms: Ms) => ReadonlySet<string>;
}

type Prop = CaptionLanguage['props'][number];
const MIN_WEIGHT = 0.5;
const NOBODY: ReadonlySet<string> = new Set();

/** Gathers what a class says about where it is. */
export function setting(words: readonly SpokenWord[], marks: readonly Mark[], { props }: CaptionLanguage): Setting {
  const places = marks.flatMap((mark) => (mark.kind === 'place' && mark.weight > MIN_WEIGHT ? [mark] : []));
  const propOf = new Map(props.flatMap((prop) => prop.words.map((word) => [word, prop] as const)));
  const spokenMs = new Map<string, Ms[]>();
  for (const { word, startMs } of words) {
    const key = propOf.get(word)?.words[0];
    if (key !== undefined) spokenMs.set(key, [...(spokenMs.get(key) ?? []), startMs]);
  }
  const lastOf = (key: string, ms: Ms): Ms =>
    (spokenMs.get(key) ?? []).findLast((one) => one <= ms + PLACE.withinMs) ?? -Infinity;
  const withProp = ({ words: called, stays, instead = [] }: Prop, ms: Ms): number => {
    const lastMs = Math.max(...[called[0] ?? '', ...instead].map((key) => lastOf(key, ms)));
    if (lastMs < ms - PLACE.propBeforeMs) return PLACE.withoutProp;
    return stays || lastMs >= ms - PLACE.propNowMs ? 0 : PLACE.propLongAgo;
  };
  const propsIn = new Map<string, readonly Prop[]>();
  const propsOf = ({ id, names }: PositionPlace): readonly Prop[] => {
    let own = propsIn.get(id);
    if (!own) {
      const ofName = (names[0] ?? '').toLowerCase().split(/[^a-z]+/);
      own = [...new Set(ofName.flatMap((word) => propOf.get(word) ?? []))];
      propsIn.set(id, own);
    }
    return own;
  };
  const shown = shownPositions(marks);
  const sides = marks.flatMap((mark) => (mark.kind === 'side' ? [mark.atMs] : []));
  return {
    hasSide: (ms) => sides.some((one) => one <= ms + PLACE.withinMs && one >= ms - PLACE.sideBeforeMs),
    familiesAt: (ms) => {
      const last = places.findLast(({ atMs }) => atMs <= ms + PLACE.withinMs);
      return last && last.atMs >= ms - PLACE.beforeMs ? last.families : undefined;
    },
    propsAt: (ms) => {
      const worth = new Map(props.map((prop) => [prop, withProp(prop, ms)]));
      return (position) => propsOf(position).reduce((least, prop) => Math.min(least, worth.get(prop) ?? 0), 0);
    },
    shownBefore: (ms) => shown.findLast(({ atMs }) => atMs <= ms && atMs >= ms - PLACE.shownBeforeMs)?.named ?? NOBODY,
  };
}

/** Where it is everybody’s turn, and the positions that were named while they were shown before it. */
function shownPositions(marks: readonly Mark[]): { atMs: Ms; named: ReadonlySet<string> }[] {
  return marks.flatMap((turn) => {
    if (turn.kind !== 'phrase' || turn.tells !== 'yourTurn') return [];
    const show = marks.findLast((mark) => mark.kind === 'phrase' && mark.tells === 'show' && mark.atMs < turn.atMs);
    if (!show || show.atMs < turn.atMs - PLACE.shownBeforeMs) return [];
    const named = marks.flatMap((mark) => {
      const isThen = mark.atMs >= show.atMs - PLACE.namedBeforeMs && mark.atMs < turn.atMs;
      if (mark.kind !== 'name' || mark.weight < MIN_WEIGHT || !isThen) return [];
      const best = Math.max(...mark.entries.map(({ share }) => share));
      return mark.entries.flatMap(({ id, share }) => (share === best ? [id] : []));
    });
    return [{ atMs: turn.atMs, named: new Set(named) }];
  });
}

/** What it is worth for a position that it is held at the place where the class is. */
export function atPlace({ family }: PositionPlace, families: readonly string[] | undefined): number {
  if (!families || family === '') return 0;
  return families.includes(family) ? PLACE.same : PLACE.other;
}
const PLAIN_WORDS = 3;
/** A position with a long name is a variant of another: it is led less often. */
export const asVariant = ({ names }: PositionPlace): number =>
  PLACE.perWordOfName * Math.max(0, (names[0] ?? '').split(' ').length - PLAIN_WORDS);

/** For each position what it is worth to be held from each moment on. */
export function heldFrom(
  positions: readonly PositionPlace[],
  { familiesAt, propsAt, hasSide, shownBefore }: Setting,
  momentsMs: readonly Ms[],
): Map<string, Float64Array> {
  const families = momentsMs.map(familiesAt);
  const shown = momentsMs.map(shownBefore);
  const sided = momentsMs.map(hasSide);
  const props = momentsMs.map(propsAt);
  return new Map(
    positions.map((position) => {
      const variant = asVariant(position);
      const values = momentsMs.map(
        (_, i) =>
          variant +
          atPlace(position, families[i]) +
          (position.isSided && !sided[i] ? PLACE.noSide : 0) +
          (shown[i]?.has(position.id) ? PLACE.shown : 0) +
          (props[i]?.(position) ?? 0),
      );
      return [position.id, Float64Array.from(values)];
    }),
  );
}
