import type { Seconds } from '#core/numbers';
import type { SetUp } from '#core/props';
import type { HoldStep, Stage } from './step';

/**
 * What lies there in a stage of a hold, from 0: a stage without props of its own keeps those of the stage before it, and
 * the first those of the hold. Below 0 it is what the hold begins with.
 */
export const setUpOfStage = ({ stages, setUp }: Pick<HoldStep, 'stages' | 'setUp'>, stage: number): SetUp =>
  stages.slice(0, Math.max(0, stage + 1)).findLast((one) => one.setUp !== null)?.setUp ?? setUp;

/** The id of the position of a stage of a hold, from 0: a stage without one of its own keeps that of the stage before it. */
export const positionOfStage = (
  { stages, position }: { stages: readonly Pick<Stage, 'position'>[]; position: string },
  stage: number,
): string => stages.slice(0, Math.max(0, stage + 1)).findLast((one) => one.position !== null)?.position ?? position;

/** What the stages of a hold add up to, in seconds; undefined where there are none, or one shares the remaining time. */
export function stagesSeconds({ stages }: Pick<HoldStep, 'stages'>): Seconds | undefined {
  if (stages.length === 0) return undefined;
  let sum = 0;
  for (const { length } of stages) {
    if (length.kind !== 'fixed') return undefined;
    sum += length.seconds;
  }
  return sum;
}
