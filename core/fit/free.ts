import { roundMs, setMs, fewestRounds, BREATH_LIMITS, type BreathSet } from '#core/breath';
import {
  PLAN_LIMITS,
  sideSeconds,
  type BreathStep,
  type HoldStep,
  type RestStep,
  type Step,
  type StepLength,
} from '#core/plan';
import { toMs, type Ms, type Seconds } from '#core/numbers';
import type { Planned } from './planned';
import { lastRestIndex, WEIGHT_FACTORS, type FitOptions } from './options';

/**
 * One length something may have: in its own measure (seconds, or rounds of breath), and in milliseconds for one side.
 */
export interface Choice {
  value: number;
  ms: Ms;
}

/** A length that a fitting may choose. */
export interface FreeLength {
  stepId: string;
  stepIndex: number;
  what: StepLength;
  /** How often it counts: both sides of an even hold, both sides of a breath that moves a position. */
  times: 1 | 2;
  /** The length it has now, and would have if it could choose. */
  now: Choice;
  /** How much a relative change counts. */
  weight: number;
  /** From the shortest to the longest; never empty. */
  choices: readonly Choice[];
}

/** Where a step says no range, from how much of its length to how much. */
const USUAL_RANGE = { least: 0.5, most: 1.5 } as const;
const SHORTEST_REST: Seconds = 15;

export interface Range {
  min: Seconds;
  max: Seconds;
}

/** From where to where a hold or a rest may go: its own range, or half as long to half as long again. Seconds. */
export function rangeOf(step: HoldStep | RestStep, now: Seconds): Range {
  if (step.kind === 'hold' && step.range) return step.range;
  const most = step.kind === 'hold' ? PLAN_LIMITS.maxHold : PLAN_LIMITS.maxPlain;
  const least = step.kind === 'hold' ? PLAN_LIMITS.minHold : Math.min(SHORTEST_REST, now);
  return { min: Math.max(least, now * USUAL_RANGE.least), max: Math.min(most, now * USUAL_RANGE.most) };
}

const choiceOf = (ms: Ms): Choice => ({ value: ms / 1000, ms });
const choice = (seconds: Seconds): Choice => choiceOf(toMs(seconds));

/**
 * The multiples of the grid within a range and the length there is, where that lies in it; where there are none, the
 * nearest.
 */
function lengthsWithin({ min, max }: Range, now: Seconds, grid: Seconds): Choice[] {
  // In milliseconds, where multiples are exact: a range of whole breaths keeps its ends.
  const [minMs, maxMs, nowMs, gridMs] = [toMs(min), toMs(max), toMs(now), toMs(grid)];
  const lengths: Ms[] = [];
  for (let ms = Math.max(1, Math.ceil(minMs / gridMs)) * gridMs; ms <= maxMs; ms += gridMs) lengths.push(ms);
  if (nowMs >= minMs && nowMs <= maxMs && !lengths.includes(nowMs)) lengths.push(nowMs);
  if (lengths.length === 0) lengths.push(Math.min(maxMs, Math.max(minMs, nowMs)));
  return lengths.sort((a, b) => a - b).map(choiceOf);
}

/** Every number of rounds from half as many to half as many again, by how long they are. */
function roundsWithin(set: BreathSet, countSeconds: Seconds): Choice[] {
  const least = Math.max(fewestRounds(set), Math.ceil(set.rounds * USUAL_RANGE.least));
  const most = Math.min(BREATH_LIMITS.maxRounds, Math.floor(set.rounds * USUAL_RANGE.most));
  const choices: Choice[] = [];
  for (let rounds = Math.min(least, set.rounds); rounds <= Math.max(most, set.rounds); rounds++)
    choices.push({ value: rounds, ms: setMs({ ...set, rounds }, countSeconds) });
  return choices.sort((a, b) => a.ms - b.ms);
}

function ofBreath(step: BreathStep): OfStep[] {
  const { sets, countSeconds } = step.practice;
  const times = step.moves && step.moves.sides !== 'together' ? 2 : 1;
  return sets.flatMap((set, i) => {
    if (roundMs(set, countSeconds) === 0) return [];
    const now = { value: set.rounds, ms: setMs(set, countSeconds) };
    return [{ what: { kind: 'breath' as const, set: i }, times, now, choices: roundsWithin(set, countSeconds) }];
  });
}

function ofHold(step: HoldStep, gridSeconds: Seconds, floor: Seconds): OfStep[] {
  // What is measured in breaths is fitted in whole ones.
  const grid = step.breathSeconds ?? gridSeconds;
  const one = (side: 'even' | 'left' | 'right', now: Seconds, times: 1 | 2) => ({
    what: { kind: 'hold' as const, side },
    times,
    now: choice(now),
    choices: lengthsWithin(withFloor(rangeOf(step, now), floor), now, grid),
  });
  const { sides } = step;
  if (sides.kind === 'together' || sides.kind === 'one') return [one('even', sides.seconds, 1)];
  if (sides.length.kind === 'even') return [one('even', sides.length.seconds, 2)];
  const { left, right } = sideSeconds(sides);
  return [one('left', left, 1), one('right', right, 1)];
}

const withFloor = ({ min, max }: Range, floor: Seconds): Range => ({
  min: Math.max(min, floor),
  max: Math.max(max, floor),
});

type OfStep = Omit<FreeLength, 'stepId' | 'stepIndex' | 'weight'>;

/** The free lengths of one step; `floor`: what it does not become shorter than. Seconds. */
function lengthsOfStep(step: Step, gridSeconds: Seconds, floor: Seconds): OfStep[] {
  if (step.locked) return [];
  switch (step.kind) {
    case 'hold':
      return ofHold(step, gridSeconds, floor);
    case 'rest': {
      const choices = lengthsWithin(withFloor(rangeOf(step, step.seconds), floor), step.seconds, gridSeconds);
      return [{ what: { kind: 'rest' }, times: 1, now: choice(step.seconds), choices }];
    }
    case 'breath':
      return ofBreath(step);
    case 'move':
    case 'talk':
      return [];
  }
}

/**
 * A cached `freeLengths`: what was found for a step is reused for the next plan with the same step.
 */
export function freeLengthsOf({ gridSeconds }: Pick<FitOptions, 'gridSeconds'>) {
  const known = new WeakMap<Step, Map<Seconds, OfStep[]>>();
  const of = (step: Step, floor: Seconds): OfStep[] => {
    const floors = known.get(step) ?? new Map<Seconds, OfStep[]>();
    known.set(step, floors);
    const found = floors.get(floor) ?? lengthsOfStep(step, gridSeconds, floor);
    floors.set(floor, found);
    return found;
  };
  return ({ plan, library }: Planned, { lastRestSeconds }: Pick<FitOptions, 'lastRestSeconds'>): FreeLength[] => {
    const last = lastRestIndex(plan, library);
    return plan.steps.flatMap((step, stepIndex) => {
      const floor = stepIndex === last ? (lastRestSeconds ?? 0) : 0;
      const common = {
        stepId: step.id,
        stepIndex,
        weight: WEIGHT_FACTORS[step.takesRemaining ? 'givesWay' : step.weight],
      };
      return of(step, floor).map((length) => ({ ...length, ...common }));
    });
  };
}

/**
 * Every length of a plan that a fitting may choose, in the order of its steps: holds and rests on the grid within their
 * ranges, rounds of breath from half as many to half as many again. What is locked is not among them.
 */
export const freeLengths = (planned: Planned, options: FitOptions): FreeLength[] =>
  freeLengthsOf(options)(planned, options);

/** How far a choice deviates from the length something has now: weighted, squared, relative, for each side. */
export function costOf({ weight, times, now }: FreeLength, { value }: Choice): number {
  const off = (value - now.value) / now.value;
  return weight * times * off * off;
}

/** Some of the lengths something may have, and always the one it has: nothing has to change. */
const narrowed = (one: FreeLength, may: (choice: Choice) => boolean): FreeLength => {
  const others = one.choices.filter((each) => may(each) && each.ms !== one.now.ms);
  return { ...one, choices: [...others, one.now].sort((a, b) => a.ms - b.ms) };
};

/** A free length that does not become longer than it is. */
export const onlyShorter = (one: FreeLength): FreeLength => narrowed(one, ({ ms }) => ms < one.now.ms);

/** A free length that does not become shorter than it is. */
export const onlyLonger = (one: FreeLength): FreeLength => narrowed(one, ({ ms }) => ms > one.now.ms);
