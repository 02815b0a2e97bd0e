import { z } from 'zod';
import { PhasesOfBreath } from './breath-phases';
import { milliseconds } from './units';
import { Moment } from '#core/catalogue';
import { HoldBreath, OtherSetUp, STEP_KINDS } from '#core/plan';
import { PlacedProp, PropMove } from './props';
import { BELL_KINDS, NOTE_KINDS, TimelineRules, type Timeline } from '#core/timeline';

/**
 * The arithmetic for a script: a plan in, its timeline and totals out. `rules` are the timeline rules, if not the
 * usual.
 */
export const TimelineRequest = z.strictObject({ document: z.unknown(), rules: TimelineRules.optional() });

const Side = z.enum(['left', 'right', 'both', 'none']);
const Ms = milliseconds;

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

const phase = {
  index: z.int(),
  stepIndex: z.int(),
  stepId: z.string(),
  startMs: Ms,
  endMs: Ms,
  side: Side,
  props: z.array(PlacedProp).readonly(),
};
const Moves = z.array(PropMove).readonly();

/** A stretch of a timeline; those of a breath are as in its practice, with the step they belong to. */
const Phase = z.discriminatedUnion('kind', [
  z.object({ ...phase, kind: z.enum(['setup', 'switch']), moves: Moves }),
  z.object({
    ...phase,
    kind: z.literal('hold'),
    turn: z.int(),
    crossing: z.boolean(),
    stage: z
      .object({ index: z.int(), count: z.int(), name: z.string(), moves: Moves, breathMs: z.int().nullable() })
      .nullable(),
  }),
  z.object({ ...phase, kind: z.enum(['enter', 'leave', 'rebound', 'loosen', 'rest', 'move', 'talk']) }),
  ...PhasesOfBreath.map((one) => one.extend({ ...phase, turn: z.int() })),
]);

const StepSpan = z.object({
  stepId: z.string(),
  stepIndex: z.int(),
  kind: z.enum(STEP_KINDS),
  startMs: Ms,
  endMs: Ms,
  firstPhase: z.int(),
  endPhase: z.int(),
  leftMs: Ms,
  rightMs: Ms,
  bothMs: Ms,
  propMoves: z.int(),
  usesProps: z.boolean(),
  otherSetUp: OtherSetUp.nullable(),
  breath: HoldBreath.nullable(),
});

const PromptCue = z.object({
  atMs: Ms,
  stepId: z.string(),
  stepIndex: z.int(),
  side: Side,
  turn: z.int(),
  at: Moment,
  text: z.string(),
});

const HoldBreathSpan = z.object({
  stepId: z.string(),
  stepIndex: z.int(),
  side: Side,
  turn: z.int(),
  startMs: Ms,
  endMs: Ms,
  phases: z.array(z.discriminatedUnion('kind', PhasesOfBreath)).readonly(),
});

export const TimelineResponse = z.object({
  phases: z.array(Phase).readonly(),
  steps: z.array(StepSpan).readonly(),
  prompts: z.array(PromptCue).readonly(),
  bells: z.array(z.object({ atMs: Ms, kind: z.enum(BELL_KINDS), stepIndex: z.int() })).readonly(),
  breaths: z.array(HoldBreathSpan).readonly(),
  notes: z
    .array(z.object({ stepId: z.string(), stepIndex: z.int(), kind: z.enum(NOTE_KINDS), message: z.string() }))
    .readonly(),
  totals: Totals,
}) satisfies z.ZodType<Timeline, Timeline>;
export type TimelineResponse = z.infer<typeof TimelineResponse>;
