import type { z } from 'zod';
import {
  DECISIONS,
  ENTRIES,
  GROUPS,
  JOURNAL,
  MAX_PAGE,
  pageOf,
  PEOPLE,
  COURSES,
  PLACES,
  PLANS,
  SavedDocument,
  SETTINGS,
  VARIANTS,
  type OnlyDocument,
  type OnlyResource,
  type Resource,
  type StoredDocument,
} from '#api';
import { ApiProblem, ask, tell } from './http';

/** A document of the server: how it is read and saved. */
export interface OneDocument<T, S extends { revision: number; document: T }> {
  read(): Promise<S>;
  save(revision: number, document: T): Promise<SavedDocument>;
  /** What the server has now, where an error says that the document was changed elsewhere; otherwise undefined. */
  conflictOf(error: unknown): S | undefined;
}

function oneDocument<T, S extends { revision: number; document: T }>(
  { stored }: Resource<T, S>,
  path: string,
): OneDocument<T, S> {
  return {
    read: () => ask(stored, 'GET', path),
    save: (revision, document) => ask(SavedDocument, 'PUT', path, { revision, document }),
    conflictOf(error) {
      if (!(error instanceof ApiProblem) || error.status !== 409) return undefined;
      const { current } = (error.body ?? {}) as { current?: unknown };
      return (stored as z.ZodType<S>).safeParse(current).data;
    },
  };
}

/**
 * Documents of one kind: list, make, read, save with a revision, and put into the bin. Each throws what `ask` throws.
 */
function documentClient<T, S extends StoredDocument<T> = StoredDocument<T>>(resource: Resource<T, S>) {
  const { path, stored } = resource;
  const at = (id: string): string => `${path}/${encodeURIComponent(id)}`;
  return {
    /** All of them, page after page. */
    async list(): Promise<S[]> {
      const page = pageOf(stored);
      for (let all: S[] = [], offset = 0; ; offset += MAX_PAGE) {
        const query = new URLSearchParams({ limit: String(MAX_PAGE), offset: String(offset) });
        const { items, total } = await ask(page, 'GET', `${path}?${query}`);
        all = [...all, ...(items as S[])];
        if (offset + MAX_PAGE >= total) return all;
      }
    },
    at: (id: string): OneDocument<T, S> => oneDocument(resource, at(id)),
    /** Makes one; sent twice, it is made once. */
    create: (id: string, document: T): Promise<S> => ask(stored, 'POST', path, { id, document }),
    remove: (id: string): Promise<void> => tell('DELETE', at(id)),
  };
}
const besidePlan =
  <T>(resource: OnlyResource<T>) =>
  (planId: string): OneDocument<T, OnlyDocument<T>> =>
    oneDocument(resource, `${PLANS.path}/${encodeURIComponent(planId)}${resource.path}`);

export const planClient = documentClient(PLANS);
export const entryClient = documentClient(ENTRIES);
export const personClient = documentClient(PEOPLE);
export const groupClient = documentClient(GROUPS);
export const placeClient = documentClient(PLACES);
export const courseClient = documentClient(COURSES);
export const journalClient = documentClient(JOURNAL);
export const variantsOf = besidePlan(VARIANTS);
export const decisionsOf = besidePlan(DECISIONS);
export const settingsClient = oneDocument(SETTINGS, SETTINGS.path);
