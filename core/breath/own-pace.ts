import { partMs } from './lengths';
import type { BreathPart, CyclePart } from './parts';
import type { BreathPractice } from './practice';

/** A breath at one's own pace is expected to take at most so long. */
const MAX_SECONDS_OF_BREATH = 60;

/** A counted breath with nothing to it that one at one's own pace cannot say: in and out, the same way. */
const isPlain = ({ holdFull, holdEmpty, inThrough, outThrough, ...rest }: CyclePart): boolean =>
  holdFull + holdEmpty === 0 &&
  inThrough === outThrough &&
  [rest.inSteps, rest.outSteps, rest.wave, rest.outDirection, rest.loudness, rest.vowel].every(
    (detail) => detail === undefined,
  );

/**
 * A practice whose plain counted breaths go at each person's own pace, as many as they were and each expected to take as
 * long. What says more than in and out, grows over the rounds or takes more than a minute stays counted.
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
