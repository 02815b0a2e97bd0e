import {
  editedPlan,
  PLAN_LIMITS,
  removeStep,
  setHold,
  setSidesKind,
  setStepCommon,
  sideSeconds,
  type HoldStep,
  type Plan,
  type PlanEdit,
  type Step,
} from '#core/plan';
import { toMs, type Ms, type Seconds } from '#core/numbers';
import { boundsOf, type Bounds, type End } from './bounds';
import type { Planned } from './planned';
import { rangeOf, type FreeLength, type Range } from './free';
import { lastRestIndex, type FitOptions } from './options';

type Change =
  | { kind: 'remove' | 'together' | 'unlock' | 'bothSides'; stepId: string; name: string }
  /** A range that begins lower (`min`) or ends higher (`max`). Seconds for one side. */
  | { kind: 'range'; stepId: string; name: string; end: 'min' | 'max'; from: Seconds; to: Seconds }
  /** A lower floor of the last rest, or less time kept for talk: options of the fitting, not of the plan. */
  | { kind: 'floor' | 'talk'; from: Seconds; to: Seconds };

/** One change that would free time, or fill it. */
export type Way = Change & {
  /** How much shorter the shortest becomes by it, or longer the longest. */
  byMs: Ms;
  /** The practice it costs: holds, rests and breaths shorter than planned. 0 if it adds. */
  lostMs: Ms;
};

/** So many pairs are looked at by compiling before none is offered. */
const MAX_PAIRS_TRIED = 40;

/** A hold is not asked to become shorter than this. */
const MIN_HOLD: Seconds = 30;

/** The range of a hold, wide enough for both sides where they differ. Seconds. */
function wholeRange(step: HoldStep): Range {
  const { left, right } = sideSeconds(step.sides);
  const ranges = [left, right].filter((seconds) => seconds > 0).map((seconds) => rangeOf(step, seconds));
  return { min: Math.min(...ranges.map(({ min }) => min)), max: Math.max(...ranges.map(({ max }) => max)) };
}

/** The change of the plan a way is; null for one that is a matter of what was asked. */
export function wayEdit(way: Way, plan: Plan): PlanEdit | null {
  switch (way.kind) {
    case 'remove':
      return removeStep(way.stepId);
    case 'together':
      return setSidesKind(way.stepId, 'together');
    case 'bothSides':
      return setSidesKind(way.stepId, 'each');
    case 'unlock':
      return setStepCommon(way.stepId, { locked: false });
    case 'range': {
      const step = plan.steps.find(({ id }) => id === way.stepId);
      return step?.kind === 'hold' ? setHold(way.stepId, { range: { ...wholeRange(step), [way.end]: way.to } }) : null;
    }
    case 'floor':
    case 'talk':
      return null;
  }
}

/** Whether a hold on each side could be held on both at once: not a twist, not on the side. */
function mayBeTogether({ library }: Planned, { sides, position }: HoldStep): boolean {
  const known = library.position(position);
  return sides.kind === 'each' && known?.family !== 'sideLying' && !known?.traits.includes('twist');
}

const practised = (free: readonly FreeLength[], stepId: string): Ms =>
  free.reduce((sum, one) => (one.stepId === stepId ? sum + one.times * one.now.ms : sum), 0);

/**
 * Ways that change a step as a whole: each with how much shorter the shortest becomes, and how long the longest is
 * then.
 */
function wholeWays(planned: Planned, bounds: Bounds, options: FitOptions): { way: Way; mostMs: Ms }[] {
  const { plan } = planned;
  const steps = plan.steps.map((step) => ({ ...step, locked: false }));
  const unlocked = bounds.lengthsOf({ ...plan, steps }, options);
  const ways = plan.steps.flatMap((step) => {
    const wholeMs = practised(unlocked, step.id);
    const by = (kind: 'remove' | 'together' | 'unlock', edit: PlanEdit, lostMs?: Ms) => {
      const { least, most } = bounds.after(edit, step.id);
      const byMs = bounds.now.least - least;
      const way: Way = { kind, stepId: step.id, name: step.name, byMs, lostMs: lostMs ?? byMs };
      return { way, mostMs: most };
    };
    return [
      by('remove', removeStep(step.id), wholeMs),
      ...(step.kind === 'hold' && mayBeTogether(planned, step)
        ? [by('together', setSidesKind(step.id, 'together'), wholeMs / 2)]
        : []),
      ...(step.locked ? [by('unlock', setStepCommon(step.id, { locked: false }))] : []),
    ];
  });
  return ways.filter(({ way }) => way.byMs > 0);
}

/** How far something could go down (milliseconds in total), as the least way that is enough for a need. */
interface Slack {
  mostMs: Ms;
  way: (needMs: Ms) => Way;
}

/**
 * Of the values from `from` towards `last` by a grid, the first that gives enough; the last one where none does. What
 * they give only grows from one to the next.
 */
function firstEnough(from: Seconds, last: Seconds, grid: Seconds, gives: (to: Seconds) => Ms, needMs: Ms): Seconds {
  const [fromMs, lastMs, gridMs] = [toMs(from), toMs(last), toMs(grid)];
  const sign = Math.sign(lastMs - fromMs);
  // Multiples of the grid between the two, and the last one.
  const first = sign < 0 ? Math.ceil(fromMs / gridMs) - 1 : Math.floor(fromMs / gridMs) + 1;
  const count = Math.max(0, Math.floor((lastMs / gridMs - first) * sign) + 1);
  const valueAt = (k: number): Seconds => (k >= count ? lastMs : (first + sign * k) * gridMs) / 1000;
  let [low, high] = [0, count];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (gives(valueAt(middle)) >= needMs) high = middle;
    else low = middle + 1;
  }
  return valueAt(low);
}

/** What a hold gives (milliseconds in total) where its range begins, or ends, elsewhere. */
function rangeGives(planned: Planned, bounds: Bounds, options: FitOptions, step: HoldStep, end: 'min' | 'max') {
  const { plan } = planned;
  const sum = (of: Plan): Ms =>
    bounds
      .lengthsOf(of, options)
      .reduce(
        (all, one) => (one.stepId === step.id ? all + one.times * one.choices.at(end === 'min' ? 0 : -1)!.ms : all),
        0,
      );
  const nowMs = sum(plan);
  return (to: Seconds): Ms => {
    const way: Way = { kind: 'range', stepId: step.id, name: step.name, end, from: 0, to, byMs: 0, lostMs: 0 };
    return Math.abs(nowMs - sum(editedPlan(plan, wayEdit(way, plan)!)));
  };
}

function slacks(planned: Planned, bounds: Bounds, options: FitOptions): Slack[] {
  const { plan, library } = planned;
  const last = lastRestIndex(plan, library);
  const { gridSeconds, lastRestSeconds, talkSeconds } = options;
  const gridOf = (step: Step | undefined): Seconds =>
    (step?.kind === 'hold' ? step.breathSeconds : null) ?? gridSeconds;
  const found = plan.steps.flatMap((step, index): Slack[] => {
    if (step.kind !== 'hold' || step.locked) return [];
    const from = wholeRange(step).min;
    // A range of the last rest does not go below its floor.
    const floor = index === last ? (lastRestSeconds ?? 0) : 0;
    const grid = gridOf(step);
    const least = (Math.ceil(toMs(Math.max(MIN_HOLD, floor)) / toMs(grid)) * toMs(grid)) / 1000;
    if (from <= least) return [];
    const gives = rangeGives(planned, bounds, options, step, 'min');
    const way = (needMs: Ms): Way => {
      const to = firstEnough(from, least, grid, gives, needMs);
      const byMs = gives(to);
      return { kind: 'range', stepId: step.id, name: step.name, end: 'min', from, to, byMs, lostMs: byMs };
    };
    return [{ mostMs: gives(least), way }];
  });
  const rest = plan.steps[last];
  if (rest && !rest.locked && lastRestSeconds !== null) {
    const leastMs = (floor: Seconds | null): Ms =>
      bounds
        .lengthsOf(plan, { ...options, lastRestSeconds: floor })
        .reduce((sum, one) => (one.stepIndex === last ? sum + one.times * one.choices[0]!.ms : sum), 0);
    const gives = (to: Seconds): Ms => leastMs(lastRestSeconds) - leastMs(to);
    const way = (needMs: Ms): Way => {
      const to = firstEnough(lastRestSeconds, 0, gridOf(rest), gives, needMs);
      return { kind: 'floor', from: lastRestSeconds, to, byMs: gives(to), lostMs: gives(to) };
    };
    if (gives(0) > 0) found.push({ mostMs: gives(0), way });
  }
  if (talkSeconds > 0) {
    const of = (to: Seconds): Way => ({ kind: 'talk', from: talkSeconds, to, byMs: toMs(talkSeconds - to), lostMs: 0 });
    found.push({ mostMs: toMs(talkSeconds), way: (need) => of(Math.max(0, Math.floor(talkSeconds - need / 1000))) });
  }
  return found;
}

/** Whether two steps can share a set-up: no step that needs props lies between them. */
function neighbours({ steps }: Plan, a: string, b: string): boolean {
  const [from, to] = [a, b].map((id) => steps.findIndex((step) => step.id === id)).sort((x, y) => x - y);
  return steps.slice(from! + 1, to).every((step) => !('setUp' in step) || step.setUp === null);
}

/** How long a plan is at its least and most after some ways, by compiling it. Talk that is not kept is left over. */
function boundsAfter(planned: Planned, options: FitOptions, ways: readonly Way[]): Record<End, Ms> {
  let adjusted = options;
  let { plan } = planned;
  for (const way of ways) {
    if (way.kind === 'floor') adjusted = { ...adjusted, lastRestSeconds: way.to };
    const change = wayEdit(way, plan);
    if (change) plan = editedPlan(plan, change);
  }
  const talkMs = ways.reduce((sum, way) => (way.kind === 'talk' ? sum + way.byMs : sum), 0);
  const { now } = boundsOf({ ...planned, plan }, adjusted);
  return { least: now.least - talkMs, most: now.most - talkMs };
}

/** How much shorter two ways make the shortest, one after the other. */
function togetherMs(planned: Planned, bounds: Bounds, options: FitOptions, pair: readonly [Way, Way]): Ms {
  const [one, other] = pair;
  const last = planned.plan.steps[lastRestIndex(planned.plan, planned.library)]?.id;
  const ids = pair.flatMap((way) => ('stepId' in way ? [way.stepId] : []));
  const [a, b] = ids;
  const apart = a === undefined || b === undefined || !neighbours(planned.plan, a, b);
  // What is done to steps that share no set-up adds up; without the last rest another step has its floor.
  if (apart && !ids.includes(last ?? '')) return one.byMs + other.byMs;
  return bounds.now.least - boundsAfter(planned, options, pair).least;
}

/** The two ways that together make enough room and cost the least practice; null if no two do. */
function cheapestPair(
  planned: Planned,
  bounds: Bounds,
  options: FitOptions,
  whole: readonly Way[],
  ranges: readonly Slack[],
  needMs: Ms,
  targetMs: Ms,
): [Way, Way] | null {
  const pairs: { pair: [Way, Way]; lostMs: Ms }[] = [];
  const add = (one: Way, other: Way): void => {
    if (!('stepId' in one && 'stepId' in other && one.stepId === other.stepId))
      pairs.push({ pair: [one, other], lostMs: one.lostMs + other.lostMs });
  };
  ranges.forEach((slack, i) => {
    for (const other of ranges.slice(i + 1)) {
      if (slack.mostMs + other.mostMs < needMs) continue;
      // The two give alike, each as far as it can.
      const first = slack.way(Math.max(needMs - other.mostMs, Math.min(slack.mostMs, needMs / 2)));
      add(first, other.way(needMs - first.byMs));
    }
    for (const way of whole) if (way.byMs + slack.mostMs >= needMs) add(way, slack.way(needMs - way.byMs));
  });
  const CHANGED_SETUP_MS = 250_000;
  whole.forEach((one, i) => {
    for (const other of whole.slice(i + 1)) if (one.byMs + other.byMs + CHANGED_SETUP_MS >= needMs) add(one, other);
  });
  pairs.sort((a, b) => a.lostMs - b.lostMs);
  let tried = 0;
  const fits = ({ pair }: (typeof pairs)[number]): boolean => {
    if (tried >= MAX_PAIRS_TRIED || togetherMs(planned, bounds, options, pair) < needMs) return false;
    tried++;
    return boundsAfter(planned, options, pair).most > targetMs - toMs(options.gridSeconds);
  };
  return pairs.find(fits)?.pair ?? null;
}

/**
 * What would make a plan that is too long by `needMs` at its shortest fit: every step taken out, held on both sides at
 * once or unlocked, every range that begins lower (no hold below half a minute), a lower floor of the last rest, less
 * kept for talk; each by itself, the one that costs the least practice first. Where none does by itself, the cheapest
 * two. With each of them the plan fits into `targetMs`: none makes it too short for it.
 */
export function waysShorter(
  planned: Planned,
  options: FitOptions,
  needMs: Ms,
  targetMs: Ms,
): { ways: Way[]; pair: [Way, Way] | null } {
  const bounds = boundsOf(planned, options);
  const whole = wholeWays(planned, bounds, options);
  const ranges = slacks(planned, bounds, options);
  const shortest = targetMs - toMs(options.gridSeconds);
  const ways = [
    ...whole.filter(({ mostMs }) => mostMs > shortest).map(({ way }) => way),
    ...ranges.filter(({ mostMs }) => mostMs >= needMs).map(({ way }) => way(needMs)),
  ]
    .filter(({ byMs }) => byMs >= needMs)
    .sort((a, b) => a.lostMs - b.lostMs || a.byMs - b.byMs);
  if (ways.length > 0) return { ways, pair: null };
  const all = whole.map(({ way }) => way);
  return { ways, pair: cheapestPair(planned, bounds, options, all, ranges, needMs, targetMs) };
}

/**
 * What would fill a plan that is too short by `needMs` at its longest: ranges that end higher, both sides instead of
 * one. With each of them the plan fits into `targetMs`: none makes it too long for it.
 */
export function waysLonger(planned: Planned, options: FitOptions, needMs: Ms, targetMs: Ms): Way[] {
  const { plan } = planned;
  const bounds = boundsOf(planned, options);
  const grid = toMs(options.gridSeconds);
  const ways = plan.steps.flatMap((step): Way[] => {
    if (step.kind !== 'hold' || step.locked) return [];
    const common = { stepId: step.id, name: step.name, lostMs: 0 };
    const from = wholeRange(step).max;
    const gives = rangeGives(planned, bounds, options, step, 'max');
    const to = firstEnough(from, PLAN_LIMITS.maxHold, step.breathSeconds ?? options.gridSeconds, gives, needMs);
    const longer: Way = { kind: 'range', ...common, end: 'max', from, to, byMs: gives(to) };
    if (step.sides.kind !== 'one') return [longer];
    const { least, most } = bounds.after(setSidesKind(step.id, 'each'), step.id);
    const both: Way = { kind: 'bothSides', ...common, byMs: most - bounds.now.most };
    return least <= targetMs ? [both, longer] : [longer];
  });
  // Less than one step of the grid is missing after it.
  return ways.filter(({ byMs }) => byMs > needMs - grid && byMs > 0).sort((a, b) => a.byMs - b.byMs);
}
