import type { Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import type { Ms } from '#core/numbers';
import type { TimelineRules } from '#core/timeline';

/** A plan with what a timeline needs beside it. */
export interface Planned {
  plan: Plan;
  library: Library;
  rules?: TimelineRules;
}

/** Which length of a step is meant: a hold (one number for both sides, or one of them), a rest, or the rounds of a set. */
export type Fittable =
  { kind: 'hold'; side: 'even' | 'left' | 'right' } | { kind: 'rest' } | { kind: 'breath'; set: number };

/** A length that was chosen: seconds of one side of a hold, seconds of a rest, rounds of a set of breath. */
export interface Chosen {
  stepId: string;
  what: Fittable;
  to: number;
}

/** One length of a step, before and after. `from` and `to` in its own measure (seconds, rounds), `ms` for all it counts. */
export interface FittedLength extends Chosen {
  stepIndex: number;
  times: 1 | 2;
  from: number;
  fromMs: Ms;
  toMs: Ms;
}
