import { clockOfMs } from '#core/time';
import type { RunRecord, StepRecord } from './compare';

/** Differences below this are how people breathe, not news. */
const WORTH_SAYING_MS = 10_000;
const LATE_MS = 30_000;
const EQUAL_MS = 1000;

/** By how much the left side of a step was longer than the right, more than planned; 0 for a step without both. */
function offOf({ sides }: StepRecord): number {
  const [left, right] = (['left', 'right'] as const).map((which) => sides.find(({ side }) => side === which));
  return left?.reached && right?.reached ? left.differenceMs - right.differenceMs : 0;
}

/** Where most of a difference between the sides arose, where a single step explains it. */
function mostOfIt({ steps, balance }: RunRecord, nameOf: (stepIndex: number) => string): string {
  const sign = Math.sign(balance.offMs);
  const [worst] = steps.toSorted((a, b) => sign * (offOf(b) - offOf(a)));
  const offMs = worst ? sign * offOf(worst) : 0;
  return worst && offMs >= WORTH_SAYING_MS ? `, ${clockOfMs(offMs)} of it in ${nameOf(worst.stepIndex)}` : '';
}

/** `left sides 0:30 longer`, of a length that is left less right. */
const longer = (ms: number): string => `${ms > 0 ? 'left' : 'right'} sides ${clockOfMs(Math.abs(ms))} longer`;

function unevenSides(record: RunRecord, nameOf: (stepIndex: number) => string): string {
  const { apartMs, meantMs } = record.balance;
  if (Math.abs(meantMs) >= EQUAL_MS) {
    const were =
      Math.abs(apartMs) < EQUAL_MS
        ? 'Left and right sides were equal'
        : `${apartMs > 0 ? 'Left' : 'Right'} sides were ${clockOfMs(Math.abs(apartMs))} longer`;
    return `${were}; the plan has ${longer(meantMs)}.`;
  }
  const [shorter, other] = apartMs < 0 ? ['Left', 'right'] : ['Right', 'left'];
  const by = clockOfMs(Math.abs(apartMs));
  return `${shorter} sides were ${by} shorter than ${other} sides${mostOfIt(record, nameOf)}.`;
}

/** What the session ended before: ` and 2 steps were not reached`, with the side of the step it ended in. */
function notReached(record: RunRecord, nameOf: (stepIndex: number) => string): string {
  const steps = record.steps.filter(({ reached }) => !reached).length;
  const sides = record.steps.flatMap(({ stepIndex, reached, sides: of }) =>
    reached ? of.filter((side) => !side.reached).map(({ side }) => `the ${side} side of ${nameOf(stepIndex)}`) : [],
  );
  const parts = [...sides, ...(steps > 0 ? [`${steps} ${steps === 1 ? 'step' : 'steps'}`] : [])];
  if (parts.length === 0) return '';
  return `; ${parts.join(' and ')} ${steps + sides.length === 1 ? 'was' : 'were'} not reached`;
}

/**
 * The one sentence that says most about a run: first sides that differ from each other other than the plan means them
 * to, then a late or early end with what was not reached, else that it went as planned. `nameOf` gives a step's name in
 * running text.
 */
export function comparisonInWords(record: RunRecord, nameOf: (stepIndex: number) => string): string {
  const { balance, total } = record;
  if (!record.ended) return 'This session was not ended; this is what was led until then.';
  if (record.steps.every((step) => step.skipped)) return 'Nothing of the plan was led.';
  if (Math.abs(balance.offMs) >= WORTH_SAYING_MS) return unevenSides(record, nameOf);
  const lateMs = total.differenceMs;
  if (Math.abs(lateMs) >= LATE_MS || record.notReachedMs > 0) {
    const changeMs = record.changes.differenceMs;
    const where =
      lateMs > 0 && changeMs > lateMs / 2 ? `, ${clockOfMs(changeMs)} of it in setting up and changing` : '';
    const when =
      Math.abs(lateMs) < EQUAL_MS ? 'on time' : `${clockOfMs(Math.abs(lateMs))} ${lateMs > 0 ? 'late' : 'early'}`;
    return `Ended ${when}${where}${notReached(record, nameOf)}.`;
  }
  if (balance.leftMs + balance.rightMs === 0) return 'On time, as planned.';
  if (Math.abs(balance.meantMs) >= EQUAL_MS) return `On time, with ${longer(balance.apartMs)}, as planned.`;
  const apartMs = Math.abs(balance.apartMs);
  return apartMs < EQUAL_MS
    ? 'On time, both sides equal.'
    : `On time, with left and right within ${clockOfMs(apartMs)} of each other.`;
}
