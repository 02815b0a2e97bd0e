import { libraryOf } from '#core/catalogue';
import type { BreathSet } from '#core/breath';
import { emptyPlan, holdNamed, Plan, talkStep, type BreathStep, type HoldStep, type Step } from '#core/plan';

/** A library that knows nothing: every hold goes by its own times. */
export const noLibrary = libraryOf([], []);

/** The worked example: each side 3:40, set-up 40 s, enter 25 s, leave 20 s, switch 15 s, loosen 25 s: 10:10 in all. */
export const workedHold: HoldStep = {
  ...holdNamed('Head to knee', 'worked'),
  sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 220 } },
  setupSeconds: 40,
  enterSeconds: 25,
  leaveSeconds: 20,
  switchSeconds: 15,
  loosen: { seconds: 25, text: 'shake the legs' },
};

/** A breath step without set-up and without quiet breathing after it. */
export const breathStep = (sets: BreathSet[], patch: Partial<BreathStep> = {}): BreathStep => ({
  id: 'breath',
  kind: 'breath',
  name: 'Breath',
  note: '',
  locked: false,
  technique: 'breath',
  practice: { countSeconds: 1, sets },
  moves: null,
  setUp: [],
  setupSeconds: 0,
  afterSeconds: 0,
  ...patch,
});

export const planOf = (...steps: Step[]): Plan => Plan.parse({ ...emptyPlan('Example'), classSeconds: 900, steps });

export const talk = (id: string, seconds: number): Step => talkStep(id, 'Talk', seconds);
