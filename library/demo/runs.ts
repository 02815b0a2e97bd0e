import type { RunEvent } from '#core/run';
import { compileTimeline, type Phase } from '#core/timeline';
import { toMs, type Ms, type Seconds } from '#core/time';
import { builtInLibrary } from '../index';
import { DEMO_PLANS } from './plans';

export interface DemoRun {
  id: string;
  planId: string;
  /** The local time it began, `2026-11-19T18:02`. */
  beganAt: string;
  events: (startMs: Ms) => RunEvent[];
}

/** What went otherwise: in the phase of this kind (and turn) of this step, so many seconds more or less. */
interface Deviation {
  step: number;
  kind: Phase['kind'];
  turn?: number;
  bySeconds: Seconds;
  note?: string;
}

/** Walks through a plan as a teacher did, stretching and cutting where it went otherwise. */
function ledEvents(planId: string, deviations: readonly Deviation[], startMs: Ms): RunEvent[] {
  const plan = DEMO_PLANS.find(({ id }) => id === planId)?.plan;
  if (!plan) throw new RangeError(`No demo plan “${planId}”.`);
  const { phases } = compileTimeline(plan, builtInLibrary);
  const events: RunEvent[] = [];
  let atMs = startMs;
  const add = (event: Record<string, unknown>, whenMs: Ms): void => {
    events.push({ id: `${planId}-event-${events.length}`, atMs: whenMs, ...event } as RunEvent);
  };
  add({ kind: 'started' }, startMs);
  const lastOfTurn = (phase: Phase): boolean => {
    const next = phases[phase.index + 1];
    return (
      phase.kind !== 'hold' || next?.kind !== 'hold' || next.stepIndex !== phase.stepIndex || next.turn !== phase.turn
    );
  };
  for (const phase of phases) {
    const turn = phase.kind === 'hold' ? phase.turn : undefined;
    const deviation = deviations.find(
      (one) =>
        one.step === phase.stepIndex + 1 &&
        one.kind === phase.kind &&
        (one.turn === undefined || one.turn === turn) &&
        lastOfTurn(phase),
    );
    const byMs = toMs(deviation?.bySeconds ?? 0);
    if (byMs !== 0) add({ kind: 'stretched', byMs }, atMs + 1000);
    if (deviation?.note) add({ kind: 'noted', text: deviation.note }, atMs + 2000);
    atMs += phase.endMs - phase.startMs + byMs;
  }
  add({ kind: 'ended' }, atMs + 4000);
  return events;
}

const NURSES: Deviation[] = [
  { step: 1, kind: 'talk', bySeconds: 62 },
  { step: 2, kind: 'hold', bySeconds: -8 },
  { step: 3, kind: 'hold', turn: 0, bySeconds: -4 },
  { step: 3, kind: 'hold', turn: 1, bySeconds: -10 },
  { step: 5, kind: 'hold', turn: 0, bySeconds: 4 },
  { step: 5, kind: 'switch', bySeconds: 24 },
  { step: 5, kind: 'hold', turn: 1, bySeconds: -40, note: 'Blocks a little low for three of them' },
  { step: 6, kind: 'hold', bySeconds: -4 },
  { step: 8, kind: 'setup', bySeconds: 38, note: 'Wanted one more blanket each' },
  { step: 8, kind: 'hold', bySeconds: 12 },
  { step: 9, kind: 'setup', bySeconds: 26 },
  { step: 10, kind: 'hold', bySeconds: -2 },
];

const CHOIR: Deviation[] = [
  { step: 1, kind: 'talk', bySeconds: 15 },
  { step: 3, kind: 'hold', bySeconds: 10 },
  { step: 6, kind: 'hold', turn: 0, bySeconds: 6 },
  { step: 6, kind: 'hold', turn: 1, bySeconds: -3, note: 'Out-breath of 8 was easy for nearly all' },
  { step: 8, kind: 'hold', bySeconds: -25 },
];

/** Two evenings as they really went: slow changes, short second sides. */
export const demoRuns: readonly DemoRun[] = [
  {
    id: 'demo-run-nurses',
    planId: 'demo-nurses',
    beganAt: '2026-11-19T18:02',
    events: (startMs) => ledEvents('demo-nurses', NURSES, startMs),
  },
  {
    id: 'demo-run-choir',
    planId: 'demo-choir',
    beganAt: '2026-11-17T19:16',
    events: (startMs) => ledEvents('demo-choir', CHOIR, startMs),
  },
];
