import type { Strains } from '#core/body';
import { breathCost, type BreathPractice } from '#core/breath';
import type { Position, Technique } from '#core/catalogue';
import { positionOfStage, setUpOfStage, sideSeconds, type HoldStep, type Step } from '#core/plan';
import { isBand, type PropPlace, type SetUp, type SetUpRow } from '#core/props';
import { FROM, MARGIN, type CautionTrait, type Demands } from './demands';
import type { Body, Knowledge } from './knowledge';
import { seatsOf } from './seats';

/** Demands as they are collected; with a margin everything that is measured counts for a little more than it is. */
class Mutable extends Map<CautionTrait, number> {
  constructor(readonly withMargin: boolean) {
    super();
  }
}
const atLeast = (asks: Mutable, trait: CautionTrait, value: number): void => {
  asks.set(trait, Math.max(asks.get(trait) ?? 0, value));
};
/** A measured demand counts from where it is to be watched. */
const measured = (asks: Mutable, trait: keyof typeof FROM, value: number): void => {
  const counted = value + (asks.withMargin ? MARGIN[trait] : 0);
  if (counted >= FROM[trait].watch) atLeast(asks, trait, counted);
};

/** A position that is known to be held long and still; any other. */
const KNOWN_LONG_SECONDS = 300;
const LONG_SECONDS = 480;
const STILL_SECONDS = 60;
/** Breaths a minute. */
const FAST = 45;

/** Traits that are measured where they can be, in place of what the entry states. */
const BY_MEASURE: ReadonlySet<CautionTrait> = new Set([
  'headBelowHeart',
  'inversion',
  'flatSupine',
  'deepKneeBend',
  'armsOverhead',
]);
/** A thigh folded further takes the pelvis with it, and the low back rounds. */
const PELVIS_FOLLOWS_DEGREES = 120;
/** Lying on the back a knee bears nothing, and is folded far only where it is drawn or pressed. */
const FREE_KNEE_DEGREES = 140;
/** With the hips folded further than this the belly does not lie on what the chest lies on. */
const BELLY_DOWN_DEGREES = 60;
const KNEES_WIDE_DEGREES = 25;

/** What a body at rest demands by how it lies. */
function asksOfStrains(stated: ReadonlySet<CautionTrait>, strains: Strains, into: Mutable): void {
  const { trunkDegrees: trunk, facingUpDegrees: facing, spineFoldDegrees: fold, hipFoldDegrees: hip } = strains;
  const onBack = facing >= 45;
  measured(into, 'headBelowHeart', strains.headBelowHeartCm);
  measured(into, 'inversion', strains.legsOverHeartCm);
  measured(into, 'hipsHigh', strains.pelvisOverHeartCm);
  if (onBack) measured(into, 'flatSupine', 90 - trunk);
  if (!onBack || strains.kneeBendDegrees >= FREE_KNEE_DEGREES) measured(into, 'deepKneeBend', strains.kneeBendDegrees);
  measured(into, 'hipFold', hip);
  measured(into, 'hipExtended', strains.hipExtensionDegrees);
  measured(into, 'legsStretched', strains.legStretchDegrees);
  measured(into, 'armsOverhead', strains.armLiftDegrees);
  measured(into, 'spineRounded', fold + Math.max(0, hip - PELVIS_FOLLOWS_DEGREES));
  if (stated.has('backBend')) measured(into, 'backBend', -fold);
  if (strains.hipsOpenDegrees < KNEES_WIDE_DEGREES) measured(into, 'bellyFolded', hip);
  if (stated.has('prone') && hip < BELLY_DOWN_DEGREES) atLeast(into, 'prone', Infinity);
  if (stated.has('twist') && (trunk >= 30 || !onBack)) atLeast(into, 'loadedTwist', Infinity);
  if (onBack && trunk < 15 && hip < 20 && strains.kneeBendDegrees < 30) atLeast(into, 'longLegsFlat', Infinity);
  if (strains.hipsOpenDegrees >= (onBack || facing <= -30 ? 28 : 40)) atLeast(into, 'legsOpen', Infinity);
  if (facing <= -30) atLeast(into, 'faceDown', Infinity);
}

/** A strap here is held by the hands, and let go of at once; unless it is closed to a loop. */
const HELD_IN_HAND: ReadonlySet<PropPlace> = new Set(['soles', 'feet', 'hands', 'arms']);
/** An open scarf here lies on the body and ties nothing. */
const LIES_LOOSE: ReadonlySet<PropPlace> = new Set(['eyes', 'cover']);
const isTied = (row: SetUpRow): boolean =>
  isBand(row) && !LIES_LOOSE.has(row.place) && (row.state === 'loop' || !HELD_IN_HAND.has(row.place));

const ROUND_THE_BELLY: ReadonlySet<PropPlace> = new Set(['waist', 'lowBack', 'belly', 'onBelly']);

/** A blanket with a weight in it lies on belly and chest, spread over the body as well. */
const weighsOnBelly = ({ kind, place }: SetUpRow): boolean =>
  (place === 'onBelly' && kind !== 'eyePillow') || (place === 'cover' && kind === 'weightedBlanket');

/** Whether a prop lies on the body, or is tied round it, and can be left out with nothing else changed. */
export const liesOnBody = (row: SetUpRow): boolean =>
  weighsOnBelly(row) || row.place === 'onBelly' || row.place === 'eyes' || isTied(row);

/** What a set-up demands by what lies on the body, or round it. */
function asksOfSetUp(setUp: SetUp, into: Mutable): void {
  for (const row of setUp) {
    const { place } = row;
    if (place === 'eyes') atLeast(into, 'eyesCovered', Infinity);
    if (place === 'forehead') atLeast(into, 'foreheadPressed', Infinity);
    if (weighsOnBelly(row)) atLeast(into, 'bellyWeighed', Infinity);
    if (!isTied(row)) continue;
    atLeast(into, 'strappedIn', Infinity);
    if (ROUND_THE_BELLY.has(place)) atLeast(into, 'bellyWeighed', Infinity);
  }
}

/** What a body does where nobody measured it: the more careful reading of what its entry states. */
const STATED_MEANS: Partial<Record<CautionTrait, readonly CautionTrait[]>> = {
  prone: ['faceDown'],
  twist: ['loadedTwist'],
  loadedSpinalFold: ['spineRounded', 'bellyFolded', 'hipFold', 'legsStretched'],
  endRangeHip: ['hipFold', 'legsOpen'],
  inversion: ['hipsHigh'],
};

/**
 * The demands of a position as it lies in a set-up, for each way in which it may lie. Without a measure only what the
 * entry states, read with the most care.
 */
function asksOfPosition(
  { traits }: Pick<Position, 'traits'>,
  setUp: SetUp,
  strains: readonly Strains[],
  into: Mutable,
): Mutable {
  asksOfSetUp(setUp, into);
  for (const trait of traits) {
    if (trait === 'longUnmovingHold') continue;
    if (strains.length > 0 && (BY_MEASURE.has(trait) || trait === 'prone' || trait === 'backBend')) continue;
    atLeast(into, trait, Infinity);
    if (strains.length > 0) continue;
    for (const also of STATED_MEANS[trait] ?? []) atLeast(into, also, Infinity);
  }
  const stated = new Set<CautionTrait>(traits);
  for (const one of strains) asksOfStrains(stated, one, into);
  return into;
}

/** What a technique demands whatever its practice is; holds, pumps and locks can be taken out of one. */
const ALWAYS: ReadonlySet<CautionTrait> = new Set(['cooling', 'sound', 'nostrils', 'handOnFace', 'neckBent']);

/**
 * The demands of a technique and its practice: holds, pumps and locks as they are in the practice, the rest as stated.
 */
function asksOfBreath(technique: Technique | undefined, practice: BreathPractice, into: Mutable): Mutable {
  const { longestFullMs, longestEmptyMs, strokes, fastestStrokes } = breathCost(practice);
  // Where the practice of a technique shows no hold, as when a breath is taken in steps, what it states counts.
  const usual = technique && breathCost(technique.practice);
  if (usual?.longestFullMs === 0 && technique?.traits.includes('holdFull')) atLeast(into, 'holdFull', Infinity);
  if (usual?.longestEmptyMs === 0 && technique?.traits.includes('holdEmpty')) atLeast(into, 'holdEmpty', Infinity);
  if (longestFullMs > 0) measured(into, 'holdFull', longestFullMs / 1000);
  if (longestEmptyMs > 0) measured(into, 'holdEmpty', longestEmptyMs / 1000);
  if (strokes > 0) {
    atLeast(into, 'strokes', strokes);
    atLeast(into, 'bellyPressed', Infinity);
  }
  if (fastestStrokes >= FAST) atLeast(into, 'fast', fastestStrokes);
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
    if (trait === 'fast' ? strokes > 0 : ALWAYS.has(trait)) atLeast(into, trait, Infinity);
  }
  return into;
}

/** The longest that a hold goes on without a change, in seconds. */
function unmovingSeconds({ sides, stages }: HoldStep): number {
  const { left, right } = sideSeconds(sides);
  const longest = Math.max(left, right);
  return stages.length > 1 ? longest / stages.length : longest;
}

/** Every position and set-up that there is at some time of a hold: its own, and those of its stages. */
function heldOf(step: HoldStep): { position: string; setUp: SetUp }[] {
  const { position, setUp, stages } = step;
  const ofStages = stages.flatMap((stage, i) =>
    stage.setUp || stage.position ? [{ position: positionOfStage(step, i), setUp: setUpOfStage(step, i) }] : [],
  );
  // The first stage can be another position from the start.
  return stages[0]?.position ? ofStages : [{ position, setUp }, ...ofStages];
}

/** Whether nothing is known of what a step demands: a hold whose position is in no library, and of which nobody said. */
export const isUnscreened = (step: Step, { library }: Pick<Knowledge, 'library'>): boolean =>
  step.kind === 'hold' && step.demands === null && library.position(step.position) === undefined;

/**
 * What a step demands of a body: by its position as it lies in its set-up and in that of each stage, by its length, by
 * its breath and the seat for it. `body`: whose; without it the standard body. `withMargin`: as if a little more were
 * measured than is, to see whether something stays below its limits by a margin.
 */
export function demandsOf(
  step: Step,
  { library, positions = [], strains = () => [] }: Pick<Knowledge, 'library'> & Partial<Knowledge>,
  body?: Body,
  withMargin = false,
): Demands {
  const asks = new Mutable(withMargin);
  if (step.kind === 'hold') {
    for (const { position: id, setUp } of heldOf(step)) {
      const held = library.position(id);
      if (held) asksOfPosition(held, setUp, strains(held, setUp, body), asks);
      else asksOfPosition({ traits: step.demands ?? [] }, setUp, [], asks);
    }
    const position = library.position(step.position);
    const seconds = unmovingSeconds(step);
    const known = position?.traits.includes('longUnmovingHold') ?? false;
    if (seconds >= (known ? KNOWN_LONG_SECONDS : LONG_SECONDS)) asks.set('longUnmovingHold', seconds);
    if (position?.family === 'standing' && seconds >= STILL_SECONDS) asks.set('standingStill', seconds);
    if (step.breath) asksOfBreath(library.technique(step.breath.technique), step.breath.practice, asks);
  } else if (step.kind === 'breath') {
    asksOfBreath(library.technique(step.technique), step.practice, asks);
    for (const seat of seatsOf(step, library, positions)) {
      asksOfPosition(seat, step.setUp, strains(seat, step.setUp, body), asks);
    }
  }
  return asks;
}
