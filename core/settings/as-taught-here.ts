import { atOwnPace, type BreathPractice } from '#core/breath';
import type { Library, Position } from '#core/catalogue';
import { mapSides, sideSeconds, type HoldStep, type Prompt, type Step } from '#core/plan';
import type { Settings } from './settings';

type School = Settings['school'];

/** What is said to everyone in a new step. */
export interface UsualSentences {
  /** How still a hold is. */
  movement: Record<NonNullable<School['movement']>, string>;
  /** How to release after a side, where the position does not say. */
  release: string;
}
/** When a hold says how still it is, and how long it is at least to say so. Seconds. */
const MOVEMENT_AFTER = 60;
const MOVEMENT_FROM = 90;
const USUAL_REST = 30;
const USUAL_RELEASE = 20;

function afterSide(
  hold: HoldStep,
  position: Position | undefined,
  how: School['afterSide'],
  { release }: UsualSentences,
): Partial<HoldStep> {
  const twoSided = hold.sides.kind === 'each' || hold.sides.kind === 'crossing';
  if (!twoSided || how === 'library') return {};
  switch (how) {
    case 'none':
      return { rebound: { kind: 'none' }, loosen: null };
    case 'rest':
      return { rebound: { kind: 'afterEach', seconds: position?.rebound.seconds || USUAL_REST }, loosen: null };
    case 'release':
      return {
        rebound: { kind: 'none' },
        loosen: { when: 'afterEach', seconds: USUAL_RELEASE, text: position?.loosen || release },
      };
  }
}

function movementPrompts(hold: HoldStep, movement: School['movement'], says: UsualSentences['movement']): Prompt[] {
  const { left, right } = sideSeconds(hold.sides);
  if (movement === null || Math.max(left, right) < MOVEMENT_FROM) return hold.prompts;
  const at = { kind: 'after' as const, seconds: MOVEMENT_AFTER };
  return [...hold.prompts, { id: 'movement', at, text: says[movement], on: 'first' }];
}
/** A hold measured in breaths: each of its sides as many whole breaths as come nearest, at least one. */
function measuredInBreaths(hold: HoldStep, { counting, breathSeconds }: School): HoldStep {
  if (counting !== 'breath') return hold;
  const whole = (seconds: number): number => Math.max(1, Math.round(seconds / breathSeconds)) * breathSeconds;
  return { ...hold, breathSeconds, sides: mapSides(hold.sides, whole) };
}

/** A practice whose throat sounds are as loud as is usual here, where they do not say how loud they are. */
const withThroat = (practice: BreathPractice, loudness: School['throat']): BreathPractice => ({
  ...practice,
  sets: practice.sets.map((set) => ({
    ...set,
    parts: set.parts.map((part) =>
      part.kind === 'cycle' && part.sound === 'throat' && !part.loudness ? { ...part, loudness } : part,
    ),
  })),
});

/**
 * A new step as this house teaches: what follows each side, how still it is, no stronger than the highest intensity, how
 * loud a throat sounds, and in breaths where these are what is counted by. Everything else is as the library has it.
 */
export function asTaughtHere(step: Step, library: Library, school: School, says: UsualSentences): Step {
  if (step.kind === 'breath') {
    const practice = school.counting === 'breath' ? atOwnPace(step.practice) : step.practice;
    return { ...step, practice: withThroat(practice, school.throat) };
  }
  if (step.kind !== 'hold') return step;
  return {
    ...measuredInBreaths(step, school),
    ...afterSide(step, library.position(step.position), school.afterSide, says),
    prompts: movementPrompts(step, school.movement, says.movement),
    strength: step.strength === null ? null : Math.min(step.strength, school.maxIntensity),
  };
}
