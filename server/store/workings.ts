import type { CustomEntry, Library } from '#core/catalogue';
import type { PaceOfRun } from '#core/review';
import type { PlanSummary, PractisedOnce, RunSummary } from '#api';
import { Derived } from './derived';

/** What a run comes to: how it is listed, what was practised in it, and how it went against its plan. */
export interface RunWorkings {
  summary: RunSummary;
  practised: PractisedOnce | null;
  pace: PaceOfRun | null;
}

/** Every entry there is, as one library, the custom ones by themselves, and a stamp that changes with those. */
export interface WholeLibrary {
  library: Library;
  own: readonly CustomEntry[];
  stamp: string;
}

/** What is worked out of stored rows and kept: plans by their revision, runs by the number of their events. */
export interface Workings {
  plans: Derived<PlanSummary>;
  runs: Derived<RunWorkings>;
  library: WholeLibrary | undefined;
}

export const newWorkings = (): Workings => ({ plans: new Derived(), runs: new Derived(), library: undefined });

export function forgetWorkings(workings: Workings): void {
  workings.plans.clear();
  workings.runs.clear();
  workings.library = undefined;
}
