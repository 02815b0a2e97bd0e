import { breathCost } from '#core/breath';
import type { Position } from '#core/catalogue';
import type { Plan, Step } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import type { SetUp } from '#core/props';
import type { Demands, SessionDemand } from './demands';
import type { Knowledge } from './knowledge';
import { seatsOf } from './seats';

const closesEyes = (kind: Step['kind'] | undefined): boolean => kind === 'hold' || kind === 'breath' || kind === 'rest';

/** How much of something a class demands, and in which of its steps. */
interface AskedInAll {
  amount: number;
  steps: readonly number[];
}
export type SessionDemands = Readonly<Record<SessionDemand, AskedInAll>>;

/** A rest on the floor of less than this is left without care. */
const LAIN_SECONDS = 180;
const LOW: ReadonlySet<Position['family']> = new Set(['supine', 'prone', 'sideLying', 'wall']);

/** Whether a step is done low down: lying, or with the head hanging. undefined for what goes on where one is. */
function isLow(step: Step, asks: Demands, knowledge: Knowledge): boolean | undefined {
  if (step.kind === 'breath') {
    const seats = seatsOf(step, knowledge.library, knowledge.positions);
    return seats.length > 0 && seats.every(({ family }) => LOW.has(family));
  }
  if (step.kind !== 'hold') return undefined;
  const family = knowledge.library.position(step.position)?.family;
  return family === undefined ? undefined : LOW.has(family) || asks.has('headBelowHeart');
}

/** Hips lower than this are on the floor or on props on it, higher ones on a chair or on the feet. */
const FLOOR_CM = 32;
/** Still for so long, most close their eyes. */
const EYES_CLOSE_SECONDS = 180;
const ON_FLOOR: ReadonlySet<Position['family']> = new Set(['seated', 'kneeling', 'prone', 'supine', 'sideLying']);

/** Whether a step is done down on the floor. undefined for what goes on where one is. */
function isOnFloor(step: Step, { library, positions, strains }: Knowledge): boolean | undefined {
  const at = (position: Position, setUp: SetUp): boolean => {
    const measured = strains(position, setUp);
    return measured.length > 0
      ? measured.some(({ hipsOverFloorCm }) => hipsOverFloorCm < FLOOR_CM)
      : ON_FLOOR.has(position.family);
  };
  if (step.kind === 'breath') return seatsOf(step, library, positions).some((seat) => at(seat, step.setUp));
  const position = step.kind === 'hold' ? library.position(step.position) : undefined;
  return position && step.kind === 'hold' ? at(position, step.setUp) : undefined;
}

/**
 * What a class demands in total: its longest flat rest, its pumps, its holding of the breath, how often one gets up from
 * lying and from the floor, how long most have their eyes closed.
 */
export function sessionDemands(plan: Plan, asks: readonly Demands[], knowledge: Knowledge): SessionDemands {
  const timeline = compileTimeline(plan, knowledge.library);
  const secondsOf = (i: number): number => {
    const span = timeline.steps[i];
    return span ? (span.endMs - span.startMs) / 1000 : 0;
  };
  const inAll = (trait: 'strokes' | 'prone'): number[] => [...asks.keys()].filter((i) => asks[i]?.has(trait));
  const held = plan.steps.map((step) =>
    step.kind === 'breath'
      ? breathCost(step.practice).retentionMs / 1000
      : step.kind === 'hold' && step.breath
        ? breathCost(step.breath.practice).retentionMs / 1000
        : 0,
  );
  const sum = (steps: readonly number[], of: (i: number) => number): number =>
    steps.reduce((total, i) => total + of(i), 0);

  let flat: number[] = [];
  let longestFlat: number[] = [];
  const up: number[] = [];
  let lain = 0;
  for (const [i, step] of plan.steps.entries()) {
    const goesOn = step.kind === 'rest' || step.kind === 'talk';
    if (asks[i]?.has('flatSupine') || (goesOn && flat.length > 0)) flat.push(i);
    else flat = [];
    if (sum(flat, secondsOf) > sum(longestFlat, secondsOf)) longestFlat = [...flat];

    const low = isLow(step, asks[i] ?? new Map(), knowledge);
    if (low === true) lain += secondsOf(i);
    else if (low === false) {
      if (lain >= LAIN_SECONDS) up.push(i);
      lain = 0;
    }
  }
  // At the end everyone gets up.
  if (lain >= LAIN_SECONDS) up.push(plan.steps.length - 1);

  const fromFloor: number[] = [];
  let isDown = false;
  for (const [i, step] of plan.steps.entries()) {
    const floor = isOnFloor(step, knowledge);
    if (isDown && floor === false) fromFloor.push(i);
    isDown = floor ?? isDown;
  }
  if (isDown) fromFloor.push(plan.steps.length - 1);

  const closed = [...plan.steps.keys()].filter(
    (i) => closesEyes(plan.steps[i]?.kind) && secondsOf(i) >= EYES_CLOSE_SECONDS,
  );
  const [strokes, prone] = [inAll('strokes'), inAll('prone')];
  const holding = [...held.keys()].filter((i) => (held[i] ?? 0) > 0);
  return {
    flatRest: { amount: sum(longestFlat, secondsOf), steps: longestFlat },
    strokes: { amount: sum(strokes, (i) => asks[i]?.get('strokes') ?? 0), steps: strokes },
    retention: { amount: sum(holding, (i) => held[i] ?? 0), steps: holding },
    gettingUp: { amount: up.length, steps: up },
    fromFloor: { amount: fromFloor.length, steps: fromFloor },
    eyesClosed: { amount: sum(closed, secondsOf), steps: closed },
    prone: { amount: sum(prone, secondsOf), steps: prone },
    length: { amount: timeline.totals.totalMs / 1000, steps: [] },
  };
}
