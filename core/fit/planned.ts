import type { Library } from '#core/catalogue';
import type { ChosenLength, Plan } from '#core/plan';
import type { Ms } from '#core/numbers';
import type { TimelineRules } from '#core/timeline';

/** A plan with what a timeline needs beside it. */
export interface Planned {
  plan: Plan;
  library: Library;
  rules?: TimelineRules;
}

/**
 * One length of a step, before and after. `from` and `to` in its own measure (seconds, rounds), `ms` for all it counts.
 */
export interface FittedLength extends ChosenLength {
  stepIndex: number;
  times: 1 | 2;
  from: number;
  fromMs: Ms;
  toMs: Ms;
}
