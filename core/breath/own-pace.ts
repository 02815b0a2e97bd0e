import { partMs } from './lengths';
import type { BreathPart, CyclePart } from './parts';
import type { BreathPractice } from './practice';

/** A breath at one's own pace is expected to take at most so long. */
const MAX_SECONDS_OF_BREATH = 60;

/** A counted breath that is only an in-breath and an out-breath, the same way in and out. */
const isPlain = ({ holdFull, holdEmpty, inSteps, outSteps, wave, inThrough, outThrough }: CyclePart): boolean =>
  holdFull + holdEmpty === 0 && !inSteps && !outSteps && !wave && inThrough === outThrough;

/**
 * A practice whose plain counted breaths go at each person's own pace, as many as they were and each expected to take as
 * long. What is held, interrupted, grows over the rounds, changes the nostril or takes more than a minute stays counted.
 */
export function atOwnPace(practice: BreathPractice): BreathPractice {
  const ownPace = (part: BreathPart): BreathPart => {
    if (part.kind !== 'cycle' || !isPlain(part)) return part;
    const secondsPerCycle = partMs(part, practice.countSeconds) / 1000;
    if (secondsPerCycle > MAX_SECONDS_OF_BREATH) return part;
    const { inThrough: through, sound, place } = part;
    return {
      kind: 'ownPace',
      cycles: 1,
      secondsPerCycle,
      through,
      sound,
      place,
    };
  };
  const sets = practice.sets.map((set) => (set.ramp ? set : { ...set, parts: set.parts.map(ownPace) }));
  return { ...practice, sets };
}
