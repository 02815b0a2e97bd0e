import {
  removeStep,
  setHold,
  setSidesKind,
  setStepCommon,
  sideSeconds,
  type HoldStep,
  type Plan,
  type PlanEdit,
} from '#core/plan';
import { toMs, type Ms, type Seconds } from '#core/time';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { withLengths } from './apply';
import type { Planned } from './planned';
import { freeLengths, rangeOf, type FreeLength } from './free';
import { lastRestIndex, type FitOptions } from './options';

type Change =
  | { kind: 'remove' | 'together' | 'unlock' | 'bothSides'; stepId: string; name: string }
  /** A range that begins lower (`min`) or ends higher (`max`). Seconds for one side. */
  | { kind: 'range'; stepId: string; name: string; end: 'min' | 'max'; from: Seconds; to: Seconds }
  /** A lower floor of the last rest, or less time kept for talk: options of the fitting, not of the plan. */
  | { kind: 'floor' | 'talk'; from: Seconds; to: Seconds };

/** One thing that would make room, or fill it. */
export type Way = Change & {
  /** How much shorter the shortest becomes by it, or longer the longest. */
  byMs: Ms;
  /** How much practice it costs: what is held, rested or breathed less than is planned. 0 where it adds. */
  lostMs: Ms;
};

/** A hold is not asked to become shorter than this. */
const LEAST_HOLD: Seconds = 30;

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
      if (step?.kind !== 'hold') return null;
      const { left, right } = sideSeconds(step.sides);
      return setHold(way.stepId, { range: { ...rangeOf(step, Math.max(left, right)), [way.end]: way.to } });
    }
    case 'floor':
    case 'talk':
      return null;
  }
}

/** How short (or long) a plan can be as it is: its fixed time and every free length at its least (or most). */
function boundMs(planned: Planned, options: FitOptions, end: 'least' | 'most'): Ms {
  const { plan, library, rules = DEFAULT_RULES } = planned;
  const chosen = freeLengths(planned, options).map(({ stepId, what, choices }) => ({
    stepId,
    what,
    to: choices.at(end === 'least' ? 0 : -1)!.value,
  }));
  return compileTimeline(withLengths(plan, chosen), library, rules).totals.totalMs;
}

/** Whether a hold on each side could be held on both at once: not a twist, not on the side. */
function mayBeTogether({ library }: Planned, { sides, position }: HoldStep): boolean {
  const known = library.position(position);
  return sides.kind === 'each' && known?.family !== 'sideLying' && !known?.traits.includes('twist');
}

const practised = (free: readonly FreeLength[], stepId: string): Ms =>
  free.reduce((sum, one) => (one.stepId === stepId ? sum + one.times * one.now.ms : sum), 0);

/** Ways that change the plan as a whole: each with how much shorter its shortest becomes, by compiling it. */
function wholeWays(planned: Planned, options: FitOptions, free: readonly FreeLength[]): Way[] {
  const { plan } = planned;
  const now = boundMs(planned, options, 'least');
  const after = (edit: PlanEdit): Ms => now - boundMs({ ...planned, plan: edit.apply(plan) }, options, 'least');
  const steps = plan.steps.map((step) => ({ ...step, locked: false }));
  const unlocked = freeLengths({ ...planned, plan: { ...plan, steps } }, options);
  const ways = plan.steps.flatMap((step): Way[] => {
    const common = { stepId: step.id, name: step.name };
    const wholeMs = practised(unlocked, step.id);
    const remove = { kind: 'remove' as const, ...common, byMs: after(removeStep(step.id)), lostMs: wholeMs };
    const list: Way[] = [remove];
    if (step.kind === 'hold' && mayBeTogether(planned, step))
      list.push({ kind: 'together', ...common, byMs: after(setSidesKind(step.id, 'together')), lostMs: wholeMs / 2 });
    if (step.locked) {
      const byMs = after(setStepCommon(step.id, { locked: false }));
      list.push({ kind: 'unlock', ...common, byMs, lostMs: byMs });
    }
    return list;
  });
  return ways.filter(({ byMs }) => byMs > 0 && free.length > 0);
}

/** Holds whose sides differ share one range: they are counted as one, with both sides. */
const bySide = (free: readonly FreeLength[]): FreeLength[] =>
  free.flatMap((one) => {
    if (one.what.kind !== 'hold' || one.what.side === 'even') return [one];
    return one.what.side === 'left' ? [{ ...one, times: 2 as const }] : [];
  });

/** How far each range could go down (milliseconds in all), as a way for a given need. */
interface Slack {
  mostMs: Ms;
  way: (needMs: Ms) => Way;
}

function slacks(planned: Planned, options: FitOptions, free: readonly FreeLength[]): Slack[] {
  const { plan, library } = planned;
  const last = lastRestIndex(plan, library);
  const { gridSeconds, lastRestSeconds, talkSeconds } = options;
  const down = (from: Seconds, needMs: Ms, times: number): Seconds =>
    Math.floor((from - needMs / 1000 / times) / gridSeconds) * gridSeconds;
  const ranges = bySide(free).flatMap((one): Slack[] => {
    const step = plan.steps[one.stepIndex];
    if (step?.kind !== 'hold') return [];
    const from = one.choices[0]!.value;
    // A range of the last rest does not go below its floor.
    const floor = one.stepIndex === last ? (lastRestSeconds ?? 0) : 0;
    const least = Math.ceil(Math.max(LEAST_HOLD, floor) / gridSeconds) * gridSeconds;
    const of = (to: Seconds): Way => {
      const byMs = toMs(from - to) * one.times;
      return { kind: 'range', stepId: step.id, name: step.name, end: 'min', from, to, byMs, lostMs: byMs };
    };
    return from > least
      ? [
          {
            mostMs: toMs(from - least) * one.times,
            way: (needMs) => of(Math.max(least, down(from, needMs, one.times))),
          },
        ]
      : [];
  });
  const rest = plan.steps[last];
  if (rest && lastRestSeconds !== null && free.some(({ stepIndex }) => stepIndex === last)) {
    const now = free.find(({ stepIndex }) => stepIndex === last)!;
    const own = freeLengths(planned, { ...options, lastRestSeconds: null }).find(
      ({ stepIndex }) => stepIndex === last,
    )!;
    const [from, least] = [now.choices[0]!.value, own.choices[0]!.value];
    const of = (to: Seconds): Way => ({ kind: 'floor', from, to, byMs: toMs(from - to), lostMs: toMs(from - to) });
    if (from > least)
      ranges.push({ mostMs: toMs(from - least), way: (need) => of(Math.max(least, down(from, need, 1))) });
  }
  if (talkSeconds > 0) {
    const of = (to: Seconds): Way => ({ kind: 'talk', from: talkSeconds, to, byMs: toMs(talkSeconds - to), lostMs: 0 });
    ranges.push({ mostMs: toMs(talkSeconds), way: (need) => of(Math.max(0, Math.floor(talkSeconds - need / 1000))) });
  }
  return ranges;
}

/** Whether two steps can share a set-up: no step that needs props lies between them. */
function neighbours({ steps }: Plan, a: string, b: string): boolean {
  const [from, to] = [a, b].map((id) => steps.findIndex((step) => step.id === id)).sort((x, y) => x - y);
  return steps.slice(from! + 1, to).every((step) => !('setUp' in step) || step.setUp === null);
}

/** How much shorter two ways make the shortest, one after the other. */
function togetherMs(planned: Planned, options: FitOptions, pair: readonly [Way, Way]): Ms {
  const [one, other] = pair;
  const last = planned.plan.steps[lastRestIndex(planned.plan, planned.library)]?.id;
  const ids = pair.flatMap((way) => ('stepId' in way ? [way.stepId] : []));
  const [a, b] = ids;
  const apart = a === undefined || b === undefined || !neighbours(planned.plan, a, b);
  // What is done to steps that share no set-up adds up; without the last rest another step has its floor.
  if (apart && !ids.includes(last ?? '')) return one.byMs + other.byMs;
  let asked = options;
  let { plan } = planned;
  for (const way of pair) {
    if (way.kind === 'floor') asked = { ...asked, lastRestSeconds: way.to };
    plan = wayEdit(way, plan)?.apply(plan) ?? plan;
  }
  const talkMs = pair.reduce((sum, way) => (way.kind === 'talk' ? sum + way.byMs : sum), 0);
  return talkMs + boundMs(planned, options, 'least') - boundMs({ ...planned, plan }, asked, 'least');
}

/** The two ways that together make enough room and cost the least practice; null where no two do. */
function cheapestPair(
  planned: Planned,
  options: FitOptions,
  whole: readonly Way[],
  ranges: readonly Slack[],
  needMs: Ms,
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
  return pairs.find(({ pair }) => togetherMs(planned, options, pair) >= needMs)?.pair ?? null;
}

/**
 * What would make a plan that is too long by `needMs` at its shortest fit: every step taken out, held on both sides at once
 * or unlocked, every range that begins lower (no hold below half a minute), a lower floor of the last rest, less kept for
 * talk; each by itself, the one that costs the least practice first. Where none does by itself, the cheapest two.
 */
export function waysShorter(
  planned: Planned,
  options: FitOptions,
  free: readonly FreeLength[],
  needMs: Ms,
): { ways: Way[]; pair: [Way, Way] | null } {
  const whole = wholeWays(planned, options, free);
  const ranges = slacks(planned, options, free);
  const ways = [...whole, ...ranges.filter(({ mostMs }) => mostMs >= needMs).map(({ way }) => way(needMs))]
    .filter(({ byMs }) => byMs >= needMs)
    .sort((a, b) => a.lostMs - b.lostMs || a.byMs - b.byMs);
  return { ways, pair: ways.length > 0 ? null : cheapestPair(planned, options, whole, ranges, needMs) };
}

/** What would fill a plan that is too short by `needMs` at its longest: ranges that end higher, both sides instead of one. */
export function waysLonger(planned: Planned, options: FitOptions, free: readonly FreeLength[], needMs: Ms): Way[] {
  const { plan } = planned;
  const now = boundMs(planned, options, 'most');
  const ranges = bySide(free).flatMap((one): Way[] => {
    const step = plan.steps[one.stepIndex];
    if (step?.kind !== 'hold') return [];
    const from = one.choices.at(-1)!.value;
    const to = Math.ceil((from + needMs / 1000 / one.times) / options.gridSeconds) * options.gridSeconds;
    const byMs = toMs(to - from) * one.times;
    return to <= 3600
      ? [{ kind: 'range', stepId: step.id, name: step.name, end: 'max', from, to, byMs, lostMs: 0 }]
      : [];
  });
  const sides = plan.steps.flatMap((step): Way[] => {
    if (step.kind !== 'hold' || step.sides.kind !== 'one') return [];
    const both = setSidesKind(step.id, 'each').apply(plan);
    const byMs = boundMs({ ...planned, plan: both }, options, 'most') - now;
    return byMs >= needMs ? [{ kind: 'bothSides', stepId: step.id, name: step.name, byMs, lostMs: 0 }] : [];
  });
  return [...sides, ...ranges].sort((a, b) => a.byMs - b.byMs);
}
