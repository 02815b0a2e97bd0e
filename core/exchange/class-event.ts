import type { Library } from '#core/catalogue';
import type { Ms } from '#core/numbers';
import type { Plan } from '#core/plan';
import type { ClassEvent } from './calendar';
import { stepsInOutline, type NameIndex } from './outline';

/** What an event of a calendar is made from, besides the plan itself. */
interface AboutClass {
  id: string;
  revision: number;
  changedMs: Ms;
  /** The zone of the place, or of the device where the place has none. */
  zone: string;
  library: Library;
  names: NameIndex;
  cancelled?: boolean;
  alarmMinutes?: number;
}

/** The UID of a plan’s class: the same for as long as the plan is there, also when it is moved to another day. */
export const uidOf = (planId: string): string => `${planId}@zovrin`;
/** The id of the plan that an event was made from; undefined for an event of another program. */
export const planOfUid = (uid: string): string | undefined => /^([\w-]{1,64})@zovrin$/u.exec(uid)?.[1];

/**
 * A plan as an event of a calendar, with its steps as the description; undefined for one without a date. The teacher’s
 * notes and everything about people stay out.
 */
export function classEvent(plan: Plan, about: AboutClass): ClassEvent | undefined {
  if (plan.startsAt === null) return undefined;
  const { id, revision, changedMs, zone, library, names, cancelled = false, alarmMinutes } = about;
  return {
    uid: uidOf(id),
    // A class that is cancelled is one more change, though the plan is as it was.
    sequence: revision + (cancelled ? 1 : 0),
    title: plan.title,
    startsAt: plan.startsAt,
    zone,
    changedMs,
    seconds: plan.classSeconds,
    place: plan.place,
    says: stepsInOutline(plan, library, names, { notes: false }).trimEnd(),
    cancelled,
    alarmMinutes,
  };
}
