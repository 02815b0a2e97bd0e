import { piecesByKind, type PropKind } from '#core/props';
import type { Ms } from '#core/numbers';
import type { Timeline } from './types';

/** A stretch of time in which so many pieces of one kind lie in place for each person. */
interface ShelfBand {
  startMs: Ms;
  endMs: Ms;
  count: number;
  stepIndex: number;
}

export interface ShelfRow {
  kind: PropKind;
  /** The most pieces one person needs at once. */
  most: number;
  bands: ShelfBand[];
}

/**
 * Which props are in use when, a row for each kind in the order of first use. Props that only lie about while people
 * talk, loosen or rest without them are not in use.
 */
export function propShelf(timeline: Timeline): ShelfRow[] {
  const rows = new Map<PropKind, ShelfRow>();
  for (const step of timeline.steps) {
    if (!step.usesProps) continue;
    for (const { startMs, endMs, props } of timeline.phases.slice(step.firstPhase, step.endPhase)) {
      for (const [kind, count] of piecesByKind(props)) {
        const row = rows.get(kind) ?? { kind, most: 0, bands: [] };
        rows.set(kind, row);
        row.most = Math.max(row.most, count);
        const last = row.bands.at(-1);
        if (last && last.endMs === startMs && last.count === count && last.stepIndex === step.stepIndex)
          last.endMs = endMs;
        else row.bands.push({ startMs, endMs, count, stepIndex: step.stepIndex });
      }
    }
  }
  return [...rows.values()];
}
