import { createHash, randomUUID } from 'node:crypto';
import type { Router } from 'express';
import { literal, Op, where as whereSql, type Order } from 'sequelize';
import { searchable } from '#core/catalogue';
import type { Library, CustomEntry } from '#core/catalogue';
import { adoptEntries, readPlanFile, type Plan, type PlanFile } from '#core/plan';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import {
  CreateDocumentRequest,
  ListPlansQuery,
  ListPlansResponse,
  ListVersionsResponse,
  PLANS,
  PlanSummary,
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
import { sliced } from '../store/sliced';
import { addEntry, isBuiltIn, customEntriesByIds, usesEntry, wholeLibrary } from '../store/custom-entries';
import { iso, type Store, type Tables } from '../store/store';
import { readable, reasonNotToRead } from '../store/stored';
import { versionsOf } from '../store/plan-versions';
import { storedPlan } from '../store/stored-plans';

const KEPT_REVISIONS = 200;

/** Reads a plan of a request that may carry entries of its own; throws every wrong field as a 422. */
export function acceptPlanFile(document: unknown): PlanFile {
  const read = readPlanFile(document);
  if (!read.ok) throw unprocessableDocument(read.issues);
  return { plan: read.plan, entries: read.entries };
}

const searchText = ({ title, group, intent, approach }: Plan): string =>
  searchable([title, group, intent, approach].join(' '));

/** Keeps a version of a plan as it is now, and lets go of the one that is now too old. */
async function keepRevision({ sql }: Tables, id: string, revision: number): Promise<void> {
  await sql.run(
    'INSERT INTO plan_revisions (planId, revision, document, savedMs) SELECT id, revision, document, updatedMs FROM plans WHERE id = ?',
    id,
  );
  if (revision > KEPT_REVISIONS) {
    await sql.run('DELETE FROM plan_revisions WHERE planId = ? AND revision <= ?', id, revision - KEPT_REVISIONS);
  }
}

const PLAN: DocumentResource<Plan> = {
  resource: PLANS,
  table: 'plans',
  titleOf: ({ title }) => title,
  columns: (plan) => ({ searchable: searchText(plan) }),
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

function summaryOf(plan: Plan, library: Library): PlanSummary {
  const { totals, phases } = compileTimeline(plan, library);
  // Everything else of the plan is left out by its schema.
  return PlanSummary.parse({ ...plan, totals, ribbon: ribbonBlocks(phases) });
}
/** What is shown of each of some plans; one that cannot be read has none. Worked out once for each revision. */
async function summariesOf(
  store: Store,
  rows: readonly Pick<PlanRow, 'id' | 'revision'>[],
): Promise<Map<string, PlanSummary>> {
  const { library, stamp } = await wholeLibrary(store);
  const { plans } = await store.workings();
  const stampOf = ({ revision }: Pick<PlanRow, 'revision'>): string => `${revision} ${stamp}`;
  const known = new Map(
    rows.flatMap((row) => {
      const summary = plans.get(row.id, stampOf(row));
      return summary ? [[row.id, summary] as const] : [];
    }),
  );
  const missing = rows.filter(({ id }) => !known.has(id)).map(({ id }) => id);
  const documents = missing.length > 0 ? await store.plans.findAll({ where: { id: missing } }) : [];
  await sliced(documents, (row) =>
    reasonNotToRead(() => {
      const summary = summaryOf(storedPlan(row.document), library);
      plans.set(row.id, stampOf(row), summary);
      known.set(row.id, summary);
    }),
  );
  return known;
}

const ofDocument = (field: 'groupId' | 'cupboard' | 'startsAt') => literal(`json_extract(document, '$.${field}')`);

/**
 * A page of the plans that are not in the bin, the latest changed first; with `startsFrom` the one that begins first.
 */
export async function listPlans(
  store: Store,
  { search, uses, groupId, cupboard, startsFrom, limit, offset }: ListPlansQuery,
): Promise<ListPlansResponse> {
  const words = searchable(search).split(' ').filter(Boolean);
  const matches = words.map((word) => ({ searchable: { [Op.like]: `%${word}%` } }));
  const filters = [
    ...(uses === undefined ? [] : [usesEntry(uses)]),
    ...(groupId === undefined ? [] : [whereSql(ofDocument('groupId'), groupId)]),
    ...(cupboard === undefined ? [] : [whereSql(ofDocument('cupboard'), cupboard)]),
    ...(startsFrom === undefined ? [] : [whereSql(ofDocument('startsAt'), Op.gte, startsFrom)]),
  ];
  const where = { deletedMs: null, [Op.and]: [...matches, ...filters] };
  const byStart: Order = startsFrom === undefined ? [] : [[ofDocument('startsAt'), 'ASC']];
  const { rows, count } = await store.plans.findAndCountAll({
    attributes: ['id', 'revision', 'createdMs', 'updatedMs'],
    where,
    order: [...byStart, ['updatedMs', 'DESC'], ['id', 'ASC']],
    limit,
    offset,
  });
  const summaries = await summariesOf(store, rows);
  const runs = await store.runs.findAll({
    where: { planId: rows.map(({ id }) => id), deletedMs: null },
    attributes: ['planId', 'createdMs'],
  });
  const items = rows.flatMap(({ id, revision, createdMs, updatedMs }) => {
    const summary = summaries.get(id);
    if (!summary) return [];
    const taught = runs.filter(({ planId }) => planId === id).map(({ createdMs: atMs }) => atMs);
    return {
      id,
      revision,
      createdAt: iso(createdMs),
      updatedAt: iso(updatedMs),
      summary,
      runs: taught.length,
      lastTaughtAt: taught.length > 0 ? iso(Math.max(...taught)) : null,
    };
  });
  return { total: count, items, unreadable: rows.length - items.length };
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
