import type { Position } from '#core/catalogue';
import { demandsOf, type CautionTrait } from '#core/caution';
import { propNeeds } from '#core/cupboard';
import { ORDER_RULES, tallyOfPlan, type OrderRules, type Tally } from '#core/order';
import type { PropKind } from '#core/props';
import type { Ms } from '#core/numbers';
import { compileTimeline, DEFAULT_RULES, type Timeline, type Totals } from '#core/timeline';
import type { Planned } from '#core/fit';

type Area = Position['areas'][number];

/** A plan in figures, to be compared with another. */
export interface PlanMetrics {
  timeline: Timeline;
  totals: Totals;
  steps: number;
  tally: Tally;
  /** How long each area of the body is held, the longest first: a hold counts for each area its position is for. */
  areas: readonly { area: Area; ms: Ms }[];
  /** What the whole group needs at most of each kind of prop. */
  props: readonly { kind: PropKind; group: number }[];
  /** What steps ask of the body, by how many of them and for how long, the most first. */
  asks: readonly { ask: CautionTrait; steps: number; ms: Ms }[];
}

/** Sums by key, the greatest first; keys that are the same length in the order they were met. */
function sums<K>(pairs: readonly (readonly [K, Ms])[]): [K, Ms][] {
  const all = new Map<K, Ms>();
  for (const [key, ms] of pairs) all.set(key, (all.get(key) ?? 0) + ms);
  return [...all].sort(([, a], [, b]) => b - a);
}

/** The figures of a plan: lengths, sides, areas of the body, props, changes and what is asked of the body. */
export function planMetrics(
  { plan, library, rules = DEFAULT_RULES }: Planned,
  order: OrderRules = ORDER_RULES,
): PlanMetrics {
  const timeline = compileTimeline(plan, library, rules);
  const heldMs = timeline.steps.map(({ leftMs, rightMs, bothMs }) => leftMs + rightMs + bothMs);
  const areas = plan.steps.flatMap((step, i) => {
    const known = step.kind === 'hold' ? (library.position(step.position)?.areas ?? []) : [];
    return known.map((area): [Area, Ms] => [area, heldMs[i] ?? 0]);
  });
  const demands = plan.steps.flatMap((step, i) => {
    const span = timeline.steps[i];
    const ms = heldMs[i] || (span ? span.endMs - span.startMs : 0);
    return [...demandsOf(step, { library }).keys()].map((ask): [CautionTrait, Ms] => [ask, ms]);
  });
  return {
    timeline,
    totals: timeline.totals,
    steps: plan.steps.length,
    tally: tallyOfPlan({ plan, library, rules }, order),
    areas: sums(areas).map(([area, ms]) => ({ area, ms })),
    props: propNeeds(timeline, plan.groupSize).map(({ kind, group }) => ({ kind, group })),
    asks: sums(demands).map(([ask, ms]) => ({ ask, ms, steps: demands.filter(([other]) => other === ask).length })),
  };
}
