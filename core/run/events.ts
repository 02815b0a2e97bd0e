import { z } from 'zod';
import type { Ms } from '#core/numbers';
import { Id } from '#core/document';
import { Correction, RunReview } from './review';

/** A moment or a length of time in whole milliseconds. */
const milliseconds = (min: Ms, max: Ms): z.ZodType<Ms, Ms> => z.int().min(min).max(max);

const base = {
  /** Created where the event happened, so that sending it twice stores it once. */
  id: Id.min(8, 'An id of an event has at least 8 characters.'),
  /** The clock of the device at that moment: milliseconds since 1970 UTC. */
  atMs: milliseconds(0, 8_640_000_000_000_000),
};

/** The window an event happened in, named as in `led`; events that were stored before this was kept have none. */
const window = z.string().min(1).max(64).optional();
const common = { ...base, window };

const MAX_SET_MS = 400 * 86_400_000;
const others = z.int().min(0, 'There cannot be fewer than no people.').max(500, 'At most 500.');
const StepIndex = z.int().min(0).max(10_000);
const PhaseLength = z.tuple([z.int().min(0), z.int().min(0).max(86_400_000)]);

/** What the lengths of a session that was not led with the clock can be measured from. */
export const MEASURED_FROM = ['captions'] as const;
export type MeasuredFrom = (typeof MEASURED_FROM)[number];

/** An event while a plan was taught. A run is the append-only list of events. */
export const RunEvent = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('started') }),
  z.strictObject({ ...common, kind: z.literal('paused') }),
  z.strictObject({ ...common, kind: z.literal('resumed') }),
  /** Went to the beginning of a phase of the planned timeline, forwards or back. */
  z.strictObject({ ...common, kind: z.literal('jumped'), phase: z.int().min(0) }),
  /** Made the present hold (or other stretch) longer or, below zero, shorter. */
  z.strictObject({ ...common, kind: z.literal('stretched'), byMs: milliseconds(-3_600_000, 3_600_000) }),
  /** Added rounds to the present breath set or, below zero, took some of those to come. */
  z.strictObject({ ...common, kind: z.literal('rounds'), by: z.int().min(-200).max(200) }),
  /** Ended the present hold or breath practice. */
  z.strictObject({ ...common, kind: z.literal('cut') }),
  /** Gave the second side of the present step what the first side really had. */
  z.strictObject({ ...common, kind: z.literal('matched') }),
  /** The present hold continues until it is ended by hand, or (false) it ends when its time is over. */
  z.strictObject({ ...common, kind: z.literal('opened'), open: z.boolean() }),
  /** Exchanged two steps to come, by their places in the plan. */
  z.strictObject({ ...common, kind: z.literal('swapped'), steps: z.tuple([StepIndex, StepIndex]) }),
  /** Added a still rest after the present hold, breath or other stretch. */
  z.strictObject({ ...common, kind: z.literal('restAdded'), ms: z.int().min(1000).max(3_600_000) }),
  /** Gave stretches to come other lengths, by phase, so that the session ends in time. */
  z.strictObject({ ...common, kind: z.literal('refitted'), lengths: z.array(PhaseLength).max(2000) }),
  /** It was not led with the clock: each stretch to come has a length, by phase, that was measured some other way. */
  z.strictObject({
    ...common,
    kind: z.literal('measured'),
    from: z.enum(MEASURED_FROM),
    lengths: z.array(PhaseLength).max(10_000),
  }),
  /** Time that passed unseen since `fromMs`, while the machine slept, does not count: it continues from there. */
  z.strictObject({ ...common, kind: z.literal('missed'), fromMs: common.atMs }),
  /** Took back an event, as if it had not happened. A start cannot be taken back. */
  z.strictObject({ ...common, kind: z.literal('undone'), event: common.id }),
  z.strictObject({ ...common, kind: z.literal('prompted'), text: z.string().max(200) }),
  z.strictObject({ ...common, kind: z.literal('noted'), text: z.string().min(1).max(2000) }),
  z.strictObject({
    ...common,
    kind: z.literal('rated'),
    stepId: Id,
    side: z.enum(['left', 'right', 'both']),
    /** From 0 to 10; null takes an earlier one away. */
    strength: z.number().min(0).max(10).nullable(),
  }),
  /** A window took the lead; the one that led before follows from here on. */
  z.strictObject({ ...common, kind: z.literal('led'), by: z.string().min(1).max(64) }),
  /** The clock of the machine was set by so much; the moments of a run go on as if it had not been. */
  z.strictObject({ ...common, kind: z.literal('clockSet'), byMs: milliseconds(-MAX_SET_MS, MAX_SET_MS) }),
  /** Attendance: people by their ids, and how many others. */
  z.strictObject({
    ...common,
    kind: z.literal('present'),
    people: z.array(Id).max(500),
    others,
  }),
  /** The teacher's review; a later one replaces an earlier one, which is kept. */
  z.strictObject({ ...common, kind: z.literal('reviewed'), review: RunReview }),
  /** Corrections of measured lengths of sides or steps, or of the end. */
  z.strictObject({ ...common, kind: z.literal('corrected'), ...Correction.shape }),
  z.strictObject({ ...common, kind: z.literal('ended') }),
]);
export type RunEvent = z.infer<typeof RunEvent>;
export type RunEventKind = RunEvent['kind'];
