import type { PhaseSide } from '#core/timeline';
import type { Ms } from '#core/time';
import type { Planned, RunRecord } from './compare';

/** One length of a session, planned against done: a side of a hold, a step without sides, or the changes around a step. */
export interface AstrayRow extends Planned {
  stepIndex: number;
  stepId: string;
  part: PhaseSide | 'changes';
  skipped: boolean;
  /** What the clock measured, where it was put right afterwards. */
  measuredMs: Ms | null;
  strength: number | null;
  /** Done of what was planned, less one; null where nothing was planned. */
  share: number | null;
}

/** Everything of a session that has a length, what went most astray first; what went alike in the order of the plan. */
export function astray(record: RunRecord): AstrayRow[] {
  const rows = record.steps.flatMap(({ stepIndex, stepId, skipped, sides, changes, other, otherMeasuredMs }) => {
    const row = (part: AstrayRow['part'], length: Planned, more: Partial<AstrayRow> = {}): AstrayRow => ({
      stepIndex,
      stepId,
      part,
      skipped,
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
      ...sides.map((side) => row(side.side, side, { measuredMs: side.measuredMs, strength: side.strength })),
      ...(has(other) ? [row('none', other, { measuredMs: otherMeasuredMs })] : []),
      ...(has(changes) ? [row('changes', changes)] : []),
    ];
  });
  return rows.toSorted((a, b) => Math.abs(b.differenceMs) - Math.abs(a.differenceMs) || a.stepIndex - b.stepIndex);
}
