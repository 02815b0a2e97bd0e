import type { SetUp } from '#core/props';
import type { HoldStep } from './step';

/**
 * What lies there in a stage of a hold, from 0: a stage without props of its own keeps those of the stage before it, and
 * the first those of the hold. Below 0 it is what the hold begins with.
 */
export const setUpOfStage = ({ stages, setUp }: Pick<HoldStep, 'stages' | 'setUp'>, stage: number): SetUp =>
  stages.slice(0, Math.max(0, stage + 1)).findLast((one) => one.setUp !== null)?.setUp ?? setUp;
