import type { Library } from '#core/catalogue';
import type { Plan, Step } from '#core/plan';
import type { Timeline } from '#core/timeline';
import { xOf, type RibbonScale } from './shapes';

/** The time a planner's ribbon shows: the longer of total and class, and a minute and a half. Milliseconds. */
export const ribbonDomainMs = ({ totals }: Timeline): number => Math.max(totals.totalMs, totals.targetMs) + 90_000;

/** The library's entry that names a step best: its position, also where a breath moves it, or its technique. */
function entryOf(step: Step, library: Library): { short: string } | undefined {
  if (step.kind === 'hold') return library.position(step.position);
  if (step.kind !== 'breath') return undefined;
  return step.moves ? library.position(step.moves.position) : library.technique(step.technique);
}

/**
 * Names of a step for the lane above a ribbon, the fullest first: its own, the part before a comma, the library's short
 * one.
 */
export function laneNames(plan: Plan, stepIndex: number, library: Library): string[] {
  const step = plan.steps[stepIndex];
  if (!step) return [];
  const entry = entryOf(step, library);
  const shorter = [step.name.split(/[,;]/)[0] ?? '', entry?.short ?? '', entry?.short.split(' ')[0] ?? ''];
  return [step.name, ...shorter.filter((name) => name.length > 0)].filter((name) => name.length < 32);
}

const SMALLEST_TARGET = 24;

/**
 * The step under a point of the ribbon. A step narrower than 24 px can still be hit 12 px about its middle; where two
 * could be meant, the one with the nearer middle is.
 */
export function stepAt(timeline: Timeline, scale: RibbonScale, x: number): number | undefined {
  let best: { index: number; distance: number } | undefined;
  for (const { stepIndex, startMs, endMs } of timeline.steps) {
    const [from, to] = [xOf(scale, startMs), xOf(scale, endMs)];
    const middle = (from + to) / 2;
    const reach = Math.max(SMALLEST_TARGET, to - from) / 2;
    const distance = Math.abs(x - middle);
    if (distance > reach) continue;
    const thin = to - from < SMALLEST_TARGET;
    const rank = thin ? distance : distance + (x >= from && x <= to ? 0 : 1000);
    if (!best || rank < best.distance) best = { index: stepIndex, distance: rank };
  }
  return best?.index;
}

/**
 * Where the locks of a ribbon stand: below the middle of each step whose length can be fitted, where there is room for
 * one. A narrow step gives way to the ones before it.
 */
export function lockPlaces(
  plan: Plan,
  timeline: Timeline,
  xAt: (ms: number) => number,
): { index: number; x: number }[] {
  const places: { index: number; x: number }[] = [];
  for (const { stepIndex, startMs, endMs } of timeline.steps) {
    const kind = plan.steps[stepIndex]?.kind;
    const middle = (xAt(startMs) + xAt(endMs)) / 2;
    const free = kind === 'hold' || kind === 'breath' || kind === 'rest';
    if (free && middle - (places.at(-1)?.x ?? -Infinity) >= SMALLEST_TARGET)
      places.push({ index: stepIndex, x: middle });
  }
  return places;
}
