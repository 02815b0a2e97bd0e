import type { Ms } from '#core/numbers';
import { SEGMENT_KINDS, type PositionSides, type SegmentKind } from './class-state';
import type { DescribedBy } from './descriptions';
import type { CaptionLanguage } from './language';
import type { Mark } from './marks';
import { PAUSE_MS } from './moments';
import { heldFrom, type PositionPlace, type Setting } from './setting';
import { sideEvidence } from './spoken-sides';
import type { SpokenWord } from './words';
import {
  ARRANGING,
  ARRANGING_MS,
  BREATH_NAMED,
  BREATH_NAMED_MS,
  DESCRIBED,
  HOLDS,
  LENGTH_WORTH,
  MAX_SILENCE_SECONDS,
  NAME,
  NOSTRILS,
  PHASE_WORTH,
  SIDE,
  SILENCE,
  UNSIDED,
  WORTH,
} from './worth';

/** What a technique has to be known by. */
export interface BreathHolds {
  id: string;
  names: readonly string[];
  holdsBreath: { full: boolean; empty: boolean };
}
/** For each word that was spoken, by its place, the positions that it describes. */
export type Described = readonly (readonly DescribedBy[])[];

/** What a class is read from. */
export interface ClassEvidence {
  words: readonly SpokenWord[];
  marks: readonly Mark[];
  /** The positions and techniques it may have. */
  positions: readonly (PositionSides & PositionPlace)[];
  techniques: readonly BreathHolds[];
  described: Described;
  /** The ids of the positions that may be described, in their order there. */
  describedIds: readonly string[];
  setting: Setting;
  language: CaptionLanguage;
  endMs: Ms;
}

/** Scores at moments, summed up to each of them, so that what lies between two is one difference. */
class Sums {
  readonly values: Float64Array;
  constructor(moments: number) {
    this.values = new Float64Array(moments + 1);
  }
  add(at: number, value: number): void {
    this.values[at + 1]! += value;
  }
  /** To be called once, when all is added. */
  summed(): Float64Array {
    for (let i = 1; i < this.values.length; i++) this.values[i]! += this.values[i - 1]!;
    return this.values;
  }
}
const summed = <K>(sums: ReadonlyMap<K, Sums>): Map<K, Float64Array> =>
  new Map([...sums].map(([key, one]) => [key, one.summed()]));

/** All that was found in a class, as sums over its moments. */
export interface ClassSums {
  /** For each kind of segment, whatever is held in it. */
  kinds: ReadonlyMap<SegmentKind, Float64Array>;
  /** Names of each position, on the way into it and while it is held; and of all of them, for one without a name. */
  into: ReadonlyMap<string, Float64Array>;
  held: ReadonlyMap<string, Float64Array>;
  /** For the left side of each position; the right side has the opposite. */
  left: ReadonlyMap<string, Float64Array>;
  /** How much was announced that the other side follows. */
  otherSide: Float64Array;
  /** How well each technique fits how the breath is held, and the sides that are spoken of. */
  breathHolds: ReadonlyMap<string, Float64Array>;
  /** What it is worth for each technique to begin at a moment: it was named before. Not summed. */
  breathNamed: ReadonlyMap<string, Float64Array>;
  /** What it is worth for each position to be held from a moment on: where in the room that is. Not summed. */
  heldFrom: ReadonlyMap<string, Float64Array>;
}

/** Sums up what tells of a class at its moments. */
export function classSums(
  { words, marks, positions, techniques, described, describedIds, setting, language, endMs }: ClassEvidence,
  momentsMs: readonly Ms[],
): ClassSums {
  const moments = momentsMs.length - 1;
  const sumsFor = <K>(keys: readonly K[]): Map<K, Sums> => new Map(keys.map((key) => [key, new Sums(moments)]));
  const kinds = sumsFor(SEGMENT_KINDS);
  const ids = positions.map(({ id }) => id);
  const [into, held] = [sumsFor(ids), sumsFor(ids)];
  const left = sumsFor(positions.filter(({ isSided }) => isSided).map(({ id }) => id));
  const otherSide = new Sums(moments);
  const breathHolds = sumsFor(techniques.map(({ id }) => id));
  const breathNamed = new Map(techniques.map(({ id }) => [id, new Float64Array(moments + 1)]));
  const sideWords = new Set([...language.sides.left, ...language.sides.right, ...language.otherSided]);
  const sidedBreaths = new Set(
    techniques.flatMap(({ id, names }) =>
      names.some((name) =>
        name
          .toLowerCase()
          .split(/[^a-z]+/)
          .some((word) => sideWords.has(word.replace(/s$/, ''))),
      )
        ? [id]
        : [],
    ),
  );
  const addWorth = (worth: Partial<Record<SegmentKind, number>>, at: number, weight: number): void => {
    for (const kind of SEGMENT_KINDS) kinds.get(kind)?.add(at, (worth[kind] ?? 0) * weight);
  };

  function addName(mark: Extract<Mark, { kind: 'name' }>, at: number): void {
    const shares = new Map(mark.entries.map(({ id, share }) => [id, share]));
    const isOfHold = mark.entries.some(({ kind }) => kind === 'hold');
    const idle = isOfHold ? NAME.idle : NAME.idleBreath;
    addWorth({ talk: idle, rest: idle, breath: idle, out: idle * NAME.outShare }, at, mark.weight);
    for (const id of isOfHold ? ids : []) {
      const share = shares.get(id) ?? 0;
      into.get(id)?.add(at, mark.weight * (NAME.own * share + NAME.other * (1 - share)));
      held.get(id)?.add(at, mark.weight * (NAME.ownInHold * share + NAME.otherInHold * (1 - share)));
    }
    for (const [id, share] of shares) {
      const named = breathNamed.get(id);
      for (let i = at; named && i <= moments && momentsMs[i]! - mark.atMs < BREATH_NAMED_MS; i++)
        named[i] = Math.max(named[i]!, BREATH_NAMED * mark.weight * share);
    }
  }
  let phaseBefore: 'in' | 'out' = 'out';
  function addPhase(mark: Extract<Mark, { kind: 'phase' }>, at: number): void {
    addWorth(PHASE_WORTH, at, mark.weight);
    if (mark.phase.kind !== 'hold') phaseBefore = mark.phase.kind;
    else
      for (const { id, holdsBreath } of techniques) {
        const has = phaseBefore === 'in' ? holdsBreath.full : holdsBreath.empty;
        breathHolds.get(id)?.add(at, has ? HOLDS.has : HOLDS.hasNot);
      }
  }
  for (const mark of marks) {
    const at = indexAt(momentsMs, mark.atMs);
    switch (mark.kind) {
      case 'phrase':
        addWorth(WORTH[mark.tells], at, mark.weight);
        if (mark.tells === 'otherSide') otherSide.add(at, mark.weight);
        break;
      case 'length':
      case 'breaths':
        addWorth(LENGTH_WORTH, at, mark.weight);
        break;
      case 'phase':
        addPhase(mark, at);
        break;
      case 'name':
        addName(mark, at);
        break;
      case 'side': {
        for (const { id } of techniques)
          breathHolds.get(id)?.add(at, mark.weight * (sidedBreaths.has(id) ? NOSTRILS.has : NOSTRILS.hasNot));
        const sign = mark.side.side === 'left' ? SIDE : -SIDE;
        for (const { id, leftMeans, isSided } of positions)
          if (!isSided) into.get(id)?.add(at, UNSIDED * mark.weight);
          else left.get(id)?.add(at, sign * mark.weight * sideEvidence(mark.side, leftMeans, language));
        break;
      }
      case 'place':
      case 'rounds':
        break;
    }
  }
  const intoOf = describedIds.map((id) => into.get(id));
  /** What describes other positions speaks against each: all of them together have nothing from it. */
  const against = new Sums(moments);
  for (const [i, word] of words.entries()) {
    const lists = described[i] ?? [];
    if (lists.length === 0) continue;
    const at = indexAt(momentsMs, word.startMs);
    for (const list of lists)
      for (const { entry, score } of list) {
        const own = intoOf[entry];
        if (!own) continue;
        own.add(at, score * DESCRIBED);
        against.add(at, (-score * DESCRIBED) / ids.length);
      }
  }
  for (const own of into.values()) for (let at = 0; at <= moments; at++) own.values[at]! += against.values[at]!;
  const arranged = marks.filter((mark) => mark.kind === 'phrase' && mark.tells === 'prop');
  for (let i = 0; i <= words.length; i++) {
    const [fromMs, toMs] = [words[i - 1]?.endMs ?? 0, words[i]?.startMs ?? endMs];
    const seconds = Math.min(MAX_SILENCE_SECONDS, (toMs - fromMs - PAUSE_MS) / 1000);
    if (seconds <= 0) continue;
    const at = indexAt(momentsMs, fromMs + 1);
    addWorth(SILENCE, at, seconds);
    if (arranged.some(({ atMs }) => atMs <= fromMs && atMs > fromMs - ARRANGING_MS)) addWorth(ARRANGING, at, seconds);
  }
  return {
    kinds: summed(kinds),
    into: summed(into),
    held: summed(held),
    left: summed(left),
    otherSide: otherSide.summed(),
    breathHolds: summed(breathHolds),
    breathNamed,
    heldFrom: heldFrom(positions, setting, momentsMs),
  };
}

/** The last moment that is not after a time; the last but one at the most, for nothing begins at the end. */
function indexAt(momentsMs: readonly Ms[], ms: Ms): number {
  let [low, high] = [0, momentsMs.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (momentsMs[middle]! <= ms) low = middle;
    else high = middle;
  }
  return low;
}
