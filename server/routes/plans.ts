import { createHash, randomUUID } from 'node:crypto';
import { Router } from 'express';
import { Op } from 'sequelize';
import { searchable } from '#core/catalogue';
import type { OwnEntry } from '#core/catalogue';
import { adoptEntries, readPlan, readPlanFile, type Plan, type PlanFile } from '#core/plan';
import {
  ConflictResponse,
  CreatePlanRequest,
  ListPlansQuery,
  ListPlansResponse,
  ListRevisionsResponse,
  PlanId,
  SavePlanRequest,
  StoredPlan,
  StoredRevision,
} from '#api';
import { z } from 'zod';
import { answer } from '../http/answer';
import { accept, HttpProblem, notFound, unprocessableDocument } from '../http/problems';
import type { Models, PlanRow } from '../store/models';
import { addEntry, isBuiltIn, ownEntriesByIds, usesEntry } from '../store/own-library';
import { iso, type Store } from '../store/store';

const KEPT_REVISIONS = 200;

/** Reads a document of a request; throws every wrong field as a 422. */
function acceptPlan(document: unknown): Plan {
  const read = readPlan(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  return read.plan;
}

/** Reads a plan of a request that may carry entries of its own; throws every wrong field as a 422. */
export function acceptPlanFile(document: unknown): PlanFile {
  const read = readPlanFile(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  return { plan: read.plan, entries: read.entries };
}

/** Reads a document of the database: one that was checked when it was written, migrated if it is older. */
export function storedDocument(text: string): Plan {
  const read = readPlan(JSON.parse(text));
  if (!read.ok) throw new Error(`A stored plan does not fit its schema: ${JSON.stringify(read.issues)}`);
  return read.plan;
}

const stored = (row: PlanRow, document = storedDocument(row.document)): StoredPlan => ({
  id: row.id,
  revision: row.revision,
  createdAt: iso(row.createdMs),
  updatedAt: iso(row.updatedMs),
  document,
});

const searchText = ({ title, group, intent, approach }: Plan): string =>
  searchable([title, group, intent, approach].join(' '));

/** Keeps a version of a plan, and lets go of the one that is now too old. */
async function keepRevision(
  tables: Models,
  row: Pick<PlanRow, 'id' | 'revision' | 'document' | 'updatedMs'>,
): Promise<void> {
  const { id: planId, revision, document, updatedMs: savedMs } = row;
  await tables.revisions.create({ planId, revision, document, savedMs });
  if (revision > KEPT_REVISIONS) {
    await tables.revisions.destroy({ where: { planId, revision: { [Op.lte]: revision - KEPT_REVISIONS } } });
  }
}

async function livePlan(tables: Models, id: string): Promise<PlanRow> {
  const row = await tables.plans.findOne({ where: { id, deletedMs: null } });
  if (!row) throw notFound('plan with this id');
  return row;
}

/** Gives ids that follow from another one: the same ones in the same order, each time. */
function idsFrom(id: string): () => string {
  let count = 0;
  return () => createHash('sha256').update(`${id} ${count++}`).digest('hex').slice(0, 32);
}

/** The answer where the id is taken: the plan itself, where it is the same request whose answer was lost. */
async function madeBefore(tables: Models, row: PlanRow, plan: Plan): Promise<StoredPlan> {
  const first = await tables.revisions.findOne({ where: { planId: row.id, revision: 1 } });
  if (first?.document !== JSON.stringify(plan) || row.deletedMs !== null) {
    throw new HttpProblem(409, 'Taken', 'Another plan with this id exists.');
  }
  return stored(row);
}

/**
 * Puts a new plan into the store, with its first revision and with the custom entries that it carries: all of it or
 * nothing. Asked twice with the same, it is the same plan; an id that another plan has is a conflict.
 */
export async function createPlan(
  store: Store,
  id: string,
  given: Plan,
  entries: readonly OwnEntry[] = [],
): Promise<StoredPlan> {
  return store.write(async (tables) => {
    const now = store.now();
    const here = await ownEntriesByIds(
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
    const row = await tables.plans.create({
      id,
      revision: 1,
      title: plan.title,
      document: JSON.stringify(plan),
      searchable: searchText(plan),
      createdMs: now,
      updatedMs: now,
      deletedMs: null,
    });
    await keepRevision(tables, row);
    return stored(row, plan);
  });
}

async function listPlans(store: Store, { search, uses, limit, offset }: ListPlansQuery): Promise<ListPlansResponse> {
  const words = searchable(search).split(' ').filter(Boolean);
  const matches = words.map((word) => ({ searchable: { [Op.like]: `%${word}%` } }));
  const where = { deletedMs: null, [Op.and]: [...matches, ...(uses === undefined ? [] : [usesEntry(uses)])] };
  const { rows, count } = await store.plans.findAndCountAll({
    where,
    order: [
      ['updatedMs', 'DESC'],
      ['id', 'ASC'],
    ],
    limit,
    offset,
  });
  const runs = await store.runs.findAll({
    where: { planId: rows.map(({ id }) => id), deletedMs: null },
    attributes: ['planId', 'createdMs'],
  });
  return {
    total: count,
    plans: rows.map((row) => {
      const taught = runs.filter(({ planId }) => planId === row.id).map(({ createdMs }) => createdMs);
      return { ...stored(row), runs: taught.length, lastTaughtAt: taught.length > 0 ? iso(Math.max(...taught)) : null };
    }),
  };
}

async function savePlan(store: Store, id: string, revision: number, plan: Plan): Promise<StoredPlan> {
  return store.write(async (tables) => {
    const row = await livePlan(tables, id);
    const document = JSON.stringify(plan);
    // A save that was stored but whose answer was lost comes again: it is the same save, not a conflict.
    if (row.revision === revision + 1 && row.document === document) return stored(row, plan);
    if (row.revision !== revision) {
      const conflict: ConflictResponse = ConflictResponse.parse({ current: stored(row), yours: plan });
      throw new HttpProblem(
        409,
        'Changed elsewhere',
        'This plan was changed elsewhere since you opened it.',
        undefined,
        {
          ...conflict,
        },
      );
    }
    const { title } = plan;
    await row.update({ revision: revision + 1, document, title, searchable: searchText(plan), updatedMs: store.now() });
    await keepRevision(tables, row);
    return stored(row, plan);
  });
}

/** Plans: list, make, read, save with a revision, earlier revisions, into the bin. */
export function planRoutes(store: Store): Router {
  const routes = Router();
  const idOf = (params: { id?: string }): string => accept(PlanId, params.id);

  routes.get('/', async (request, response) => {
    answer(response, ListPlansResponse, await listPlans(store, accept(ListPlansQuery, request.query)));
  });

  routes.post('/', async (request, response) => {
    const { id, document } = accept(CreatePlanRequest, request.body);
    const { plan, entries } = acceptPlanFile(document);
    answer(response, StoredPlan, await createPlan(store, id ?? randomUUID(), plan, entries), 201);
  });

  routes.get('/:id', async (request, response) => {
    answer(response, StoredPlan, stored(await livePlan(store, idOf(request.params))));
  });

  routes.put('/:id', async (request, response) => {
    const id = idOf(request.params);
    const { revision, document } = accept(SavePlanRequest, request.body);
    answer(response, StoredPlan, await savePlan(store, id, revision, acceptPlan(document)));
  });

  routes.delete('/:id', async (request, response) => {
    const id = idOf(request.params);
    await store.write(async (tables) => (await livePlan(tables, id)).update({ deletedMs: store.now() }));
    response.status(204).end();
  });

  routes.get('/:id/revisions', async (request, response) => {
    const { id } = await livePlan(store, idOf(request.params));
    const rows = await store.revisions.findAll({ where: { planId: id }, order: [['revision', 'DESC']] });
    const revisions = rows.map(({ revision, savedMs, document }) => ({
      revision,
      savedAt: iso(savedMs),
      title: storedDocument(document).title,
    }));
    answer(response, ListRevisionsResponse, { revisions });
  });

  routes.get('/:id/revisions/:revision', async (request, response) => {
    const planId = idOf(request.params);
    const revision = accept(z.coerce.number().int().min(1), request.params.revision);
    await livePlan(store, planId);
    const row = await store.revisions.findOne({ where: { planId, revision } });
    if (!row) throw notFound('such revision');
    answer(response, StoredRevision, { revision, savedAt: iso(row.savedMs), document: storedDocument(row.document) });
  });

  return routes;
}
