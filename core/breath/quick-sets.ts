import { PLACE_WORDS } from './words';
import type { BreathPart, BreathPlace, Quarter } from './parts';
import type { BreathPractice } from './practice';
import type { BreathSet } from './set';
import { ownPaceOf, setOf } from './new-part';

/** Where the hands lie to feel the breath in a place. */
const HANDS_AT: Record<BreathPlace, string> = {
  belly: 'on the belly',
  sideRibs: 'on the side ribs',
  backRibs: 'on the back ribs',
  upperChest: 'under the collarbones',
};

const SECONDS_A_BREATH = 7;

/** The seconds that breaths at one's own pace are expected to take in a practice, each figure once and in its order. */
export const secondsABreath = ({ sets }: BreathPractice): number[] => [
  ...new Set(
    sets.flatMap(({ parts }) => parts.flatMap((part) => (part.kind === 'ownPace' ? [part.secondsPerCycle] : []))),
  ),
];

/** The practice with every breath at one's own pace expected to take so many seconds. */
export function withSecondsABreath(practice: BreathPractice, secondsPerCycle: number): BreathPractice {
  const paced = (part: BreathPart): BreathPart => (part.kind === 'ownPace' ? { ...part, secondsPerCycle } : part);
  return { ...practice, sets: practice.sets.map((set) => ({ ...set, parts: set.parts.map(paced) })) };
}

/**
 * A set for each of some places of the breath, in their order: so many breaths at one's own pace, felt there, with the
 * hands there where that is wanted. They take as long as the first such breath of the practice. `newId` gives their ids.
 */
export function setsAtPlaces(
  practice: BreathPractice,
  places: readonly BreathPlace[],
  { breaths, hands, eyes }: { breaths: number; hands: boolean; eyes: BreathSet['eyes'] },
  newId: () => string,
): BreathSet[] {
  const [seconds = SECONDS_A_BREATH] = secondsABreath(practice);
  return places.map((place) => {
    const label = PLACE_WORDS[place];
    return setOf(newId(), [ownPaceOf(breaths, seconds, { place })], 1, {
      label: label.charAt(0).toUpperCase() + label.slice(1),
      hands: hands ? HANDS_AT[place] : '',
      eyes,
    });
  });
}

/** How often a set is breathed: the breaths of one at one's own pace in one round, else its rounds. */
function withBreaths(set: BreathSet, breaths: number): BreathSet {
  const [part, ...others] = set.parts;
  if (part?.kind === 'ownPace' && others.length === 0 && set.rounds === 1)
    return { ...set, parts: [{ ...part, cycles: breaths }] };
  return { ...set, rounds: breaths, ramp: breaths < (set.ramp?.back ? 3 : 2) ? null : set.ramp };
}

/** The same sets again, with other eyes and so many breaths or rounds each; null leaves either as it was. */
export const sameAgain = (
  sets: readonly BreathSet[],
  { eyes, breaths }: { eyes: BreathSet['eyes'] | null; breaths: number | null },
  newId: () => string,
): BreathSet[] =>
  sets.map((set) => {
    const again = { ...set, id: newId(), eyes: eyes ?? set.eyes };
    return breaths === null ? again : withBreaths(again, breaths);
  });

/** What can change from one copy of a set to the next: a quarter of its counted breaths, or how often it is breathed. */
export type CopyRule = { of: Quarter | 'breaths'; by: number };

/** How often a set is breathed, as the rule counts it. */
function breathsOf({ parts, rounds }: BreathSet): number {
  const [part, ...others] = parts;
  return part?.kind === 'ownPace' && others.length === 0 && rounds === 1 ? part.cycles : rounds;
}

/**
 * So many copies of a set that change by one rule: in-breath 4, then 5, then 6. They are as the rule says even where that
 * is more than a practice allows: the practice refuses them with its reason.
 */
export function changedCopies(set: BreathSet, { of, by }: CopyRule, times: number, newId: () => string): BreathSet[] {
  return Array.from({ length: times }, (_, i): BreathSet => {
    const copy = { ...set, id: newId() };
    const more = by * (i + 1);
    if (of === 'breaths') return withBreaths(copy, breathsOf(set) + more);
    const parts = copy.parts.map((part) => (part.kind === 'cycle' ? { ...part, [of]: part[of] + more } : part));
    return { ...copy, parts };
  });
}
