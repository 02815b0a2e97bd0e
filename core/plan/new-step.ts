import {
  setUpFor,
  type Approach,
  type ClassWhere,
  type HoldDefaults,
  type Position,
  type Technique,
} from '#core/catalogue';
import type {
  BreathMoves,
  BreathStep,
  HoldBreath,
  HoldSides,
  HoldStep,
  MoveStep,
  Rebound,
  RestStep,
  TalkStep,
} from './step';

const FALLBACK: HoldDefaults = { seconds: 180, minSeconds: 60, maxSeconds: 300, strength: 2 };

/** A position's usual length and strength in an approach, or those of the nearest approach it has. */
export function holdDefaults(position: Position, approach: Approach): HoldDefaults {
  const { restorative, yin, blended, pranayama } = position.defaults;
  return position.defaults[approach] ?? blended ?? restorative ?? yin ?? pranayama ?? FALLBACK;
}

/** How a new step stands to fitting and ordering: free in both. */
const FREE = { locked: false, weight: 'normal', pinned: false, takesRemaining: false, where: null } as const;

function sidesOf(position: Position, seconds: number): HoldSides {
  switch (position.sides) {
    case 'together':
      return { kind: 'together', seconds };
    case 'one':
      return { kind: 'one', side: 'left', seconds };
    case 'each':
    case 'crossing':
      return { kind: position.sides, first: 'house', length: { kind: 'even', seconds } };
  }
}

function reboundOf({ rebound }: Position): Rebound {
  return rebound.when === 'none' || rebound.seconds === 0
    ? { kind: 'none' }
    : { kind: rebound.when, seconds: rebound.seconds };
}

/**
 * A hold of a library position with the defaults of the plan's approach, and with the position's set-up for where the
 * class takes place, or its first.
 */
export function holdFrom(
  position: Position,
  approach: Approach,
  id: string,
  where: ClassWhere | null = null,
): HoldStep {
  const { seconds, minSeconds, maxSeconds, strength } = holdDefaults(position, approach);
  return {
    id,
    kind: 'hold',
    name: position.names.english,
    note: '',
    ...FREE,
    position: position.id,
    demands: null,
    sides: sidesOf(position, seconds),
    unevenIntended: false,
    breathSeconds: null,
    range: { min: minSeconds, max: maxSeconds },
    rangeIsUsual: true,
    strength,
    stages: position.stages.map((stage, i) => ({
      id: `stage-${i + 1}`,
      ...stage,
      breathSeconds: null,
      position: null,
      setUp: null,
    })),
    setUp: structuredCloneOf(setUpFor(position, where)?.items ?? []),
    otherSetUp: null,
    setupSeconds: null,
    enterSeconds: null,
    leaveSeconds: null,
    switchSeconds: null,
    prompts: position.prompts.map((prompt, i) => ({ id: `prompt-${i + 1}`, ...prompt, on: 'every' })),
    breath: null,
    rebound: reboundOf(position),
    loosen: null,
    waysIn: null,
    waysOut: null,
    leftMeans: null,
  };
}

/** A hold of something the library does not have, under the name that was typed. */
export function holdNamed(name: string, id: string): HoldStep {
  return {
    id,
    kind: 'hold',
    name,
    note: '',
    ...FREE,
    position: `own-${id}`,
    demands: null,
    sides: { kind: 'together', seconds: FALLBACK.seconds },
    unevenIntended: false,
    breathSeconds: null,
    range: null,
    rangeIsUsual: false,
    strength: null,
    stages: [],
    setUp: [],
    otherSetUp: null,
    setupSeconds: null,
    enterSeconds: null,
    leaveSeconds: null,
    switchSeconds: null,
    prompts: [],
    breath: null,
    rebound: { kind: 'none' },
    loosen: null,
    waysIn: null,
    waysOut: null,
    leftMeans: null,
  };
}

/** A breath step with a technique's usual practice. */
export function breathFrom(technique: Technique, id: string): BreathStep {
  return {
    id,
    kind: 'breath',
    name: technique.names.english,
    note: '',
    ...FREE,
    technique: technique.id,
    practice: structuredCloneOf(technique.practice),
    moves: null,
    seat: null,
    setUp: [],
    otherSetUp: null,
    setupSeconds: null,
    afterSeconds: 0,
  };
}

/** A technique practised inside a hold: half a minute to settle, then for as long as the hold lasts. */
export const holdBreathFrom = (technique: Technique): HoldBreath => ({
  technique: technique.id,
  name: technique.names.english,
  practice: structuredCloneOf(technique.practice),
  settleSeconds: 30,
  fill: true,
});

/** A counted position: in on the in-breath, held for the full hold, out on the out-breath, side after side in turn. */
export const breathMovesOf = (position: Position): BreathMoves => ({
  position: position.id,
  into: 'in',
  outOf: 'out',
  sides: position.sides === 'each' || position.sides === 'crossing' ? 'inTurn' : 'together',
  first: 'house',
});

export const restStep = (id: string, name = 'Rest', seconds = 60): RestStep => ({
  id,
  kind: 'rest',
  name,
  note: '',
  ...FREE,
  seconds,
  setUp: null,
  otherSetUp: null,
  setupSeconds: null,
});

export const moveStep = (id: string, name = 'Loosen', seconds = 45): MoveStep => ({
  id,
  kind: 'move',
  name,
  note: '',
  ...FREE,
  seconds,
});

export const talkStep = (id: string, name = 'Talk', seconds = 60): TalkStep => ({
  id,
  kind: 'talk',
  name,
  note: '',
  ...FREE,
  seconds,
});

/** Plain JSON values only, so a copy through JSON is whole and needs nothing of the platform. */
function structuredCloneOf<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T;
}
