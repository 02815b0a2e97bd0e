import { breathCost, countsInWords } from '#core/breath';
import { APPROACH_LABELS } from '#core/catalogue';
import { sideSeconds, type HoldStep, type Step } from '#core/plan';
import { setUpRowInWords } from '#core/props';
import { clockOfMs, clockOfSeconds } from '#core/time';
import type { FoundHeading } from './heading';

function holdLength({ sides, range, rangeIsUsual }: HoldStep): string {
  const { left, right } = sideSeconds(sides);
  if (sides.kind === 'together') return lengthWithRange(left, range, rangeIsUsual);
  if (sides.kind === 'one') return `${clockOfSeconds(Math.max(left, right))} ${sides.side} only`;
  const first = sides.first === 'house' ? '' : `, ${sides.first} first`;
  return left === right
    ? `${lengthWithRange(left, range, rangeIsUsual)} each side${first}`
    : `left ${clockOfSeconds(left)}, right ${clockOfSeconds(right)}${first}`;
}

const lengthWithRange = (seconds: number, range: HoldStep['range'], isUsual: boolean): string =>
  range && !isUsual
    ? `${clockOfSeconds(range.min)} to ${clockOfSeconds(range.max)}, now ${clockOfSeconds(seconds)}`
    : clockOfSeconds(seconds);

/** What was understood as a step, in one line: `Reclined twist, 3:30 each side, left first`. */
export function stepInWords(step: Step): string {
  if (step.takesRemaining) return `${step.name}, for what is left of the class`;
  if (step.kind === 'hold') return `${step.name}, ${holdLength(step)}`;
  if (step.kind !== 'breath') return `${step.name}, ${clockOfSeconds(step.seconds)}`;
  const { lengthMs } = breathCost(step.practice);
  const rounds = step.practice.sets.reduce((sum, set) => sum + set.rounds, 0);
  const counts = countsInWords(step.practice);
  return `${step.name}, ${counts === '' ? '' : `${counts}, `}${rounds} ${rounds === 1 ? 'round' : 'rounds'}, ${clockOfMs(lengthMs)}`;
}

/** The props of a step in one line; empty if there are none. */
export const propsInWords = (step: Step): string =>
  'setUp' in step && step.setUp ? step.setUp.map(setUpRowInWords).join('; ') : '';

/** What was understood of a heading, in one line. */
export function headingInWords({ classSeconds, approach, groupSize, startsAt, place }: FoundHeading): string {
  return [
    startsAt?.replace('T', ', '),
    classSeconds === undefined ? '' : clockOfSeconds(classSeconds),
    approach && APPROACH_LABELS[approach],
    groupSize === undefined ? '' : `${groupSize} people`,
    place,
  ]
    .filter(Boolean)
    .join(' · ');
}
