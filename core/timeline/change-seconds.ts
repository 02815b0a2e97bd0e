import type { Seconds } from '#core/numbers';
import type { TimelineRules } from './rules';

/** A usual time of getting in, coming out or changing sides under some rules, in seconds. */
export const changeSeconds = (usual: Seconds, { changesPercent }: TimelineRules): Seconds =>
  changesPercent === 100 ? usual : Math.round((usual * changesPercent) / 100);
