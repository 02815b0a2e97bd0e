import type { Plan } from '#core/plan';
import type { Run, RunEvent } from '#core/run';
import { clockOfMs } from '#core/time';

/** What was just done, shown beside its undo. */
export function eventInWords(event: RunEvent, plan: Plan, run: Run): string {
  switch (event.kind) {
    case 'paused':
      return 'Paused';
    case 'resumed':
      return 'Resumed';
    case 'jumped':
      return `Moved to ${plan.steps[run.timeline.phases[event.phase]?.stepIndex ?? -1]?.name ?? 'another step'}`;
    case 'stretched':
      return `${clockOfMs(Math.abs(event.byMs))} ${event.byMs < 0 ? 'less' : 'more'}`;
    case 'rounds':
      return `${Math.abs(event.by)} ${Math.abs(event.by) === 1 ? 'round' : 'rounds'} ${event.by < 0 ? 'less' : 'more'}`;
    case 'cut':
      return 'Ended by hand';
    case 'matched':
      return 'The second side gets the same length';
    case 'opened':
      return event.open ? 'Holding until you end it' : 'Back to its planned time';
    case 'swapped':
      return 'The next two steps are swapped';
    case 'restAdded':
      return `A rest of ${clockOfMs(event.ms)} is added`;
    case 'refitted':
      return 'Refitted to finish on time';
    case 'missed':
      return 'Resumed from where it was';
    default:
      return '';
  }
}
