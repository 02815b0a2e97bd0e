import { seeded, type Seconds } from '#core/numbers';
import type { MeasuredBreath } from './comfortable';

/** A simulated person: how long their easy breath is, and how much breaths vary. */
export interface Breather extends Required<MeasuredBreath> {
  name: string;
  /** The most by which a breath differs from the usual, as a share. */
  unsteady: number;
  /** Holds on at the third hold, well past what was easy. */
  strains: boolean;
}

export const BREATHERS: readonly Breather[] = [
  { name: 'Easy and steady', in: 4, out: 5.5, holdFull: 9, holdEmpty: 5, unsteady: 0.05, strains: false },
  { name: 'Long, a singer', in: 6, out: 9, holdFull: 12, holdEmpty: 8, unsteady: 0.08, strains: false },
  { name: 'Short, and strains', in: 2.6, out: 3.2, holdFull: 6, holdEmpty: 3, unsteady: 0.2, strains: true },
];

const STRAIN = 1.45;

/**
 * A stand-in for a person: gives the length in seconds of one breath after the other, and of one hold after the other.
 * The same breather with the same seed breathes the same.
 */
export function simulatedBreather(breather: Breather, seed: number) {
  const random = seeded(seed);
  const about = (seconds: Seconds): Seconds =>
    Math.round(seconds * (1 + breather.unsteady * (2 * random() - 1)) * 1000) / 1000;
  let holds = 0;
  return {
    breath: (): { in: Seconds; out: Seconds } => ({ in: about(breather.in), out: about(breather.out) }),
    hold(kind: 'holdFull' | 'holdEmpty'): Seconds {
      holds++;
      return breather.strains && holds === 3 ? breather[kind] * STRAIN : about(breather[kind]);
    },
  };
}
