import type { Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import type { Ms } from '#core/time';
import type { HouseRules } from '#core/timeline';
import type { Chosen } from './apply';

/** A plan with what a timeline needs beside it. */
export interface Planned {
  plan: Plan;
  library: Library;
  rules?: HouseRules;
}

/** One length of a step, before and after. `from` and `to` in its own measure (seconds, rounds), `ms` for all it counts. */
export interface FittedLength extends Chosen {
  stepIndex: number;
  times: 1 | 2;
  from: number;
  fromMs: Ms;
  toMs: Ms;
}
