import type { Variants } from '#core/jobs';
import type { PaceOfRun } from '#core/review';
import { PaceResponse, SavedDocument, StoredVariants, VariantsConflict } from '#api';
import { ApiProblem, ask } from './http';

/** How the latest runs went against their plans. */
export const readPaces = async (): Promise<PaceOfRun[]> =>
  (await ask(PaceResponse, 'GET', '/pace')).runs as PaceOfRun[];

const at = (planId: string): string => `/plans/${encodeURIComponent(planId)}/variants`;
export const readStoredVariants = (planId: string) => ask(StoredVariants, 'GET', at(planId));
export const saveStoredVariants = (planId: string, revision: number, document: Variants) =>
  ask(SavedDocument, 'PUT', at(planId), { revision, document });

/** Both versions of a stale write, or undefined where the error is something else. */
export function variantsConflictOf(error: unknown): VariantsConflict | undefined {
  return error instanceof ApiProblem && error.status === 409 ? VariantsConflict.safeParse(error.body).data : undefined;
}
