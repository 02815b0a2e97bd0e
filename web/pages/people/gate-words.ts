import { ratioInWords } from '#core/breath';
import type { RungGate } from '#core/review';

const sessions = (count: number): string => `${count} easy ${count === 1 ? 'session' : 'sessions'}`;

/** When a rung of the ladder is open, and how far somebody has come towards it; only when, where the record is not known. */
export function gateInWords({ gate, before, easyBefore, open }: RungGate, isCounted = true): string {
  if (!before || gate === 0) return 'from the start';
  // A ratio is not broken at the end of a line.
  const at = `at ${ratioInWords(before).replaceAll(' ', '\u00a0')}`;
  if (!isCounted) return `after ${sessions(gate)} ${at}`;
  return open ? `open, after ${sessions(easyBefore)} ${at}` : `after ${sessions(gate)} ${at}; ${easyBefore} so far`;
}
