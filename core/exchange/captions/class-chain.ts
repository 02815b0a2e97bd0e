import type { Ms } from '#core/numbers';
import { classStates, SEGMENT_KINDS, type ClassState, type FixedSegment, type SegmentKind } from './class-state';
import { classSums, type ClassEvidence } from './evidence';
import { breathsSeconds, type Mark } from './marks';
import { momentsOf } from './moments';
import type { Chain } from './semi-markov';
import {
  ANNOUNCED,
  ANNOUNCED_BEFORE_MS,
  ANNOUNCED_LATE_MS,
  ANNOUNCED_WITHIN_MS,
  LENGTHS,
  OTHER_SIDE,
  SIDE_IN_HOLD,
} from './worth';

/** A class as a chain of states, with what it means. */
export interface ClassChain extends Chain {
  stateAt: (state: number) => ClassState;
  momentsMs: readonly Ms[];
  /** The length that was announced for a hold that begins at a moment, in seconds; not what was announced before. */
  announced: (moment: number, notBeforeMs: Ms) => { least: number; most: number } | null;
}

/** Worth more than all that can speak against it. */
const FIXED = 10_000;
/** A mark that is only offered or compared announces nothing. */
const MIN_WEIGHT = 0.5;
/** Nobody announces a hold of a few seconds: `just a second` is a figure of speech. */
const MIN_ANNOUNCED_SECONDS = 15;
/** Announced late, a length still has to be so many times what has gone by. */
const LATE_FACTOR = 1.5;

/** The length that was announced last around the beginning of a hold, but not before the hold that came before it ended. */
function announcedAt(marks: readonly Mark[], ms: Ms, notBeforeMs: Ms): { least: number; most: number } | null {
  let found: { least: number; most: number } | null = null;
  for (const mark of marks) {
    if (mark.atMs > ms + ANNOUNCED_LATE_MS) break;
    if (mark.atMs < Math.max(notBeforeMs, ms - ANNOUNCED_BEFORE_MS) || mark.weight < MIN_WEIGHT) continue;
    const isLate = mark.atMs > ms + ANNOUNCED_WITHIN_MS;
    // `One minute`, when a minute has long gone by, is what is left.
    if (isLate && (found || mark.kind !== 'length' || mark.seconds.most * 1000 < LATE_FACTOR * (mark.atMs - ms)))
      continue;
    if (mark.kind === 'length' && mark.seconds.most >= MIN_ANNOUNCED_SECONDS) found = mark.seconds;
    if (mark.kind === 'breaths' && breathsSeconds(mark.most) >= MIN_ANNOUNCED_SECONDS)
      found ??= { least: breathsSeconds(mark.least), most: breathsSeconds(mark.most) };
  }
  return found;
}

/** How likely a length is for a kind of segment: around the usual one, or, of a hold, around the one announced. */
function lengthScore(kind: SegmentKind, seconds: number, announced: { least: number; most: number } | null): number {
  const { middle, spread, begin } = LENGTHS[kind];
  const off = Math.log(seconds / middle) / spread;
  const usual = begin - (off * off) / 2;
  if (kind !== 'hold' || !announced) return usual;
  const offAnnounced = Math.log(seconds / Math.sqrt(announced.least * announced.most)) / ANNOUNCED.spread;
  const asAnnounced = begin + ANNOUNCED.bonus - Math.min(ANNOUNCED.worst, (offAnnounced * offAnnounced) / 2);
  return Math.max(usual - ANNOUNCED.other, asAnnounced);
}

/** The chain of a class around what is fixed: from marks in time to scores. */
export function classChain(evidence: ClassEvidence, fixed: readonly FixedSegment[]): ClassChain {
  const { words, marks, positions, techniques, endMs } = evidence;
  const momentsMs = momentsOf(words, marks, endMs, fixed);
  const moments = momentsMs.length - 1;
  const width = moments + 1;
  const sums = classSums(evidence, momentsMs);
  const { states, groups, groupOf, entry, last } = classStates(
    positions,
    techniques.map(({ id }) => id),
  );
  const fixedSpans = fixed.map((segment) => ({
    segment,
    from: momentsMs.indexOf(segment.startMs),
    to: momentsMs.indexOf(segment.endMs),
  }));

  /** For each moment the earliest one at which a segment of a kind may begin that ends there. */
  const earliestOf = (kind: SegmentKind): number[] => {
    let from = 0;
    return momentsMs.map((ms, to) => {
      while (momentsMs[from]! < ms - LENGTHS[kind].longestMs) from++;
      // What is fixed may be as long as it is.
      const own = fixedSpans.filter(({ segment, to: end }) => segment.kind === kind && end === to);
      return Math.min(from, ...own.map((span) => span.from));
    });
  };
  const earliest = new Map(SEGMENT_KINDS.map((kind) => [kind, earliestOf(kind)]));
  const announced = momentsMs.map((ms) => announcedAt(marks, ms, 0));

  /** What a segment of a kind is worth from one moment to another, whatever is held in it. */
  function spansOf(kind: SegmentKind): Float64Array {
    const table = new Float64Array(width * width).fill(-Infinity);
    const sum = sums.kinds.get(kind)!;
    for (let to = 0; to <= moments; to++)
      for (let from = earliest.get(kind)![to]!; from < to; from++) {
        const seconds = Math.max(1, (momentsMs[to]! - momentsMs[from]!) / 1000);
        table[to * width + from] = lengthScore(kind, seconds, announced[from]!) + sum[to]! - sum[from]!;
      }
    // Nothing else lies over what is fixed.
    for (const { segment, from, to } of fixedSpans)
      for (let end = from + 1; end <= moments; end++)
        for (let start = 0; start < Math.min(to, end); start++)
          if (segment.kind !== kind || start !== from || end !== to) table[end * width + start] = -Infinity;
    return table;
  }
  const spansByKind = new Map(SEGMENT_KINDS.map((kind) => [kind, spansOf(kind)]));
  const spans = states.map(({ kind }) => spansByKind.get(kind)!);

  const nothing = new Float64Array(width);
  /** What lies along a segment of a state: names, sides, and how the second side is announced. */
  function alongOf({ kind, id, side, turn }: ClassState): Float64Array {
    if (kind === 'breath') return sums.breathHolds.get(id ?? '') ?? nothing;
    if (kind !== 'in' && kind !== 'hold') return nothing;
    const names = (kind === 'in' ? sums.into : sums.held).get(id ?? '') ?? nothing;
    const left = sums.left.get(id ?? '') ?? nothing;
    const sideShare = (side === 'left' ? 1 : -1) * (kind === 'in' ? 1 : SIDE_IN_HOLD);
    const otherSide = kind === 'hold' ? 0 : turn === 2 ? OTHER_SIDE.second : OTHER_SIDE.first;
    return names.map((value, i) => value + sideShare * left[i]! + otherSide * sums.otherSide[i]!);
  }
  const begins = states.map(({ kind, id }) => {
    const own = kind === 'breath' ? sums.breathNamed : kind === 'hold' ? sums.heldFrom : undefined;
    return own?.get(id ?? '') ?? nothing;
  });
  const isWanted = (state: ClassState, { kind, id, side }: FixedSegment): boolean => {
    if (state.kind !== kind) return false;
    return kind === 'hold' ? state.id === id && state.side === side : kind !== 'breath' || state.id === id;
  };
  const along = states.map((state) => {
    const begins = fixedSpans.filter(({ segment }) => isWanted(state, segment)).map(({ from }) => from);
    const usual = alongOf(state);
    return begins.length === 0
      ? usual
      : usual.map((value, i) => value + FIXED * begins.filter((from) => from < i).length);
  });

  return {
    momentsMs,
    announced: (moment, notBeforeMs) => announcedAt(marks, momentsMs[moment] ?? 0, notBeforeMs),
    stateAt: (index) => states[index]!,
    moments,
    states: states.length,
    groups,
    groupOf: (index) => groupOf(states[index]!),
    entry: (index) => entry(states[index]!),
    last: (index) => last(states[index]!),
    spans: (index) => spans[index]!,
    begins: (index) => begins[index]!,
    along: (index) => along[index]!,
  };
}
