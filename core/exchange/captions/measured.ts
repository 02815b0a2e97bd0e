import type { Ms } from '#core/numbers';
import type { Phase, Timeline } from '#core/timeline';
import type { LedPlan, LedStretch } from './plan-of-class';

/** Phases of a timeline, in order, and when all of them together were led. */
interface Stretch {
  phases: readonly Phase[];
  startMs: Ms;
  endMs: Ms;
}

/**
 * How long each phase of the plan of a class was: sides of holds and other steps as they were led; what lies between
 * them is shared out as it was planned. Pairs of a phase and milliseconds, from the beginning of the class to its end.
 * @param timeline of the plan, or of the plan as it was stored
 */
export function measuredLengths(
  { phases, steps }: Pick<Timeline, 'phases' | 'steps'>,
  led: LedPlan['led'],
  endMs: Ms,
): [phase: number, ms: Ms][] {
  const known = steps.flatMap(({ stepId, firstPhase, endPhase }) =>
    stretchesOf(phases.slice(firstPhase, endPhase), led.get(stepId) ?? []),
  );
  const lengths: [number, Ms][] = [];
  let [atPhase, atMs] = [0, 0];
  const until = (phase: number, ms: Ms): void => {
    const between = phases.slice(atPhase, phase);
    if (between.length > 0) lengths.push(...shared(between, ms - atMs));
    else if (ms > atMs) lengthenLast(lengths, ms - atMs);
    [atPhase, atMs] = [phase, ms];
  };
  for (const stretch of known) {
    until(stretch.phases[0]?.index ?? atPhase, stretch.startMs);
    lengths.push(...shared(stretch.phases, stretch.endMs - stretch.startMs));
    [atPhase, atMs] = [(stretch.phases.at(-1)?.index ?? atPhase) + 1, stretch.endMs];
  }
  until(phases.length, endMs);
  return lengths;
}

/** The phases of a step that were led at known times: each side of a hold, or all of another step. */
function stretchesOf(phases: readonly Phase[], led: readonly LedStretch[]): Stretch[] {
  const holds = phases.filter(({ kind }) => kind === 'hold');
  if (holds.length === 0) return led.slice(0, 1).map(({ startMs, endMs }) => ({ phases, startMs, endMs }));
  return led.flatMap(({ startMs, endMs }, turn) => {
    const own = holds.filter((phase) => phase.kind === 'hold' && phase.turn === turn);
    const [first, last] = [own[0]?.index ?? 0, own.at(-1)?.index ?? -1];
    const whole = phases.filter(({ index }) => index >= first && index <= last);
    return whole.length > 0 ? [{ phases: whole, startMs, endMs }] : [];
  });
}

/** A length shared out over phases as they were planned, in whole milliseconds that add up to it. */
function shared(phases: readonly Phase[], ms: Ms): [number, Ms][] {
  const totalMs = phases.reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0);
  let plannedMs = 0;
  let given = 0;
  return phases.map(({ index, startMs, endMs }, i) => {
    plannedMs += endMs - startMs;
    const share = totalMs > 0 ? plannedMs / totalMs : (i + 1) / phases.length;
    const upTo = Math.round(ms * share);
    const own = upTo - given;
    given = upTo;
    return [index, own];
  });
}

function lengthenLast(lengths: [number, Ms][], ms: Ms): void {
  const last = lengths.at(-1);
  if (last) last[1] += ms;
}
