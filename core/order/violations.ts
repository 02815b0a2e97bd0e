import { BENDS, type Bend } from '#core/catalogue';
import { answerable, bendsMeet, outOfPlace, sameJoint } from './problem';
import type { BreathSpot, OrderRules } from './rules';
import type { Unit } from './units';

/** A rule that an order does not keep, by the names of the steps it is about. */
export type BrokenRule =
  | { kind: 'unanswered'; name: string; bend: Bend; possible: boolean }
  | { kind: 'joints'; names: readonly [string, string]; joint: string }
  | { kind: 'neutral'; names: readonly [string, string] }
  | { kind: 'rousing'; names: readonly [quieting: string, rousing: string] }
  | { kind: 'breath'; name: string; spot: BreathSpot };

/**
 * The rules that a sequence of units breaks. A counterpose that no step of the plan could give is listed too, as not
 * possible: no order could help.
 */
export function findViolations(
  units: readonly Unit[],
  rules: OrderRules,
  spot: BreathSpot,
  sequence: readonly number[],
): BrokenRule[] {
  const could = answerable(units);
  const broken: BrokenRule[] = [];
  sequence.forEach((i, at) => {
    const unit = units[i]!;
    const next = sequence.slice(at + 1, at + 3).reduce((bits, j) => bits | units[j]!.answers, 0);
    if (rules.answer)
      BENDS.forEach((bend, bit) => {
        if ((unit.needs & ~next & (1 << bit)) === 0) return;
        broken.push({ kind: 'unanswered', name: unit.name, bend, possible: (could[i]!.needs & (1 << bit)) !== 0 });
      });
    const follows = units[sequence[at + 1] ?? -1];
    if (rules.longSeconds !== null && follows && sameJoint(unit, follows)) {
      const joint = unit.longOn.find((one) => follows.longOn.includes(one))!;
      broken.push({ kind: 'joints', names: [unit.name, follows.name], joint });
    }
    if (rules.neutral && follows && bendsMeet(unit, follows))
      broken.push({ kind: 'neutral', names: [unit.name, follows.name] });
    const quieted = sequence.slice(0, at).find((j) => units[j]!.effect === 'quieting');
    if (rules.rousing && unit.effect === 'rousing' && quieted !== undefined)
      broken.push({ kind: 'rousing', names: [units[quieted]!.name, unit.name] });
    const hold = (part: readonly number[]): boolean => part.some((j) => units[j]!.isHold);
    if (unit.isBreath && outOfPlace(spot, hold(sequence.slice(0, at)), hold(sequence.slice(at + 1))))
      broken.push({ kind: 'breath', name: unit.name, spot });
  });
  return broken;
}
