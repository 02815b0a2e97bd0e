import type { Ms } from '#core/numbers';
import type { ClassChain } from './class-chain';
import type { SegmentKind } from './class-state';
import type { ClassEvidence } from './evidence';
import type { Mark } from './marks';
import type { ChainSegment } from './semi-markov';
import { sideEvidence } from './spoken-sides';
import type { SpokenWord } from './words';

/** Words that a decision stands on. */
export interface Reason {
  atMs: Ms;
  words: string;
  kind: 'name' | 'side' | 'otherSide' | 'begins' | 'ends' | 'length';
}

/** A breath is named some time before it begins. */
const NAMED_BEFORE_MS = 120_000;
/** A side may still be named when the hold has begun, and a length a little later. */
const SIDE_WITHIN_MS = 5000;
const LENGTH_WITHIN_MS = 60_000;
const END_WITHIN_MS = 1000;
const MIN_WEIGHT = 0.5;
const MIN_SIDE = 0.3;
/** So many reasons of one kind are shown. */
const MAX_OF_A_KIND = 2;

/** The words that a hold or a breath stands on: those that name it, its side, and its beginning and end. */
export function reasonsOf(
  chain: ClassChain,
  { words, marks, positions, language, endMs }: ClassEvidence,
  segments: readonly ChainSegment[],
  at: number,
): Reason[] {
  const segment = segments[at];
  if (!segment) return [];
  const { kind, id, side, turn } = chain.stateAt(segment.state);
  const around = (i: number, wanted: SegmentKind): ChainSegment => {
    const other = segments[i];
    return other && chain.stateAt(other.state).kind === wanted ? other : segment;
  };
  const msAt = (moment: number): Ms => chain.momentsMs[moment] ?? endMs;
  const startMs = msAt(segment.from);
  const fromMs = kind === 'breath' ? startMs - NAMED_BEFORE_MS : msAt(around(at - 1, 'in').from);
  const [holdEndMs, toMs] = [msAt(segment.to), msAt(around(at + 1, 'out').to)];
  const leftMeans = positions.find((one) => one.id === id)?.leftMeans ?? '';

  const kindOf = (mark: Mark): Reason['kind'] | undefined => {
    if (mark.kind === 'name' && mark.atMs < holdEndMs && mark.entries.some((entry) => entry.id === id)) return 'name';
    if (mark.kind === 'side' && side !== 'both' && mark.atMs < startMs + SIDE_WITHIN_MS) {
      const evidence = sideEvidence(mark.side, leftMeans, language) * (mark.side.side === side ? 1 : -1);
      return evidence > MIN_SIDE ? 'side' : undefined;
    }
    if (mark.kind === 'length' && mark.atMs < startMs + LENGTH_WITHIN_MS) return 'length';
    if (mark.kind !== 'phrase' || mark.weight < MIN_WEIGHT) return undefined;
    if (mark.tells === 'otherSide' && turn === 2 && mark.atMs < startMs) return 'otherSide';
    if (mark.tells === 'stay' && mark.atMs < holdEndMs) return 'begins';
    if (mark.tells === 'comeOut' && mark.atMs >= holdEndMs - END_WITHIN_MS) return 'ends';
    return undefined;
  };
  const found = new Map<Reason['kind'], Reason[]>();
  for (const mark of marks) {
    if (mark.atMs < fromMs || mark.atMs > toMs) continue;
    const reason = kindOf(mark);
    if (!reason) continue;
    // A side is shown with its limb.
    const spoken = words.slice(mark.from, Math.max(mark.to, mark.from + (reason === 'side' ? 2 : 1)));
    found.set(reason, [...(found.get(reason) ?? []), { atMs: mark.atMs, kind: reason, words: shown(spoken) }]);
  }
  return [...found.values()].flatMap((some) => some.slice(0, MAX_OF_A_KIND)).sort((a, b) => a.atMs - b.atMs);
}

const shown = (words: readonly SpokenWord[]): string =>
  words
    .map((word) => word.shown)
    .join(' ')
    .replace(/[.,!?;:…]+$/, '');
