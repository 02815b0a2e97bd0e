import { z } from 'zod';

const common = {
  /** Made where the event happened, so that sending it twice stores it once. */
  id: z.string().min(8).max(64),
  /** The clock of the device at that moment: milliseconds since 1970 UTC. */
  atMs: z.int().min(0).max(8_640_000_000_000_000),
};

/** What happened while a plan was taught. A run is the append-only list of these. */
export const RunEvent = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('started') }),
  z.strictObject({ ...common, kind: z.literal('paused') }),
  z.strictObject({ ...common, kind: z.literal('resumed') }),
  /** Went to the beginning of a phase of the planned timeline, forwards or back. */
  z.strictObject({ ...common, kind: z.literal('jumped'), phase: z.int().min(0) }),
  /** Made the present hold (or other stretch) longer or, below zero, shorter. */
  z.strictObject({ ...common, kind: z.literal('stretched'), byMs: z.int().min(-3_600_000).max(3_600_000) }),
  /** Added rounds to the present breath set or, below zero, took some of those to come. */
  z.strictObject({ ...common, kind: z.literal('rounds'), by: z.int().min(-200).max(200) }),
  /** Ended the present hold or breath practice. */
  z.strictObject({ ...common, kind: z.literal('cut') }),
  /** Gave the second side of the present step what the first side really had. */
  z.strictObject({ ...common, kind: z.literal('matched') }),
  z.strictObject({ ...common, kind: z.literal('prompted'), text: z.string().max(200) }),
  z.strictObject({ ...common, kind: z.literal('noted'), text: z.string().min(1).max(2000) }),
  z.strictObject({
    ...common,
    kind: z.literal('rated'),
    stepId: z.string().max(64),
    side: z.enum(['left', 'right', 'both']),
    strength: z.number().min(0).max(10),
  }),
  z.strictObject({ ...common, kind: z.literal('ended') }),
]);
export type RunEvent = z.infer<typeof RunEvent>;
export type RunEventKind = RunEvent['kind'];
