import { z } from 'zod';
import type { Library } from '#core/catalogue';
import { fieldIssues, seconds, type FieldIssue } from '#core/document';
import { PLAN_LIMITS, type FitWeight, type Plan } from '#core/plan';
import type { Seconds } from '#core/numbers';
import { clockOfSeconds } from '#core/time';

/** Lengths are whole multiples of one of these, in seconds; 1 is for scripts. */
export const FIT_GRIDS = [1, 5, 15, 30, 60] as const;

/**
 * How much a relative change of a step counts against the same change of a usual one: a step that keeps its length has
 * to be changed an eighth as much for the same harm, one that gives way first eight times as much.
 */
export const WEIGHT_FACTORS: Record<FitWeight, number> = { keep: 8, normal: 1, givesWay: 1 / 8 };

const MAX_TARGET = PLAN_LIMITS.maxClass;
const TargetSeconds: z.ZodType<Seconds, Seconds> = z
  .number('A target is a length in seconds.')
  .positive('A target is longer than nothing.')
  .max(MAX_TARGET, 'A target is at most six hours.');

/** What a session is fitted to: a length, or the moment by the clock at which it ends. */
const FitTarget = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('length'), seconds: TargetSeconds }),
  z.strictObject({
    kind: z.literal('endsAt'),
    time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time of day like 19:30.'),
  }),
]);
type FitTarget = z.infer<typeof FitTarget>;

/** What a fitting keeps to. Seconds. */
export const FitOptions = z.strictObject({
  target: FitTarget,
  gridSeconds: z.union(
    FIT_GRIDS.map((grid) => z.literal(grid)),
    'Lengths go by 1, 5, 15, 30 or 60 seconds.',
  ),
  /** The last rest does not become shorter than this; null leaves it to its own range. */
  lastRestSeconds: seconds('The final rest', 0, PLAN_LIMITS.maxPlain).nullable(),
  /** Time of the target that is kept free for talk, beside the plan's own talk. */
  talkSeconds: seconds('Time reserved for talking', 0, PLAN_LIMITS.maxPlain),
});
export type FitOptions = z.infer<typeof FitOptions>;

const USUAL_LAST_REST: Seconds = 300;

/**
 * The last rest: the last of all holds, breaths and rests, where it is a rest or a long still hold of a position lying
 * down. Its place among the steps; -1 where a session does not end with one.
 */
export function lastRestIndex(plan: Plan, library: Library): number {
  const at = plan.steps.findLastIndex(({ kind }) => kind === 'rest' || kind === 'hold' || kind === 'breath');
  const step = plan.steps[at];
  if (step?.kind !== 'hold') return step?.kind === 'rest' ? at : -1;
  const position = library.position(step.position);
  const lying = position?.family === 'supine' || position?.family === 'sideLying';
  return lying && position.traits.includes('longUnmovingHold') ? at : -1;
}

/** To the length of the class, by quarters of a minute, the last rest at least five minutes or as long as it is. */
export function usualFitOptions(plan: Plan, library: Library): FitOptions {
  const last = plan.steps[lastRestIndex(plan, library)];
  const length = last?.kind === 'rest' ? last.seconds : last?.kind === 'hold' ? lengthOfOne(last.sides) : null;
  return {
    target: { kind: 'length', seconds: plan.classSeconds },
    gridSeconds: 15,
    lastRestSeconds: length === null ? null : Math.min(USUAL_LAST_REST, length),
    talkSeconds: 0,
  };
}

const lengthOfOne = (sides: { seconds: Seconds } | object): Seconds | null =>
  'seconds' in sides ? sides.seconds : null;

/**
 * How long after its start a plan that starts at a moment of the day ends at another; past midnight is the next day.
 */
function secondsUntil(startsAt: string, time: string): Seconds {
  const minutes = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));
  const [from, to] = [minutes(startsAt.slice(11)), minutes(time)];
  return ((to - from + 24 * 60) % (24 * 60)) * 60;
}

/** The time of day when a plan's class ends, as `19:30`; a plan without a start is counted from midnight. */
export function classEndsAt({ startsAt, classSeconds }: Plan): string {
  const from = (startsAt ?? '').slice(11) || '00:00';
  const minutes = Number(from.slice(0, 2)) * 60 + Number(from.slice(3, 5)) + Math.round(classSeconds / 60);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${two(Math.floor(minutes / 60) % 24)}:${two(minutes % 60)}`;
}

/** `seconds`: what is fitted to; `classSeconds`: with what is kept for talk. */
export type TargetLength = { ok: true; seconds: Seconds; classSeconds: Seconds } | { ok: false; issues: FieldIssue[] };

/**
 * The length in seconds a session is fitted to, from its target and what is kept for talk; or the field that says no
 * length, with the reason.
 */
export function targetLength(plan: Plan, options: FitOptions): TargetLength {
  const refuse = (field: string, reason: string): TargetLength => ({ ok: false, issues: [{ field, reason }] });
  const parsed = FitOptions.safeParse(options);
  if (!parsed.success) return { ok: false, issues: fieldIssues(parsed.error) };
  const { target, talkSeconds } = options;
  if (target.kind === 'endsAt' && plan.startsAt === null)
    return refuse('target.time', 'This plan has no start time. Give it one, or fit it to a length.');
  const whole = target.kind === 'length' ? target.seconds : secondsUntil(plan.startsAt ?? '', target.time);
  if (whole === 0) return refuse('target.time', 'It would end when it begins.');
  if (whole > MAX_TARGET)
    return refuse('target.time', `That is ${clockOfSeconds(whole)} after it begins; a target is at most six hours.`);
  if (talkSeconds >= whole)
    return refuse('talkSeconds', `Nothing of ${clockOfSeconds(whole)} would remain beside the talking.`);
  return { ok: true, seconds: whole - talkSeconds, classSeconds: whole };
}
