import { planOfUid, type CalendarDate } from '#core/exchange';
import { emptyPlan, Plan } from '#core/plan';
import type { Settings } from '#core/settings';
import { planRulesOf } from '#core/settings';
import type { ListedPlan } from '#api';
import { planClient } from '../../client/documents';
import { createPlan } from '../../client/plans';
import { usePlaces } from '../../state/places';

/** What becomes of a date: a new plan, a copy of a plan on that date, or the date of a plan. */
export type Becomes = 'new' | `copy ${string}` | `date ${string}`;

const sameWords = (one: string, other: string): boolean => one.trim().toLowerCase() === other.trim().toLowerCase();

/** What a date most likely becomes: the date of the plan it was made from, or a copy of the plan of its name. */
export function likely({ uid, title }: CalendarDate, plans: readonly ListedPlan[]): Becomes {
  const made = planOfUid(uid);
  if (made !== undefined && plans.some(({ id }) => id === made)) return `date ${made}`;
  const named = plans.find(({ summary }) => sameWords(summary.title, title));
  return named ? `copy ${named.id}` : 'new';
}

/** Whether a plan has this date already. */
export const isThere = (date: CalendarDate, becomes: Becomes, plans: readonly ListedPlan[]): boolean =>
  becomes.startsWith('date ') &&
  plans.some(({ id, summary }) => `date ${id}` === becomes && summary.startsAt === date.startsAt);

/** A new plan on a date, otherwise as new plans are here. */
function planOn(date: CalendarDate & { startsAt: string }, settings: Settings): Plan {
  const places = usePlaces();
  const { approach, place: usual } = settings.usual;
  const base = emptyPlan(date.title.slice(0, 120) || 'Class', approach);
  const named = places.places?.find(({ document }) => sameWords(document.name, date.place));
  const place = named ?? (date.place === '' ? places.places?.find(({ id }) => id === usual) : undefined);
  const where = place ? { cupboard: place.id, place: place.document.name } : { place: date.place };
  const plan = { ...base, startsAt: date.startsAt, rules: planRulesOf(settings), ...where };
  // Where the length or the words of an event are none that a plan can have, it is as a new plan has it.
  const read = Plan.safeParse({ ...plan, classSeconds: date.seconds });
  return read.success ? read.data : { ...base, startsAt: date.startsAt, rules: planRulesOf(settings) };
}

/** Makes one chosen date what it becomes. Throws what the client throws. */
export async function takeDate(date: CalendarDate, becomes: Becomes, settings: Settings): Promise<void> {
  const { startsAt } = date;
  if (startsAt === null) return;
  if (becomes === 'new') {
    await createPlan(planOn({ ...date, startsAt }, settings), []);
    return;
  }
  const [what, id = ''] = becomes.split(' ');
  const plan = planClient.at(id);
  const { document, revision } = await plan.read();
  if (what === 'copy') await createPlan({ ...document, startsAt }, []);
  else await plan.save(revision, { ...document, startsAt });
}
