import type { Plan, PlanFile } from '#core/plan';
import {
  ListPlansResponse,
  ListVersionsResponse,
  PLANS,
  PlanTagsResponse,
  UsedEntriesResponse,
  StoredRevision,
  type ListedPlan,
  type ListPlansQuery,
  type StoredPlan,
} from '#api';
import { ask, worthRetrying } from './http';
import { newId } from './new-id';

const at = (id: string): string => `/plans/${encodeURIComponent(id)}`;

type AskedFor = 'search' | 'groupId' | 'cupboard' | 'startsFrom' | 'tag' | 'archived' | 'sort';
export type PlanFilter = { readonly [K in AskedFor]?: NonNullable<ListPlansQuery[K]> };

/** A page of the plans that a filter lets through. */
export const listPlans = (filter: PlanFilter, limit = 50, offset = 0) =>
  ask(
    ListPlansResponse,
    'GET',
    `/plans?${new URLSearchParams(
      Object.entries({ ...filter, limit, offset }).map(([name, value]) => [name, String(value)]),
    )}`,
  );

/** The tags that plans can be found by, and how many plans are archived. */
export const listPlanTags = () => ask(PlanTagsResponse, 'GET', '/plan-tags');

/** The library entries in the plans that were changed last. */
export const listUsedEntries = () => ask(UsedEntriesResponse, 'GET', '/used-entries');

const PAGE = 100;
/** Every plan there is, of a group, a place or the archive where one is named; the latest changed first. */
export async function listAllPlans(
  filter: Pick<PlanFilter, 'groupId' | 'cupboard' | 'archived'> = {},
): Promise<ListedPlan[]> {
  const all: ListedPlan[] = [];
  for (let offset = 0; ; offset += PAGE) {
    const { items, total } = await listPlans(filter, PAGE, offset);
    all.push(...items);
    if (offset + PAGE >= total) return all;
  }
}

/** The plan that begins first from a local moment on, such as `2026-11-26T18:30`; none that is archived. */
export const planAfter = async (startsFrom: string): Promise<ListedPlan | undefined> =>
  (await listPlans({ startsFrom, archived: false }, 1)).items[0];

/** The plans with a step made from a library entry. */
export const listPlansUsing = (entry: string, limit: number) =>
  ask(ListPlansResponse, 'GET', `/plans?${new URLSearchParams({ uses: entry, limit: String(limit) })}`);

/** Ids of plans that were sent and not answered, by what was sent: sent again, it is the same plan. */
const unanswered = new Map<string, string>();

/**
 * Makes a plan; the custom entries that come with it are brought into the library. Where the answer was lost, the same
 * plan sent again is not made twice.
 */
export async function createPlan(plan: Plan, entries: PlanFile['entries'] = []): Promise<StoredPlan> {
  const document = entries.length > 0 ? { ...plan, entries } : plan;
  const text = JSON.stringify(document);
  const id = unanswered.get(text) ?? newId();
  unanswered.set(text, id);
  const answered = (): boolean => unanswered.delete(text);
  try {
    const made = await ask(PLANS.stored, 'POST', PLANS.path, { id, document });
    answered();
    return made;
  } catch (error) {
    if (!worthRetrying(error)) answered();
    throw error;
  }
}

/** The versions of a plan that are kept, the latest first, each with what changed since the one before it. */
export const listVersions = (id: string) => ask(ListVersionsResponse, 'GET', `${at(id)}/revisions`);

export const readVersion = (id: string, revision: number) =>
  ask(StoredRevision, 'GET', `${at(id)}/revisions/${revision}`);
