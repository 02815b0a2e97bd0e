import { createHash, randomUUID } from 'node:crypto';
import type { Router } from 'express';
import type { CustomEntry } from '#core/catalogue';
import { adoptEntries, readPlanFile, type Plan, type PlanFile } from '#core/plan';
import {
  CreateDocumentRequest,
  ListPlansQuery,
  ListPlansResponse,
  ListVersionsResponse,
  PLANS,
  StoredRevision,
  type StoredPlan,
} from '#api';
import equal from 'fast-deep-equal';
import { z } from 'zod';
import { answer } from '../http/answer';
import { idOf } from '../http/requests';
import { createDocument } from '../store/documents';
import { answerMade, documentRoutes, storedOf, tableFor, type DocumentResource } from './document-resource';
import { accept, HttpProblem, notFound, unprocessableDocument } from '../http/problems';
import type { Models, PlanRow } from '../store/models';
import { addEntry, isBuiltIn, customEntriesByIds } from '../store/custom-entries';
import { iso, type Store } from '../store/store';
import { readable } from '../store/stored';
import { keepRevision, planColumns } from '../store/plan-rows';
import { versionsOf } from '../store/plan-versions';
import { storedPlan } from '../store/stored-plans';
import { listPlans } from './plan-lists';

/** Reads a plan of a request that may carry entries of its own; throws every wrong field as a 422. */
export function acceptPlanFile(document: unknown): PlanFile {
  const read = readPlanFile(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  return { plan: read.plan, entries: read.entries };
}

const PLAN: DocumentResource<Plan> = {
  resource: PLANS,
  table: 'plans',
  titleOf: ({ title }) => title,
  columns: planColumns,
  written: keepRevision,
  max: Infinity,
  full: '',
};

async function mustHavePlan(tables: Models, id: string): Promise<void> {
  const row = await tables.plans.findOne({ where: { id, deletedMs: null }, attributes: ['id'] });
  if (!row) throw notFound('plan with this id');
}

/** Gives ids that follow from another one: the same ones in the same order, each time. */
function idsFrom(id: string): () => string {
  let count = 0;
  return () => createHash('sha256').update(`${id} ${count++}`).digest('hex').slice(0, 32);
}

/** The answer where the id is taken: the plan itself, where it is the same request whose answer was lost. */
async function madeBefore(tables: Models, row: PlanRow, plan: Plan): Promise<StoredPlan> {
  const first = await tables.revisions.findOne({ where: { planId: row.id, revision: 1 } });
  if (!first || !equal(JSON.parse(first.document), plan) || row.deletedMs !== null) {
    throw new HttpProblem(409, 'Taken', 'Another plan with this id exists.');
  }
  return storedOf(PLAN, row);
}

/**
 * Puts a new plan into the store, with its first revision and with the custom entries that it carries: all of it or
 * nothing. Asked twice with the same, it is the same plan; an id that another plan has is a conflict.
 */
export async function createPlan(
  store: Store,
  id: string,
  given: Plan,
  entries: readonly CustomEntry[] = [],
): Promise<StoredPlan> {
  return store.write(async (tables) => {
    const now = store.now();
    const here = await customEntriesByIds(
      tables,
      entries.map(({ entry }) => entry.id),
    );
    const { plan, fresh } = adoptEntries(
      { plan: given, entries: [...entries] },
      (entryId) => (isBuiltIn(entryId) ? 'built-in' : here.get(entryId)),
      idsFrom(id),
    );
    const existing = await tables.plans.findByPk(id);
    if (existing) return madeBefore(tables, existing, plan);
    for (const entry of fresh) await addEntry(tables, entry, now);
    return storedOf(PLAN, await createDocument(tableFor(PLAN, tables), id, plan, now));
  });
}

/** Plans: list, make, read, save with a revision, earlier revisions, into the bin. */
export function planRoutes(store: Store): Router {
  const routes = documentRoutes(PLAN, store, {
    async list(request, response) {
      answer(response, ListPlansResponse, await listPlans(store, accept(ListPlansQuery, request.query)));
    },
    async create(request, response) {
      const { id, document } = accept(CreateDocumentRequest, request.body);
      const { plan, entries } = acceptPlanFile(document);
      answerMade(PLAN, request, response, await createPlan(store, id ?? randomUUID(), plan, entries));
    },
  });

  routes.get('/:id/revisions', async (request, response) => {
    const id = idOf(request);
    await mustHavePlan(store, id);
    const rows = await store.revisions.findAll({ where: { planId: id }, order: [['revision', 'DESC']] });
    const { values, unreadable } = readable(rows, ({ revision, savedMs, document }) => ({
      revision,
      savedMs,
      plan: storedPlan(document),
    }));
    answer(response, ListVersionsResponse, { items: versionsOf(values), unreadable });
  });

  routes.get('/:id/revisions/:revision', async (request, response) => {
    const planId = idOf(request);
    const revision = accept(z.coerce.number().int().min(1), request.params.revision);
    await mustHavePlan(store, planId);
    const row = await store.revisions.findOne({ where: { planId, revision } });
    if (!row) throw notFound('such revision');
    answer(response, StoredRevision, { revision, savedAt: iso(row.savedMs), document: storedPlan(row.document) });
  });

  return routes;
}
