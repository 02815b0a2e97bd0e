import { z } from 'zod';
import { Id } from '#core/document';
import type { Plan } from '#core/plan';
import { BreathStep, HoldBreath, HoldStep, MoveStep, RestStep, TalkStep, PlanRules, emptyPlan } from '#core/plan';
import { RunEvent, type RunEventKind } from '#core/run';

/** Whether phones on the same network may view a session, at which addresses, and of which plan. */
export const AudienceState = z.object({
  open: z.boolean(),
  planId: Id.nullable(),
  addresses: z.array(z.string()),
});
export type AudienceState = z.infer<typeof AudienceState>;

export const OpenAudienceRequest = z.strictObject({ planId: Id });

const only = <S extends z.ZodRawShape>(shape: S) => z.object(shape);

/** What of each step the audience view draws and measures: no notes, no prompts, no numbers of people, no ranges. */
const AudienceStep = z.discriminatedUnion('kind', [
  only(
    HoldStep.pick({
      kind: true,
      id: true,
      name: true,
      position: true,
      sides: true,
      breathSeconds: true,
      stages: true,
      setUp: true,
      setupSeconds: true,
      enterSeconds: true,
      leaveSeconds: true,
      switchSeconds: true,
      rebound: true,
    }).shape,
  ).extend({
    breath: only(HoldBreath.shape).nullable(),
    loosen: z.object({ when: z.enum(['afterEach', 'afterBoth']), seconds: z.number() }).nullable(),
  }),
  only(
    BreathStep.pick({
      kind: true,
      id: true,
      name: true,
      technique: true,
      practice: true,
      moves: true,
      setUp: true,
      setupSeconds: true,
      afterSeconds: true,
    }).shape,
  ),
  only(RestStep.pick({ kind: true, id: true, name: true, seconds: true, setUp: true, setupSeconds: true }).shape),
  only(MoveStep.pick({ kind: true, id: true, name: true, seconds: true }).shape),
  only(TalkStep.pick({ kind: true, id: true, name: true, seconds: true }).shape),
]);

/** What the audience view needs of a plan. Parsing a plan with this leaves everything else out. */
export const AudiencePlan = z.object({
  classSeconds: z.number(),
  /** What decides the first side and how long changes take, so that phones keep the same time. */
  rules: PlanRules.nullable(),
  startsAt: z.string().nullable(),
  steps: z.array(AudienceStep),
});
export type AudiencePlan = z.infer<typeof AudiencePlan>;

/** The events that move the clock of a session; all others say something, and are the teacher's. */
export const AUDIENCE_EVENTS: ReadonlySet<RunEventKind> = new Set<RunEventKind>([
  'started',
  'paused',
  'resumed',
  'jumped',
  'stretched',
  'rounds',
  'cut',
  'matched',
  'opened',
  'swapped',
  'restAdded',
  'refitted',
  'measured',
  'missed',
  'ended',
]);
const AudienceEvent = RunEvent.refine(({ kind }) => AUDIENCE_EVENTS.has(kind), 'This event is not shown to students.');

/** A session under way as the audience sees it. */
export const AudienceSession = z.object({ runId: Id, plan: AudiencePlan, events: z.array(AudienceEvent) });
export type AudienceSession = z.infer<typeof AudienceSession>;

/**
 * The answer to a phone: the clock of the session in milliseconds since 1970 UTC, a tag of the session as it is now,
 * and the session where the phone named another tag. `session` is null before the session begins.
 */
export const AudienceNow = z.object({
  nowMs: z.number(),
  tag: z.string(),
  session: AudienceSession.nullable().optional(),
});
export type AudienceNow = z.infer<typeof AudienceNow>;

/** A whole plan from what the audience was given, for what draws plans; what was left out is empty. */
export function planForAudience({ classSeconds, rules, startsAt, steps }: AudiencePlan): Plan {
  const common = {
    note: '',
    locked: false,
    weight: 'normal' as const,
    pinned: false,
    takesRemaining: false,
    where: null,
  };
  return {
    ...emptyPlan('Session'),
    classSeconds,
    rules,
    startsAt,
    steps: steps.map((step): Plan['steps'][number] => {
      switch (step.kind) {
        case 'hold':
          return {
            ...common,
            ...step,
            range: null,
            rangeIsUsual: false,
            demands: null,
            strength: null,
            otherSetUp: null,
            prompts: [],
            loosen: step.loosen && { ...step.loosen, text: '' },
            unevenIntended: false,
            waysIn: null,
            waysOut: null,
            leftMeans: null,
          };
        case 'breath':
          return { ...common, ...step, seat: null, otherSetUp: null };
        case 'rest':
          return { ...common, ...step, otherSetUp: null };
        case 'move':
        case 'talk':
          return { ...common, ...step };
      }
    }),
  };
}
