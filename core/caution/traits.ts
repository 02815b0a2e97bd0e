import type { Strains } from '#core/body';
import { breathCost, type BreathPractice } from '#core/breath';
import type { Position, Technique } from '#core/catalogue';
import { sideSeconds, type HoldStep, type Step } from '#core/plan';
import type { SetUp } from '#core/props';
import type { Demands, CautionTrait } from './demands';
import type { Knowledge } from './knowledge';

/**
 * From where on what is measured counts: a head a hand’s breadth lower, a heel near the seat, a thigh near the trunk.
 */
const FROM = {
  headBelowHeartCm: 6,
  kneeBendDegrees: 115,
  hipFoldDegrees: 100,
  armLiftDegrees: 140,
  /** A trunk on the floor: the pelvis not lower than the heart by more than this. */
  flatCm: 5,
  /** Strokes or breaths a minute. */
  fast: 45,
  /** A position that is known to be held long and still; any other. */
  knownLongSeconds: 300,
  longSeconds: 480,
} as const;

type Mutable = Map<CautionTrait, number>;
const atLeast = (asks: Mutable, trait: CautionTrait, value: number): void => {
  asks.set(trait, Math.max(asks.get(trait) ?? 0, value));
};

/** Traits that are measured where they can be, in place of what the entry states. */
const MEASURED: ReadonlySet<CautionTrait> = new Set(['headBelowHeart', 'deepKneeBend']);

/** The demands of a position in one of its set-ups. Without a measure only what the entry states. */
function asksOfPosition(
  { traits, family }: Position,
  strains: Strains | undefined,
  into: Mutable = new Map(),
): Mutable {
  for (const trait of traits) {
    const isFlatByMeasure = trait === 'flatSupine' && family === 'supine';
    if (trait === 'longUnmovingHold') continue;
    if (!strains || (!MEASURED.has(trait) && !isFlatByMeasure)) atLeast(into, trait, Infinity);
  }
  if (!strains) return into;
  const { headBelowHeartCm, kneeBendDegrees, hipFoldDegrees, armLiftDegrees, pelvisOverHeartCm } = strains;
  if (headBelowHeartCm >= FROM.headBelowHeartCm) atLeast(into, 'headBelowHeart', headBelowHeartCm);
  if (kneeBendDegrees >= FROM.kneeBendDegrees) atLeast(into, 'deepKneeBend', kneeBendDegrees);
  if (hipFoldDegrees >= FROM.hipFoldDegrees) atLeast(into, 'hipFold', hipFoldDegrees);
  if (armLiftDegrees >= FROM.armLiftDegrees) atLeast(into, 'armsOverhead', armLiftDegrees);
  if (family === 'supine' && pelvisOverHeartCm >= -FROM.flatCm) atLeast(into, 'flatSupine', Infinity);
  return into;
}

/**
 * The demands of a technique and its practice: holds, pumps and locks as they are in the practice, the rest as stated.
 */
function asksOfBreath(technique: Technique | undefined, practice: BreathPractice, into: Mutable = new Map()): Mutable {
  const { longestFullMs, longestEmptyMs, strokes, fastestStrokes } = breathCost(practice);
  // Where the practice of a technique shows no hold, as when a breath is taken in steps, what it states counts.
  const usual = technique && breathCost(technique.practice);
  if (usual?.longestFullMs === 0 && technique?.traits.includes('holdFull')) atLeast(into, 'holdFull', Infinity);
  if (usual?.longestEmptyMs === 0 && technique?.traits.includes('holdEmpty')) atLeast(into, 'holdEmpty', Infinity);
  if (longestFullMs > 0) atLeast(into, 'holdFull', longestFullMs / 1000);
  if (longestEmptyMs > 0) atLeast(into, 'holdEmpty', longestEmptyMs / 1000);
  if (strokes > 0) {
    atLeast(into, 'strokes', strokes);
    atLeast(into, 'bellyPressed', Infinity);
  }
  if (fastestStrokes >= FROM.fast) atLeast(into, 'fast', fastestStrokes);
  for (const { parts } of practice.sets) {
    for (const part of parts) {
      if (part.kind === 'cycle' && [part.inThrough, part.outThrough].some((way) => way === 'left' || way === 'right')) {
        atLeast(into, 'nostrils', Infinity);
      }
      if ('sound' in part && part.sound !== 'none') atLeast(into, 'sound', Infinity);
      const held = part.kind === 'retention' || (part.kind === 'cycle' && part.holdFull + part.holdEmpty > 0);
      if (held && part.locks.includes('belly')) atLeast(into, 'bellyPressed', Infinity);
      if (held && part.locks.includes('chin')) atLeast(into, 'neckBent', Infinity);
      if (part.kind === 'retention' && part.pulses > 0) atLeast(into, 'bellyPressed', Infinity);
    }
  }
  for (const trait of technique?.traits ?? []) {
    if (trait === 'cooling' || trait === 'sound' || trait === 'nostrils') atLeast(into, trait, Infinity);
  }
  return into;
}

/** The longest that a hold goes on without a change, in seconds. */
function unmovingSeconds({ sides, stages }: HoldStep): number {
  const { left, right } = sideSeconds(sides);
  const longest = Math.max(left, right);
  return stages.length > 1 ? longest / stages.length : longest;
}

/** Every set-up that is under the body at some time of a hold: its own, and those of its stages. */
const setUpsOf = ({ setUp, stages }: HoldStep): SetUp[] => [
  setUp,
  ...stages.flatMap((stage) => (stage.setUp ? [stage.setUp] : [])),
];

/**
 * What a step asks of a body: by its position as it lies in its set-up, by its length, and by its breath. Without
 * strains what an entry states counts.
 */
export function demandsOf(
  step: Step,
  { library, strains = () => undefined }: Pick<Knowledge, 'library'> & Partial<Pick<Knowledge, 'strains'>>,
): Demands {
  const asks: Mutable = new Map();
  if (step.kind === 'hold') {
    const position = library.position(step.position);
    if (position) {
      for (const setUp of setUpsOf(step)) asksOfPosition(position, strains(position, setUp), asks);
    }
    const seconds = unmovingSeconds(step);
    const known = position?.traits.includes('longUnmovingHold') ?? false;
    if (seconds >= (known ? FROM.knownLongSeconds : FROM.longSeconds)) asks.set('longUnmovingHold', seconds);
    if (step.breath) asksOfBreath(library.technique(step.breath.technique), step.breath.practice, asks);
  } else if (step.kind === 'breath') {
    asksOfBreath(library.technique(step.technique), step.practice, asks);
    const moved = step.moves && library.position(step.moves.position);
    if (moved) asksOfPosition(moved, strains(moved, step.setUp), asks);
  }
  return asks;
}
