import { BREATH_LIMITS, cycleOf, practiceMs, roundMs, setOf, type BreathPractice, type BreathSet } from '#core/breath';
import type { Technique } from '#core/catalogue';
import { toMs, type Seconds } from '#core/numbers';
import type { OpenLine } from './line';

/** Counts of in, hold full, out and hold empty, as they were found. */
export type FoundCounts = readonly [breathIn: number, holdFull: number, out: number, holdEmpty: number];

const QUARTER = String.raw`(inhale|exhale|breathe in|breathe out|in|out|hold(?:\s+(?:full|empty|in|out))?|full|empty|pause)`;
const PIECE = new RegExp(
  String.raw`(?<![\p{L}\d])(?:${QUARTER}\s*(?:for\s+)?:?\s*(\d{1,2})|(\d{1,2})\s*(?:counts?\s+)?${QUARTER})(?![\p{L}\d:])`,
  'gu',
);
const RATIO =
  /(?<![\d\p{L}.,:/-])(\d{1,2})\s*([-–:/])\s*(\d{1,2})(?:\s*\2\s*(\d{1,2}))?(?:\s*\2\s*(\d{1,2}))?(?![\d\p{L}:/])/u;

/** What a quarter is called, by the quarters before it: a hold after the out-breath is empty. */
function placeOf(word: string, before: FoundCounts): number {
  if (/^(?:inhale|breathe in|in)$/.test(word)) return 0;
  if (/^(?:exhale|breathe out|out)$/.test(word)) return 2;
  if (/full|in$/.test(word)) return 1;
  if (/empty|out$/.test(word)) return 3;
  return before[2] > 0 ? 3 : 1;
}

/** Counts in words, `in 4, out 8`, or as a row of numbers, `4-4-8` or `4/8`; what is understood is taken. */
export function takeCounts(line: OpenLine): { counts: FoundCounts; sure: boolean } | undefined {
  let counts: [number, number, number, number] = [0, 0, 0, 0];
  const pieces = [...line.text.matchAll(PIECE)];
  for (const [, word, number, numberBefore, wordAfter] of pieces) {
    counts[placeOf(word ?? wordAfter ?? '', counts)] = Number(number ?? numberBefore);
  }
  if (counts[0] > 0 && counts[2] > 0) {
    for (const { index, 0: piece } of pieces) line.take(index, index + piece.length);
    return { counts, sure: true };
  }
  const row = RATIO.exec(line.text);
  if (!row) return undefined;
  const [one, two, three, four] = [row[1], row[3], row[4], row[5]].map((digits) => Number(digits ?? 0));
  if (!one || !two) return undefined;
  counts = row[4] === undefined ? [one, 0, two, 0] : [one, two, three ?? 0, four ?? 0];
  const sure = row[4] !== undefined || row[2] === '/';
  line.take(row.index, row.index + row[0].length, sure);
  return { counts, sure };
}

/** How often: `15 rounds`, `15x`, `x 15`; of a breath, cycles and breaths are rounds too. */
export function takeRounds(line: OpenLine): number | undefined {
  const match = line.takeMatch(
    /(?<![\p{L}\d.,:])(\d{1,3})\s*(?:x(?![\p{L}\d])|(?:full\s+)?(?:rounds?|cycles?|times|repeats?|reps?)(?![\p{L}]))|(?<![\p{L}\d])x\s*(\d{1,3})(?![\d:])/u,
  );
  return match && Number(match[1] ?? match[2]);
}

/** `count of 1.2 s`: how long one count is. */
export function takeCountSeconds(line: OpenLine): Seconds | undefined {
  const match = line.takeMatch(/\bcounts? of (\d+(?:\.\d+)?)\s*s(?:ec(?:onds?)?)?(?![\p{L}])/u);
  return match && Number(match[1]);
}

const withCounts = (set: BreathSet, [breathIn, holdFull, out, holdEmpty]: FoundCounts): BreathSet => ({
  ...set,
  parts: set.parts.map((part) => (part.kind === 'cycle' ? { ...part, in: breathIn, holdFull, out, holdEmpty } : part)),
});

/** What a line says of a breath practice. */
export interface FoundPractice {
  counts: FoundCounts | undefined;
  rounds: number | undefined;
  countSeconds: Seconds | undefined;
  seconds: Seconds | undefined;
}

const isPlain = ({ sets }: BreathPractice): boolean =>
  sets.length === 1 && sets[0]?.parts.length === 1 && sets[0].parts[0]?.kind === 'cycle';

/** The rounds of a set that come nearest to a length, of those a set may have. */
function roundsFor(set: BreathSet, countSeconds: Seconds, seconds: Seconds): number {
  const one = roundMs({ ...set, ramp: null }, countSeconds);
  const fewest = set.ramp ? 2 : 1;
  return Math.min(BREATH_LIMITS.maxRounds, Math.max(fewest, Math.round(toMs(seconds) / one)));
}

/**
 * The practice of a technique with what was found in a line: its counts, its rounds, and as near to its length as whole
 * rounds come. Of a practice that is not simply counted, counts make a simple one; a length changes its last set.
 */
export function practiceWith(technique: Technique, found: FoundPractice): BreathPractice {
  const usual = technique.practice;
  const countSeconds = found.countSeconds ?? usual.countSeconds;
  const { counts, rounds, seconds } = found;
  const base: BreathPractice =
    counts && !isPlain(usual)
      ? { countSeconds, sets: [setOf('set-1', [cycleOf(counts)], 10)] }
      : { ...usual, countSeconds, sets: usual.sets.map((set) => (counts ? withCounts(set, counts) : set)) };
  const last = base.sets.at(-1);
  if (!last) return base;
  const others = base.sets.slice(0, -1);
  if (rounds !== undefined) {
    const limited = Math.min(BREATH_LIMITS.maxRounds, Math.max(1, rounds));
    return { ...base, sets: [...others, { ...last, rounds: limited, ramp: limited < 2 ? null : last.ramp }] };
  }
  if (seconds === undefined || Math.abs(practiceMs(base) - toMs(seconds)) < 500) return base;
  const otherSeconds = practiceMs({ ...base, sets: others }) / 1000;
  const wanted = roundsFor(last, countSeconds, Math.max(1, seconds - otherSeconds - last.restSeconds));
  return { ...base, sets: [...others, { ...last, rounds: wanted }] };
}

/** Which of some techniques counts like this: the first whose usual ratio it is, else one of the same kind. */
export function techniquesLike(
  [breathIn, holdFull, out, holdEmpty]: FoundCounts,
  all: readonly Technique[],
): Technique[] {
  const scored = all.flatMap((technique) => {
    const part = isPlain(technique.practice) ? technique.practice.sets[0]?.parts[0] : undefined;
    if (part?.kind !== 'cycle' || part.inThrough !== 'nose' || part.outThrough !== 'nose' || part.sound !== 'none')
      return [];
    const sameRatio = [
      part.holdFull - (holdFull * part.in) / breathIn,
      part.out - (out * part.in) / breathIn,
      part.holdEmpty - (holdEmpty * part.in) / breathIn,
    ];
    const exact = sameRatio.every((difference) => Math.abs(difference) < 0.01);
    const alike =
      part.holdFull > 0 === holdFull > 0 &&
      part.holdEmpty > 0 === holdEmpty > 0 &&
      part.out > part.in === out > breathIn;
    return exact || alike ? [{ technique, score: exact ? 2 : 1 }] : [];
  });
  return scored.sort((a, b) => b.score - a.score).map(({ technique }) => technique);
}
