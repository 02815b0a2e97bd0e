import { sideSeconds } from './sides';
import { setUpInWords } from '#core/props';
import { clockOfMs, clockOfSeconds } from '#core/time';
import { breathCost, countsInWords } from '#core/breath';
import { emptyPlan, PLAN_VERSION } from './plan';
import { readPlan } from './read';
import type { HoldStep, Step } from './step';

/** The type under which copied steps stand on the clipboard, beside the outline as plain text. */
export const STEPS_MEDIA_TYPE = 'application/x-zovrin-steps+json';

const FORMAT = 'zovrin-steps';

/** Steps as they stand on the clipboard: JSON that `readCopiedSteps` reads, also in a later version. */
export const copiedSteps = (steps: readonly Step[]): string =>
  JSON.stringify({ format: FORMAT, version: PLAN_VERSION, steps });

/**
 * Reads copied steps. Undefined for what is something else, damaged, or of a newer version; what an older version
 * copied is migrated as its plans are.
 */
export function readCopiedSteps(text: string): Step[] | undefined {
  let copied: unknown;
  try {
    copied = JSON.parse(text);
  } catch {
    return undefined;
  }
  if (typeof copied !== 'object' || copied === null || !('format' in copied) || copied.format !== FORMAT)
    return undefined;
  const { version, steps } = copied as { version?: unknown; steps?: unknown };
  const read = readPlan({ ...emptyPlan('Copied steps'), version, steps });
  return read.ok ? read.value.steps : undefined;
}

function holdLength({ sides }: HoldStep): string {
  const { left, right } = sideSeconds(sides);
  if (sides.kind === 'together') return clockOfSeconds(left);
  if (sides.kind === 'one') return `${clockOfSeconds(Math.max(left, right))} ${sides.side} only`;
  return left === right
    ? `${clockOfSeconds(left)} each side`
    : `left ${clockOfSeconds(left)}, right ${clockOfSeconds(right)}`;
}

function lineOf(step: Step): string {
  switch (step.kind) {
    case 'hold':
      return [`${step.name} ${holdLength(step)}`, setUpInWords(step.setUp)].filter(Boolean).join(' – ');
    case 'breath': {
      const { lengthMs, cycles } = breathCost(step.practice);
      const counts = [countsInWords(step.practice), cycles > 0 ? `${cycles} breaths` : ''].filter(Boolean).join(', ');
      return [`${step.name} ${clockOfMs(lengthMs)}`, counts].filter(Boolean).join(' – ');
    }
    default:
      return `${step.name} ${clockOfSeconds(step.seconds)}`;
  }
}

/** Steps as lines that a teacher would type, numbered from 1: `2. Reclined twist 3:30 each side – blanket`. */
export const stepsOutline = (steps: readonly Step[]): string =>
  steps.map((step, i) => `${i + 1}. ${lineOf(step)}${step.locked ? ' (locked)' : ''}\n`).join('');
