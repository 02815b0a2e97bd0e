import { Router } from 'express';
import { Id } from '#core/document';
import type { CustomEntry } from '#core/catalogue';
import { ENTRIES, type StoredEntry } from '#api';
import { HttpProblem } from '../http/problems';
import { isBuiltIn } from '../store/custom-entries';
import { iso, type Store } from '../store/store';
import { documentRoutes, type DocumentResource } from './document-resource';

/** How many custom entries a library holds. */
const MAX_ENTRIES = 1000;

/** What ships with Zovrin is copied, not changed. */
const builtIn = (name: string): HttpProblem =>
  new HttpProblem(
    409,
    'Ships with Zovrin',
    `“${name}” ships with Zovrin and stays as it is. Make a copy and change that.`,
  );

const ENTRY: DocumentResource<CustomEntry, StoredEntry> = {
  resource: ENTRIES,
  table: 'entries',
  titleOf: ({ entry }) => entry.names.english,
  idIn: ({ entry }) => entry.id,
  refuse({ entry }) {
    if (isBuiltIn(entry.id)) throw builtIn(entry.names.english);
    const isId = Id.safeParse(entry.id).success;
    return isId ? [] : [{ field: 'entry.id', reason: 'An id has letters, digits, - and _, at most 64.' }];
  },
  extra: ({ deletedMs = null }) => ({ deletedAt: deletedMs === null ? null : iso(deletedMs) }),
  keepsDeleted: true,
  max: MAX_ENTRIES,
  full: `A library holds ${MAX_ENTRIES} custom entries. Delete one first.`,
};

/** Custom library entries: list, make, read, save with a revision, into the bin. */
export function entryRoutes(store: Store): Router {
  const routes = Router();
  routes.use('/:id', ({ method, params: { id } }, _response, next) => {
    next(method !== 'GET' && isBuiltIn(id) ? builtIn(id) : undefined);
  });
  routes.use(documentRoutes(ENTRY, store));
  return routes;
}
