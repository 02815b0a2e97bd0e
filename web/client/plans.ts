import type { Plan, PlanFile } from '#core/plan';
import {
  BinResponse,
  ConflictResponse,
  ListPlansResponse,
  ListVersionsResponse,
  SavedPlan,
  StoredPlan,
  StoredRevision,
  type BinnedItem,
  type ListedPlan,
  type ListPlansQuery,
} from '#api';
import { newId } from './new-id';
import { ApiProblem, ask, tell, worthRetrying } from './http';

const at = (id: string): string => `/plans/${encodeURIComponent(id)}`;

type Asked = Partial<Pick<ListPlansQuery, 'search' | 'groupId' | 'cupboard' | 'startsFrom'>>;

const askPlans = (asked: Asked, limit: number, offset = 0) =>
  ask(
    ListPlansResponse,
    'GET',
    `/plans?${new URLSearchParams({ ...asked, limit: String(limit), offset: String(offset) })}`,
  );

export const listPlans = (search: string, limit = 50, offset = 0) => askPlans({ search }, limit, offset);

const PAGE = 100;
/** Every plan there is, for a group or a place where one is named; the latest changed first. */
export async function listAllPlans(asked: Pick<Asked, 'groupId' | 'cupboard'> = {}): Promise<ListedPlan[]> {
  const all: ListedPlan[] = [];
  for (let offset = 0; ; offset += PAGE) {
    const { plans, total } = await askPlans(asked, PAGE, offset);
    all.push(...plans);
    if (offset + PAGE >= total) return all;
  }
}

/** The plan that begins first from a local moment on, such as `2026-11-26T18:30`. */
export const planAfter = async (startsFrom: string): Promise<ListedPlan | undefined> =>
  (await askPlans({ startsFrom }, 1)).plans[0];

/** The plans with a step made from an entry of the library. */
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
    const made = await ask(StoredPlan, 'POST', '/plans', { id, document });
    answered();
    return made;
  } catch (error) {
    if (!worthRetrying(error)) answered();
    throw error;
  }
}

export const readStoredPlan = (id: string) => ask(StoredPlan, 'GET', at(id));

export const savePlan = (id: string, revision: number, document: Plan) =>
  ask(SavedPlan, 'PUT', at(id), { revision, document });

export const deletePlan = (id: string) => tell('DELETE', at(id));

export const listBin = async (): Promise<BinnedItem[]> => (await ask(BinResponse, 'GET', '/bin')).items;

export const restore = ({ kind, id }: Pick<BinnedItem, 'kind' | 'id'>) =>
  tell('POST', `/bin/${kind}/${encodeURIComponent(id)}/restore`);

/** Both versions of a stale write, or undefined where the error is something else. */
export function conflictOf(error: unknown): ConflictResponse | undefined {
  if (!(error instanceof ApiProblem) || error.status !== 409) return undefined;
  return ConflictResponse.safeParse(error.body).data;
}

/** The versions of a plan that are kept, the latest first, each with what changed since the one before it. */
export const listVersions = (id: string) => ask(ListVersionsResponse, 'GET', `${at(id)}/revisions`);

export const readVersion = (id: string, revision: number) =>
  ask(StoredRevision, 'GET', `${at(id)}/revisions/${revision}`);
