import type { Library } from '#core/catalogue';
import type { Seconds } from '#core/numbers';
import type { PlanEdit } from './edits';
import { setHold, setHoldSeconds, several } from './make-edits';
import type { Side } from './sides';
import type { HoldStep } from './step';

/** A custom hold shorter than this is a short move. Seconds. */
const SHORT_HOLD: Seconds = 60;
/** Getting into a short move, and coming out of it. Seconds. */
const SHORT_CHANGE: Seconds = 5;
const SHORT = { enterSeconds: SHORT_CHANGE, leaveSeconds: SHORT_CHANGE } as const;

/** Getting in and coming out of a hold that is not in the library and so long: briefly under a minute. */
const changesFor = (seconds: Seconds): Pick<HoldStep, 'enterSeconds' | 'leaveSeconds'> =>
  seconds < SHORT_HOLD ? SHORT : { enterSeconds: null, leaveSeconds: null };

/**
 * Sets the length of a hold, in seconds a side. One that is not in the library and becomes shorter than a minute gets a
 * short way in and out with it, and the house's again where it becomes longer; times that were typed stay.
 */
export function setLengthOfHold(step: HoldStep, side: Side | 'even', seconds: Seconds, library: Library): PlanEdit {
  const length = setHoldSeconds(step.id, side, seconds);
  const { enterSeconds, leaveSeconds } = step;
  const isUsual = enterSeconds === null && leaveSeconds === null;
  const isShort = enterSeconds === SHORT_CHANGE && leaveSeconds === SHORT_CHANGE;
  const changes = changesFor(seconds);
  if (library.position(step.position) || (!isUsual && !isShort) || changes.enterSeconds === enterSeconds) return length;
  return several([length, setHold(step.id, changes)]);
}
