import { growthRefusals, GROWTH, type CountedBreath, type GrowthRules } from './grow';
import type { BreathPractice } from './practice';

/** The counted breaths of a practice by their set and part, at the end of what changes over the rounds. */
function countedBreaths({ sets, countSeconds }: BreathPractice): Map<string, CountedBreath> {
  const found = new Map<string, CountedBreath>();
  for (const { id, parts, ramp } of sets) {
    for (const [i, part] of parts.entries()) {
      if (part.kind !== 'cycle') continue;
      const { in: inCounts, holdFull, out, holdEmpty } = part;
      const ratio = { in: inCounts, holdFull, out, holdEmpty };
      if (ramp) ratio[ramp.of] = Math.max(ratio[ramp.of], ramp.to);
      found.set(`${id} ${i}`, { ratio, countSeconds });
    }
  }
  return found;
}

/**
 * Why a practice has grown by more than the settings allow since it was last taught; empty if it may. Sets are
 * compared with those they were before; what is new is not growth. `easy`: whether the in- and out-breath were easy then;
 * undefined where nobody noted it.
 */
export function grownTooFast(
  before: BreathPractice,
  now: BreathPractice,
  easy: boolean | undefined,
  rules: GrowthRules = GROWTH,
): string[] {
  const earlier = countedBreaths(before);
  const refusals = [...countedBreaths(now)].flatMap(([key, breath]) => {
    const was = earlier.get(key);
    return was ? growthRefusals(was, breath, easy, rules) : [];
  });
  return [...new Set(refusals)];
}
