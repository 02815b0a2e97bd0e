import type { Plan } from '#core/plan';
import type { DeviationRow, RunLogEntry, AdoptedTime } from '#core/review';
import type { MeasuredFrom } from '#core/run';
import { clockOfMs, clockOfSeconds, signedClockOfMs } from '#core/time';

/** A length of a step by name: `left`, `changes`; nothing for a step without sides. */
export const PART_WORDS: Record<DeviationRow['part'], string> = {
  left: 'left',
  right: 'right',
  both: 'both sides',
  none: '',
  changes: 'changes',
};

/** What the lengths of a session are from, where it was not led with the clock. */
export const MEASURED_WORDS: Readonly<Record<MeasuredFrom | 'clock', string>> = {
  captions: 'read from captions',
  clock: '',
};

/** What was done to a session, in words with its step: `0:30 longer in Reclined twist`. */
export function runLogInWords({ event, stepIndex, lengthMs }: RunLogEntry, plan: Plan): string {
  const name = plan.steps[stepIndex ?? -1]?.name ?? '';
  const within = name ? ` in ${name}` : '';
  switch (event.kind) {
    case 'paused':
      return lengthMs === null ? `Paused${within}` : `Paused for ${clockOfMs(lengthMs)}${within}`;
    case 'jumped':
      return `Moved on by hand${name ? ` from ${name}` : ''}`;
    case 'stretched':
      return `${clockOfMs(Math.abs(event.byMs))} ${event.byMs < 0 ? 'shorter' : 'longer'}${within}`;
    case 'rounds': {
      const many = Math.abs(event.by);
      return `${many} ${many === 1 ? 'round' : 'rounds'} ${event.by < 0 ? 'less' : 'more'}${within}`;
    }
    case 'cut':
      return `Ended by hand${within}`;
    case 'matched':
      return `The second side was given what the first had${within}`;
    case 'opened':
      return event.open ? `Held until you ended it${within}` : `Back to its planned time${within}`;
    case 'swapped':
      return `${event.steps.map((step) => plan.steps[step]?.name ?? '').join(' and ')} swapped`;
    case 'restAdded':
      return `A rest of ${clockOfMs(event.ms)} added after ${name}`;
    case 'refitted':
      return 'The rest refitted to finish on time';
    case 'missed':
      return `Screen asleep, not counted${within}`;
    case 'clockSet':
      return `The computer’s clock changed by ${signedClockOfMs(event.byMs)}`;
    default:
      return '';
  }
}

/** A time that would be taken: `each side 3:30 → 3:25`. */
export const adoptedInWords = ({ what, from, to }: AdoptedTime): string => {
  const called = what === 'each' ? 'each side' : what === 'both' || what === 'length' ? 'held' : what;
  return `${called} ${clockOfSeconds(from)} → ${clockOfSeconds(to)}`;
};
