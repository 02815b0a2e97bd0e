import type { Correction, MeasuredFrom, RunEvent, RunReview } from '#core/run';
import { effectiveEvents, EMPTY_REVIEW } from '#core/run';
import type { Ms } from '#core/numbers';

/** What was said of a run during it and afterwards: the latest of everything, and every correction as it was made. */
export interface RunAnnotations {
  /** Strength from 0 to 10 by `stepId side`. */
  strengths: ReadonlyMap<string, number>;
  review: RunReview;
  /** Whether anything of the closing form has been filled in. */
  reviewed: boolean;
  /** People who were there, by their ids, and how many besides; null if nobody said. */
  present: { people: readonly string[]; others: number } | null;
  /** What its lengths were measured from, where it was not led with the clock; null where it was. */
  measuredFrom: MeasuredFrom | null;
  /** Lengths that were corrected, in milliseconds, by `stepId side`; `none` is the side of a step without sides. */
  lengths: ReadonlyMap<string, Ms>;
  /** When it really ended, where that was corrected. */
  endedAtMs: Ms | null;
  /** Every correction, the oldest first, with the moment it was made. */
  corrections: readonly (Correction & { id: string; atMs: Ms })[];
}

/** Gathers what was said of a run from its events. A later word stands in the place of an earlier one. */
export function annotationsOf(events: readonly RunEvent[]): RunAnnotations {
  const strengths = new Map<string, number>();
  const lengths = new Map<string, Ms>();
  const corrections: (Correction & { id: string; atMs: Ms })[] = [];
  let review: RunReview = EMPTY_REVIEW;
  let [reviewed, present, endedAtMs] = [false, null as RunAnnotations['present'], null as Ms | null];
  let measuredFrom: RunAnnotations['measuredFrom'] = null;
  for (const event of effectiveEvents(events)) {
    if (event.kind === 'rated') {
      reviewed = true;
      if (event.strength === null) strengths.delete(`${event.stepId} ${event.side}`);
      else strengths.set(`${event.stepId} ${event.side}`, event.strength);
    } else if (event.kind === 'reviewed') {
      [review, reviewed] = [event.review, true];
    } else if (event.kind === 'present') {
      present = { people: event.people, others: event.others };
    } else if (event.kind === 'measured') {
      measuredFrom = event.from;
    } else if (event.kind === 'corrected') {
      const { id, atMs, lengths: changed, endedAtMs: ended, why } = event;
      for (const { stepId, side, ms } of changed) lengths.set(`${stepId} ${side}`, ms);
      endedAtMs = ended ?? endedAtMs;
      corrections.push({ id, atMs, lengths: changed, endedAtMs: ended, why });
    }
  }
  return { strengths, review, reviewed, present, measuredFrom, lengths, endedAtMs, corrections };
}
