import type { Library, Position } from '#core/catalogue';
import { propNeeds } from '#core/cupboard';
import type { Ms } from '#core/numbers';
import { entriesOf } from '#core/plan';
import type { PropKind } from '#core/props';
import type { Timeline } from '#core/timeline';
import type { CourseWeek } from './derive';

type Area = Position['areas'][number];

/** A week of a course in figures. */
export interface WeekBalance {
  week: number;
  /** How long each area of the body is held, the longest first: a hold counts for each area its position is for. */
  areas: { area: Area; ms: Ms }[];
  leftMs: Ms;
  rightMs: Ms;
  /** Time spent in steps whose position or technique no earlier week had, and in those that are known. */
  newMs: Ms;
  knownMs: Ms;
  /** The longest the breath is held; 0 where it is not. */
  longestRetentionMs: Ms;
  /** What has to be brought for the whole group. */
  props: { kind: PropKind; group: number }[];
}

const RETENTIONS: ReadonlySet<string> = new Set(['holdFull', 'holdEmpty', 'retention']);

/** The weeks of a course in figures, in their order: week 1 knows what the base has, so that nothing in it is new. */
export function courseBalance(
  weeks: readonly (Pick<CourseWeek, 'week' | 'plan'> & { timeline: Timeline })[],
  library: Library,
): WeekBalance[] {
  const known = new Set(weeks[0] ? entriesOf(weeks[0].plan) : []);
  return weeks.map(({ week, plan, timeline }) => {
    const { steps, phases } = timeline;
    const areas = new Map<Area, Ms>();
    let [leftMs, rightMs, newMs, knownMs] = [0, 0, 0, 0];
    for (const [i, step] of plan.steps.entries()) {
      const span = steps[i];
      if (!span) continue;
      leftMs += span.leftMs;
      rightMs += span.rightMs;
      const own = step.kind === 'hold' ? step.position : step.kind === 'breath' ? step.technique : undefined;
      const ms = span.endMs - span.startMs;
      if (own !== undefined && known.has(own)) knownMs += ms;
      else if (own !== undefined) newMs += ms;
      const heldMs = span.leftMs + span.rightMs + span.bothMs;
      for (const area of (step.kind === 'hold' && library.position(step.position)?.areas) || [])
        areas.set(area, (areas.get(area) ?? 0) + heldMs);
    }
    for (const id of entriesOf(plan)) known.add(id);
    const retentions = phases.filter(({ kind }) => RETENTIONS.has(kind)).map(({ startMs, endMs }) => endMs - startMs);
    return {
      week,
      areas: [...areas].sort(([, a], [, b]) => b - a).map(([area, ms]) => ({ area, ms })),
      leftMs,
      rightMs,
      newMs,
      knownMs,
      longestRetentionMs: Math.max(0, ...retentions),
      props: propNeeds(timeline, plan.groupSize).map(({ kind, group }) => ({ kind, group })),
    };
  });
}
