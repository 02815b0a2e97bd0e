import type { Plan, PlanFile } from '#core/plan';
import { BinResponse, ConflictResponse, ListPlansResponse, StoredPlan, type BinnedItem } from '#api';
import { ApiProblem, ask, tell } from './http';

const at = (id: string): string => `/plans/${encodeURIComponent(id)}`;

export const listPlans = (search: string, limit = 50, offset = 0) =>
  ask(
    ListPlansResponse,
    'GET',
    `/plans?${new URLSearchParams({ search, limit: String(limit), offset: String(offset) })}`,
  );

/** The plans with a step made from an entry of the library. */
export const listPlansUsing = (entry: string, limit: number) =>
  ask(ListPlansResponse, 'GET', `/plans?${new URLSearchParams({ uses: entry, limit: String(limit) })}`);

/** Makes a plan; the entries of one's own that come with it are brought into the library. */
export const createPlan = (plan: Plan, entries: PlanFile['entries'] = []) =>
  ask(StoredPlan, 'POST', '/plans', { document: entries.length > 0 ? { ...plan, entries } : plan });

export const readStoredPlan = (id: string) => ask(StoredPlan, 'GET', at(id));

export const savePlan = (id: string, revision: number, document: Plan) =>
  ask(StoredPlan, 'PUT', at(id), { revision, document });

export const deletePlan = (id: string) => tell('DELETE', at(id));

export const listBin = async (): Promise<BinnedItem[]> => (await ask(BinResponse, 'GET', '/bin')).items;

export const restore = ({ kind, id }: Pick<BinnedItem, 'kind' | 'id'>) =>
  tell('POST', `/bin/${kind}/${encodeURIComponent(id)}/restore`);

/** Both versions of a stale write, or undefined where the error is something else. */
export function conflictOf(error: unknown): ConflictResponse | undefined {
  if (!(error instanceof ApiProblem) || error.status !== 409) return undefined;
  return ConflictResponse.safeParse(error.body).data;
}
