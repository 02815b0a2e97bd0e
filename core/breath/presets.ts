import { breathCost } from './cost';
import type { BreathPart } from './parts';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';
import { ownPaceOf, setOf } from './new-part';

/** A practice to begin with, by a name a colleague would give it. */
export interface Preset {
  name: string;
  practice: BreathPractice;
}

const withoutHold = (part: BreathPart): BreathPart[] => {
  if (part.kind === 'retention') return [];
  return [part.kind === 'cycle' ? { ...part, holdFull: 0, holdEmpty: 0, locks: [] } : part];
};

/** The set without any hold; undefined if nothing is kept of it. */
function setWithoutHolds(set: BreathSet): BreathSet[] {
  const parts = set.parts.flatMap(withoutHold);
  const ramp = set.ramp?.of === 'holdFull' || set.ramp?.of === 'holdEmpty' ? null : set.ramp;
  return parts.length > 0 ? [{ ...set, parts, ramp }] : [];
}

/** A technique's usual practice, half as much of it, and, where breath is held in it, the same without holding. */
export function presetsOf(usual: BreathPractice): Preset[] {
  const half = usual.sets.map((set) => ({ ...set, rounds: Math.max(set.ramp ? 2 : 1, Math.ceil(set.rounds / 2)) }));
  const still = usual.sets.flatMap(setWithoutHolds);
  const holds = breathCost(usual).retentionMs > 0 || usual.sets.some(({ ramp }) => ramp?.of.startsWith('hold'));
  return [
    { name: 'As usual', practice: usual },
    ...(usual.sets.some(({ rounds }) => rounds > 1)
      ? [{ name: 'Half the rounds', practice: { ...usual, sets: half } }]
      : []),
    ...(holds && still.length > 0 ? [{ name: 'Without holding', practice: { ...usual, sets: still } }] : []),
  ];
}

const BREATHS_A_STEP = 6;
const SECONDS_A_BREATH = 8;

/**
 * A practice that teaches a technique first: one set of easy breaths for each of its steps, which is said with it, and
 * then the practice. `newId` gives ids for the new sets.
 */
export function taughtInSteps(practice: BreathPractice, steps: readonly string[], newId: () => string): BreathPractice {
  const taught = steps.map((says, i) =>
    setOf(newId(), [ownPaceOf(BREATHS_A_STEP, SECONDS_A_BREATH)], 1, { label: `Step ${i + 1}`, says, restSeconds: 10 }),
  );
  return { ...practice, sets: [...taught, ...practice.sets] };
}
