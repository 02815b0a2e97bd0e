import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import { Op, type Transaction } from 'sequelize';
import { searchable } from '#core/catalogue';
import { readPlan, type Plan } from '#core/plan';
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
import { accept, HttpProblem, notFound, unprocessable } from '../http/problems';
import type { PlanRow } from '../store/models';
import { iso, type Store } from '../store/store';

const KEPT_REVISIONS = 200;

/** Reads a document of a request; throws every wrong field as a 422. */
export function acceptPlan(document: unknown): Plan {
  const read = readPlan(document);
  if (!read.ok) throw unprocessable(read.issues.map(({ field, reason }) => ({ field: `document.${field}`, reason })));
  return read.plan;
}

/** Reads a document of the database: one that was checked when it was written, migrated if it is older. */
export function storedDocument(text: string): Plan {
  const read = readPlan(JSON.parse(text));
  if (!read.ok) throw new Error(`A stored plan does not fit its schema: ${JSON.stringify(read.issues)}`);
  return read.plan;
}

const stored = (row: PlanRow): StoredPlan => ({
  id: row.id,
  revision: row.revision,
  createdAt: iso(row.createdMs),
  updatedAt: iso(row.updatedMs),
  document: storedDocument(row.document),
});

const searchText = ({ title, group, intent, approach }: Plan): string =>
  searchable([title, group, intent, approach].join(' '));

async function keepRevision(
  store: Store,
  transaction: Transaction,
  planId: string,
  revision: number,
  document: string,
) {
  await store.revisions.create({ planId, revision, document, savedMs: store.now() }, { transaction });
  await store.revisions.destroy({ where: { planId, revision: { [Op.lte]: revision - KEPT_REVISIONS } }, transaction });
}

async function livePlan(store: Store, id: string, transaction?: Transaction): Promise<PlanRow> {
  const row = await store.plans.findOne({ where: { id, deletedMs: null }, ...(transaction ? { transaction } : {}) });
  if (!row) throw notFound('plan with this id');
  return row;
}

/** Puts a new plan into the store, with its first revision. A taken id is a conflict. */
export async function createPlan(store: Store, id: string, plan: Plan): Promise<StoredPlan> {
  return store.write(async (transaction) => {
    if (await store.plans.findByPk(id, { transaction }))
      throw new HttpProblem(409, 'Taken', 'A plan with this id exists.');
    const now = store.now();
    const document = JSON.stringify(plan);
    const row = await store.plans.create(
      {
        id,
        revision: 1,
        title: plan.title,
        document,
        searchable: searchText(plan),
        createdMs: now,
        updatedMs: now,
        deletedMs: null,
      },
      { transaction },
    );
    await keepRevision(store, transaction, id, 1, document);
    return stored(row);
  });
}

async function listPlans(store: Store, { search, limit, offset }: ListPlansQuery): Promise<ListPlansResponse> {
  const words = searchable(search).split(' ').filter(Boolean);
  const where = { deletedMs: null, [Op.and]: words.map((word) => ({ searchable: { [Op.like]: `%${word}%` } })) };
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
  return store.write(async (transaction) => {
    const row = await livePlan(store, id, transaction);
    const document = JSON.stringify(plan);
    // A save that was stored but whose answer was lost comes again: it is the same save, not a conflict.
    if (row.revision === revision + 1 && row.document === document) return stored(row);
    if (row.revision !== revision) {
      const conflict: ConflictResponse = ConflictResponse.parse({ current: stored(row), yours: plan });
      throw new HttpProblem(
        409,
        'Changed elsewhere',
        'This plan was changed elsewhere since you opened it.',
        undefined,
        { ...conflict },
      );
    }
    await row.update(
      { revision: revision + 1, document, title: plan.title, searchable: searchText(plan), updatedMs: store.now() },
      { transaction },
    );
    await keepRevision(store, transaction, id, revision + 1, document);
    return stored(row);
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
    answer(response, StoredPlan, await createPlan(store, id ?? randomUUID(), acceptPlan(document)), 201);
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
    await store.write(async (transaction) => {
      await (await livePlan(store, id, transaction)).update({ deletedMs: store.now() }, { transaction });
    });
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
