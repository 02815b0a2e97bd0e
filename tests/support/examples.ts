import { libraryOf } from '#core/catalogue';
import type { BreathSet } from '#core/breath';
import { propKind, type KnownKind, type PropPlace, type SetUpRow } from '#core/props';
import { emptyPlan, holdNamed, Plan, talkStep, type BreathStep, type HoldStep, type Step } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import type { RunSummary } from '#api';

/** A library that knows nothing: every hold goes by its own times. */
export const noLibrary = libraryOf([], []);

/**
 * The worked example: each side 3:40, set-up 40 s, enter 25 s, leave 20 s, switch 15 s, loosen 25 s: 10:10 in total.
 */
export const workedHold: HoldStep = {
  ...holdNamed('Head to knee', 'worked'),
  sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 220 } },
  setupSeconds: 40,
  enterSeconds: 25,
  leaveSeconds: 20,
  switchSeconds: 15,
  loosen: { when: 'afterBoth', seconds: 25, text: 'shake the legs' },
};

/** A breath step without set-up and without quiet breathing after it. */
export const breathStep = (sets: BreathSet[], patch: Partial<BreathStep> = {}): BreathStep => ({
  id: 'breath',
  kind: 'breath',
  name: 'Breath',
  note: '',
  locked: false,
  weight: 'normal',
  pinned: false,
  takesRemaining: false,
  where: null,
  technique: 'breath',
  practice: { countSeconds: 1, sets },
  moves: null,
  seat: null,
  setUp: [],
  otherSetUp: null,
  setupSeconds: 0,
  afterSeconds: 0,
  ...patch,
});

export const planOf = (...steps: Step[]): Plan => Plan.parse({ ...emptyPlan('Example'), classSeconds: 900, steps });

export const talk = (id: string, seconds: number): Step => talkStep(id, 'Talk', seconds);

/** A row of a set-up with its usual values: the first state of its kind, lengthwise, in the middle, one piece. */
export const propRow = (kind: KnownKind, place: PropPlace, look: Partial<SetUpRow> = {}): SetUpRow => ({
  id: `${kind}-${place}`,
  kind,
  state: Object.keys(propKind(kind).states)[0] ?? '',
  lie: 'lengthwise',
  place,
  side: 'centre',
  count: 1,
  mirror: true,
  optional: false,
  why: '',
  ...look,
});

/** What a list says of a run in which nothing was led. */
export const runSummary = (title: string): RunSummary => ({
  title,
  startedAtMs: null,
  lastEventAtMs: null,
  ended: false,
  measuredFrom: null,
  doneMs: 0,
  differenceMs: 0,
  leftDoneMs: 0,
  rightDoneMs: 0,
  apartMs: 0,
  meantMs: 0,
  says: '',
  totals: compileTimeline(emptyPlan(title), noLibrary).totals,
  ribbon: [],
  unreadable: 0,
});

/**
 * An hour of breath in the finest phases there may be, 7,200 of them: counts of half a second, each a phase of its own.
 */
export function finestBreath(id: string): BreathStep {
  const through = { inThrough: 'nose', outThrough: 'nose' } as const;
  const part = { kind: 'cycle', in: 1, holdFull: 1, out: 1, holdEmpty: 1, ...through } as const;
  const set = (number: number): BreathSet => ({
    id: `set-${number}`,
    label: '',
    parts: [{ ...part, sound: 'none', place: null, locks: [] }],
    rounds: 200,
    ramp: null,
    restSeconds: 0,
    eyes: 'free',
    hands: '',
    says: '',
  });
  const sets = Array.from({ length: 9 }, (_, number) => set(number));
  return { ...breathStep(sets), id, practice: { countSeconds: 0.5, sets } };
}
