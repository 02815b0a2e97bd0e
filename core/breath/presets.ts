import { breathCost } from './cost';
import type { BreathPart } from './parts';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';
import { ownPaceOf, setOf } from './new-part';
import { secondsABreath } from './quick-sets';

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

/** A name of up to three words, without a comma, before what is said. */
const NAMED = /^((?:[^\s:,.]+ ){0,2}[^\s:,.]+):\s+(.+)$/;

/** A step of teaching: its name, where it begins with one (`With a hand: lift it with the in-breath.`), and what is said. */
export function taughtStep(line: string): { name: string; says: string } {
  const [, name = '', says = line] = NAMED.exec(line) ?? [];
  return { name, says: says.charAt(0).toUpperCase() + says.slice(1) };
}

/**
 * A practice that teaches a technique first: one set of easy breaths for each of its steps, called by its name, with what
 * is said; and then the practice. A breath takes as long as the others at one's own pace. `newId` gives ids for the sets.
 */
export function taughtInSteps(practice: BreathPractice, steps: readonly string[], newId: () => string): BreathPractice {
  const [seconds = SECONDS_A_BREATH] = secondsABreath(practice);
  const taught = steps.map((line, i) => {
    const { name, says } = taughtStep(line);
    const label = name === '' ? `Step ${i + 1}` : name;
    return setOf(newId(), [ownPaceOf(BREATHS_A_STEP, seconds)], 1, { label, says, restSeconds: 10 });
  });
  return { ...practice, sets: [...taught, ...practice.sets] };
}
