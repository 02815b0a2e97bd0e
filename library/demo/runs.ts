import type { Plan } from '#core/plan';
import type { BreathReview, RunEvent } from '#core/run';
import { compileTimeline, type Phase } from '#core/timeline';
import { toMs, type Ms, type Seconds } from '#core/numbers';
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
  note?: string | undefined;
}

/** Walks through a plan as a teacher did, stretching and cutting where it went otherwise. */
function ledEvents(plan: Plan, { id, deviations, annotations }: Evening, startMs: Ms): RunEvent[] {
  const { phases } = compileTimeline(plan, builtInLibrary);
  const events: RunEvent[] = [];
  let atMs = startMs;
  const add = (event: Record<string, unknown>, whenMs: Ms): void => {
    events.push({ id: `${id}-event-${events.length}`, atMs: whenMs, ...event } as RunEvent);
  };
  add({ kind: 'started' }, startMs);
  if (annotations?.present)
    add(
      {
        kind: 'present',
        people: annotations.present,
        others: annotations.others ?? plan.groupSize - annotations.present.length,
      },
      startMs,
    );
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
  const saidMs = atMs + MINUTES_LATER_MS;
  for (const [step, side, strength] of annotations?.strengths ?? []) {
    const stepId = plan.steps[step - 1]?.id;
    if (stepId) add({ kind: 'rated', stepId, side, strength }, saidMs);
  }
  if (annotations?.review) {
    const { change, note = '', props = [], tighter = [], breaths = [] } = annotations.review;
    const seen = [...new Set([...props, ...tighter, ...breaths].map(([step]) => step))].flatMap((step) => {
      const stepId = plan.steps[step - 1]?.id;
      const height = props.find(([of]) => of === step)?.[1] ?? null;
      const breath = breaths.find(([of]) => of === step)?.[1];
      const side = tighter.find(([of]) => of === step)?.[1] ?? null;
      return stepId ? [{ stepId, tighter: side, props: height, ...(breath && { breath }) }] : [];
    });
    add({ kind: 'reviewed', review: { steps: seen, change, note } }, saidMs);
  }
  return events;
}

/** An evening of a plan as it went. */
export interface Evening {
  id: string;
  planId: string;
  beganAt: string;
  deviations: readonly Deviation[];
  annotations?: RunAnnotations;
}

/** What was said in the minutes after. Steps by their number, from 1. */
interface RunAnnotations {
  present?: string[];
  /** How many came besides those who are named; where it is not said, as many as the group has. */
  others?: number;
  strengths?: (readonly [step: number, side: 'left' | 'right' | 'both', strength: number])[];
  review?: {
    change: string;
    note?: string;
    props?: (readonly [step: number, 'tooLow' | 'right' | 'tooHigh'])[];
    tighter?: (readonly [step: number, 'left' | 'right' | 'alike'])[];
    breaths?: (readonly [step: number, BreathReview])[];
  };
}
const MINUTES_LATER_MS = 4 * 60_000;

/** The long out-breaths are easy; the retention is so for the first time in the last of the evenings. */
const choirBreaths = (holds: 'easy' | 'effort'): (readonly [number, BreathReview])[] => [
  [4, { inOut: 'easy', holds: null, effortFor: [] }],
  [5, { inOut: 'easy', holds, effortFor: ['demo-singer-1'] }],
  [7, { inOut: 'easy', holds: null, effortFor: [] }],
];
const singers = (...numbers: number[]): string[] => ['demo-ines', ...numbers.map((n) => `demo-singer-${n}`)];
export const nurses = (...numbers: number[]): string[] => numbers.map((n) => `demo-nurse-${n}`);

export const NURSES: readonly Deviation[] = [
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

/** The same that went otherwise, by so much more or less of it. */
export const scaled = (deviations: readonly Deviation[], by: number): Deviation[] =>
  deviations.map((one) => ({ ...one, note: undefined, bySeconds: Math.round(one.bySeconds * by) }));

const POTTERS: Deviation[] = [
  { step: 2, kind: 'setup', bySeconds: 14 },
  { step: 3, kind: 'hold', turn: 1, bySeconds: -35 },
  { step: 4, kind: 'setup', bySeconds: 20 },
  { step: 5, kind: 'hold', turn: 0, bySeconds: 20 },
  { step: 5, kind: 'hold', turn: 1, bySeconds: -15 },
  { step: 7, kind: 'leave', bySeconds: 12 },
];

/** Six weeks of evenings as they really went: slow changes and short second sides, a little better every week. */
const EVENINGS: readonly Evening[] = [
  ...['2026-10-15', '2026-10-22', '2026-10-29', '2026-11-05', '2026-11-12'].map((day, i): Evening => ({
    id: `demo-run-nurses-${i + 1}`,
    planId: 'demo-nurses',
    beganAt: `${day}T18:0${i}`,
    deviations: scaled(NURSES, 2.1 - 0.25 * i),
    annotations: {
      present: [...(i === 2 ? [] : ['demo-bryony']), ...nurses(1, 3, 4, 5 + (i % 3), 8, 11)],
      strengths: [
        [3, 'left', 3 - 0.2 * i],
        [3, 'right', 3.6 - 0.2 * i],
        [5, 'left', 2 + 0.2 * i],
        [5, 'right', 2],
      ],
    },
  })),
  {
    id: 'demo-run-nurses',
    planId: 'demo-nurses',
    beganAt: '2026-11-19T18:02',
    deviations: NURSES,
    annotations: {
      present: ['demo-bryony', ...nurses(1, 2, 3, 4, 6, 8, 9)],
      strengths: [
        [2, 'both', 1],
        [3, 'left', 2],
        [3, 'right', 3],
        [5, 'left', 3],
        [5, 'right', 2],
        [8, 'both', 1],
      ],
      review: {
        change: 'Blankets out before the first bell; the blocks one face higher.',
        note: 'Two fell asleep in the last rest.',
        props: [
          [5, 'tooLow'],
          [8, 'tooLow'],
        ],
        tighter: [
          [3, 'right'],
          [5, 'alike'],
        ],
      },
    },
  },
  ...['2026-11-07', '2026-11-14', '2026-11-21'].map((day, i): Evening => ({
    id: `demo-run-potters-${i + 1}`,
    planId: 'demo-potters',
    beganAt: `${day}T10:3${i}`,
    deviations: scaled(POTTERS, 1.4 - 0.4 * i),
    annotations: {
      strengths: [
        [3, 'left', 5 - i * 0.5],
        [3, 'right', 6 - i],
        [5, 'left', 4],
        [5, 'right', 4 + i * 0.5],
      ],
    },
  })),
  ...['2026-11-03', '2026-11-10'].map((day, i): Evening => ({
    id: `demo-run-choir-${i + 1}`,
    planId: 'demo-choir',
    beganAt: `${day}T19:1${6 + i}`,
    deviations: scaled(CHOIR, 1.6 - 0.3 * i),
    annotations: { present: singers(1, 2, 5 + i), review: { change: '', breaths: choirBreaths('effort') } },
  })),
  {
    id: 'demo-run-choir',
    planId: 'demo-choir',
    beganAt: '2026-11-17T19:16',
    deviations: CHOIR,
    annotations: {
      present: singers(1, 3, 4),
      review: { change: 'Fewer rounds with a retention, and more of them easy.', breaths: choirBreaths('easy') },
    },
  },
];

/** An evening of a plan as a session that was led. */
export const ledRun = (plan: Plan, evening: Evening): DemoRun => ({
  id: evening.id,
  planId: evening.planId,
  beganAt: evening.beganAt,
  events: (startMs) => ledEvents(plan, evening, startMs),
});

export const demoRuns: readonly DemoRun[] = EVENINGS.map((evening) => {
  const plan = DEMO_PLANS.find(({ id }) => id === evening.planId)?.plan;
  if (!plan) throw new RangeError(`No demo plan “${evening.planId}”.`);
  return ledRun(plan, evening);
});
