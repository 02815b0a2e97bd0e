import { clockOfMs } from '#core/time';
import type { RunRecord } from './compare';

/** Differences below this are how people breathe, not news. */
const WORTH_SAYING_MS = 10_000;

/** Where most of a shortfall of one side happened, where a single step explains it. */
function mostOfIt(record: RunRecord, short: 'left' | 'right', nameOf: (stepIndex: number) => string): string {
  const [worst] = record.steps
    .flatMap((step) => step.sides.map((side) => ({ ...side, stepIndex: step.stepIndex })))
    .filter(({ side }) => side === short)
    .sort((a, b) => a.differenceMs - b.differenceMs);
  if (!worst || worst.differenceMs > -WORTH_SAYING_MS) return '';
  return `, ${clockOfMs(-worst.differenceMs)} of it in ${nameOf(worst.stepIndex)}`;
}

/**
 * The one sentence that says most about a run: first uneven sides, then a late or early end, else that it went as
 * planned. `nameOf` gives a step's name in running text.
 */
export function tellingSentence(record: RunRecord, nameOf: (stepIndex: number) => string): string {
  const { left, right, total } = record;
  const skipped = record.steps.filter((step) => step.skipped).length;
  const shorter = left.differenceMs < right.differenceMs ? left : right;
  const apart = Math.abs(left.differenceMs - right.differenceMs);
  const side = shorter === left ? 'left' : 'right';
  if (!record.ended) return 'This session was not ended; what was led until then is here.';
  if (skipped === record.steps.length) return 'Nothing of the plan was led.';
  if (apart >= WORTH_SAYING_MS && shorter.differenceMs <= -WORTH_SAYING_MS) {
    const word = side === 'left' ? 'Left' : 'Right';
    return `${word} sides ran ${clockOfMs(-shorter.differenceMs)} short in all${mostOfIt(record, side, nameOf)}.`;
  }
  const late = total.differenceMs;
  if (Math.abs(late) >= 30_000) {
    const change = record.changes.differenceMs;
    const where = late > 0 && change > late / 2 ? `, ${clockOfMs(change)} of it in set-ups and changes` : '';
    return `Ended ${clockOfMs(Math.abs(late))} ${late > 0 ? 'late' : 'early'}${where}.`;
  }
  return left.plannedMs + right.plannedMs > 0
    ? `On time, and the sides within ${clockOfMs(apart)} of each other.`
    : 'On time, as planned.';
}
