import { z } from 'zod';
import { TimelineRules } from '#core/timeline';

/** The arithmetic for a script: a plan in, its timeline and totals out. `rules` are the house rules, if not the usual. */
export const TimelineRequest = z.strictObject({ document: z.unknown(), rules: TimelineRules.optional() });

const Ms = z.int();

/** The sums of a timeline, in milliseconds. */
export const Totals = z.object({
  totalMs: Ms,
  targetMs: Ms,
  spareMs: Ms,
  holdMs: Ms,
  leftMs: Ms,
  rightMs: Ms,
  bothMs: Ms,
  breathMs: Ms,
  restMs: Ms,
  betweenMs: Ms,
  propMoves: z.int(),
});

/** What a ribbon is drawn from: the blocks of a timeline, in order. */
export const Ribbon = z.array(z.looseObject({ kind: z.string(), stepIndex: z.int(), startMs: Ms, endMs: Ms }));

export const TimelineResponse = z.object({
  phases: z.array(
    z.looseObject({
      index: z.int(),
      kind: z.string(),
      stepIndex: z.int(),
      stepId: z.string(),
      startMs: Ms,
      endMs: Ms,
      side: z.string(),
    }),
  ),
  steps: z.array(z.looseObject({ stepId: z.string(), startMs: Ms, endMs: Ms })),
  prompts: z.array(z.looseObject({ atMs: Ms, text: z.string() })),
  bells: z.array(z.looseObject({ atMs: Ms, kind: z.string() })),
  breaths: z.array(z.looseObject({ stepId: z.string(), startMs: Ms, endMs: Ms })),
  notes: z.array(z.looseObject({ stepId: z.string(), kind: z.string(), message: z.string() })),
  totals: Totals,
});
export type TimelineResponse = z.infer<typeof TimelineResponse>;
