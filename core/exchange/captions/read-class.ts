import type { Ms } from '#core/numbers';
import { breathOf, type BreathRead } from './breath-read';
import { candidates } from './candidates';
import { classChain, type ClassChain } from './class-chain';
import type { FixedSegment, SegmentKind } from './class-state';
import { countedBreaths } from './counted-breaths';
import { describer } from './descriptions';
import { doubtsOf, type Doubt } from './doubts';
import type { SpokenEntry } from './entries';
import type { ClassEvidence } from './evidence';
import type { CaptionLanguage } from './language';
import { markFinder } from './marks';
import { reasonsOf, type Reason } from './reasons';
import { decode, type ChainSegment } from './semi-markov';
import { setting } from './setting';
import { entryOfName, unknownNames, type UnknownName } from './unknown-names';
import type { SpokenWord } from './words';

/** A stretch of a class, as it was understood from what was spoken. */
export interface ClassSegment {
  kind: SegmentKind;
  startMs: Ms;
  endMs: Ms;
  /** The library entry; of a rest, of coming out and of talk the position before. Null where none was held yet. */
  id: string | null;
  side: 'left' | 'right' | 'both';
  /** The first side of a position or the second. */
  turn: 1 | 2;
  because: Reason[];
  doubts: Doubt[];
  /** How long it was announced to be, in seconds, as far as it was. */
  announced: { least: number; most: number } | null;
  /** Of a breath: what was counted. */
  breath: BreathRead | null;
}
export interface ReadClass {
  /** One after the other, from the beginning to the last word. */
  segments: ClassSegment[];
  /** How many names of positions and techniques were found at all. */
  named: number;
  /** The names that no entry has; segments may stand under their ids. */
  unknown: UnknownName[];
}

/** After the last word the class goes on for a moment. */
const LAST_WORD_MS = 1000;
/** A name that is only offered or compared is no sign of a class. */
const MIN_WEIGHT = 0.5;

/** Reads classes in a language that may have these entries. */
export function classReader(entries: readonly SpokenEntry[], language: CaptionLanguage) {
  const marksIn = markFinder(language, entries);
  const held = entries.filter(({ kind }) => kind === 'hold');
  const describedIn = describer(held, language);
  /**
   * What was led in a class, from what was spoken: the likeliest sequence of segments around those that are fixed.
   * @param fixed segments that do not overlap, with moments within the class
   */
  return (words: readonly SpokenWord[], fixed: readonly FixedSegment[] = []): ReadClass => {
    const knownMarks = marksIn(words);
    const unknown = unknownNames(words, knownMarks, language);
    const counted = countedBreaths(knownMarks, language);
    const marks = [...knownMarks, ...unknown.marks, ...counted].sort((a, b) => a.from - b.from || a.to - b.to);
    const all = [...entries, ...unknown.names.map(entryOfName)];
    const described = describedIn(words);
    const place = setting(words, marks, language);
    const { positions, techniques } = candidates(all, held, words, marks, described, place, fixed);
    const endMs = (words.at(-1)?.endMs ?? 0) + LAST_WORD_MS;
    const evidence: ClassEvidence = {
      ...{ words, marks, positions, techniques, described, setting: place, language, endMs },
      describedIds: held.map(({ id }) => id),
    };
    let chain = classChain(evidence, fixed);
    let decoded = decode(chain);
    if (decoded.segments.length === 0) {
      // A way in that leads nowhere: what is held counts, and the ways to it are found anew.
      chain = classChain(
        evidence,
        fixed.filter(({ kind }) => kind !== 'in' && kind !== 'out'),
      );
      decoded = decode(chain);
    }
    const msAt = (moment: number): Ms => chain.momentsMs[moment] ?? endMs;
    const isUnknown = (id: string | null): boolean => unknown.names.some((one) => one.id === id);
    const segments = decoded.segments.map((segment, i): ClassSegment => {
      const { kind, id, side, turn } = chain.stateAt(segment.state);
      const [startMs, segmentEndMs] = [msAt(segment.from), msAt(segment.to)];
      const isHeld = kind === 'hold' || kind === 'breath';
      const isFixed = fixed.some((one) => one.startMs === startMs && one.endMs === segmentEndMs);
      return {
        kind,
        id,
        side,
        turn,
        startMs,
        endMs: segmentEndMs,
        because: isHeld ? reasonsOf(chain, evidence, decoded.segments, i) : [],
        doubts: isHeld && !isFixed ? doubtsOf(chain, decoded, segment, isUnknown(id)) : [],
        announced: kind === 'hold' ? chain.announced(segment.from, heldUntilMs(chain, decoded.segments, i)) : null,
        breath: kind === 'breath' ? breathOf(marks, startMs, segmentEndMs) : null,
      };
    });
    let before: Pick<ClassSegment, 'id' | 'side' | 'turn'> = { id: null, side: 'both', turn: 1 };
    for (const [i, segment] of segments.entries()) {
      segment.announced ??= ofFirstSide(segments, i);
      const { id, side, turn } = segment;
      if (segment.kind === 'hold') before = { id, side, turn };
      else if (segment.kind !== 'in' && segment.kind !== 'breath') Object.assign(segment, before);
    }
    return {
      segments,
      named: marks.filter(({ kind, weight }) => kind === 'name' && weight > MIN_WEIGHT).length,
      unknown: unknown.names,
    };
  };
}

/** When the hold before a segment ended: what was announced until then was for that one. */
function heldUntilMs(chain: ClassChain, segments: readonly ChainSegment[], at: number): Ms {
  const before = segments.slice(0, at).findLast(({ state }) => chain.stateAt(state).kind === 'hold');
  return before ? (chain.momentsMs[before.to] ?? 0) : 0;
}

/** What was announced for a first side goes for the second as well. */
function ofFirstSide(segments: readonly ClassSegment[], at: number): ClassSegment['announced'] {
  const { kind, id, turn } = segments[at] ?? {};
  if (kind !== 'hold' || turn !== 2) return null;
  return segments.slice(0, at).findLast((one) => one.kind === 'hold' && one.id === id)?.announced ?? null;
}
