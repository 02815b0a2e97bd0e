import type { PhaseSide } from '#core/timeline';
import type { Ms } from '#core/numbers';
import type { Planned, RunRecord } from './compare';

/**
 * One length of a session, planned against done: a side of a hold, a step without sides, or the changes around a step.
 */
export interface DeviationRow extends Planned {
  stepIndex: number;
  stepId: string;
  part: PhaseSide | 'changes';
  skipped: boolean;
  /** false where the session ended before it. */
  reached: boolean;
  /** Crossed limbs: the side is the one that was in front. */
  crossing: boolean;
  /** A set of a breath in several sets, by its place; null for the step or side as a whole. */
  set: number | null;
  /** What the clock measured, where it was corrected afterwards. */
  measuredMs: Ms | null;
  strength: number | null;
  /** Done of what was planned, less one; null if nothing was planned. */
  share: number | null;
}

/** Everything of a session that has a length, the largest difference first; what went alike in the order of the
 * plan; what was not reached, and the sets of a breath, last. */
export function deviations(record: RunRecord): DeviationRow[] {
  const rows = record.steps.flatMap((step) => {
    const { stepIndex, stepId, skipped, sides, sets, changes, other, otherMeasuredMs } = step;
    const row = (part: DeviationRow['part'], length: Planned, more: Partial<DeviationRow> = {}): DeviationRow => ({
      stepIndex,
      stepId,
      part,
      skipped,
      reached: step.reached,
      crossing: false,
      set: null,
      measuredMs: null,
      strength: null,
      share: length.plannedMs > 0 ? length.differenceMs / length.plannedMs : null,
      plannedMs: length.plannedMs,
      doneMs: length.doneMs,
      differenceMs: length.differenceMs,
      ...more,
    });
    const has = ({ plannedMs, doneMs }: Planned): boolean => plannedMs > 0 || doneMs > 0;
    return [
      ...sides.map((side) =>
        row(side.side, side, {
          measuredMs: side.measuredMs,
          strength: side.strength,
          reached: side.reached,
          crossing: side.crossing,
        }),
      ),
      ...(has(other) ? [row('none', other, { measuredMs: otherMeasuredMs })] : []),
      ...sets.map((set) => row('none', set, { set: set.set })),
      ...(has(changes) ? [row('changes', changes)] : []),
    ];
  });
  const sizeOf = ({ reached, set, differenceMs }: DeviationRow): number =>
    reached && set === null ? Math.abs(differenceMs) : -1;
  return rows.toSorted((a, b) => sizeOf(b) - sizeOf(a) || a.stepIndex - b.stepIndex);
}
