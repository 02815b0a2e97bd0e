import { Router } from 'express';
import { literal, Op, where as whereSql, type OrderItem } from 'sequelize';
import { searchable, type Library } from '#core/catalogue';
import { sameTag, Tag } from '#core/document';
import type { Plan } from '#core/plan';
import { compileTimeline, ribbonBlocks } from '#core/timeline';
import type { ListPlansResponse } from '#api';
import { PlanSummary, PlanTagsResponse, UsedEntriesResponse, type ListPlansQuery, type PlanOrder } from '#api';
import { answer } from '../http/answer';
import { usesEntry, wholeLibrary } from '../store/custom-entries';
import type { PlanRow } from '../store/models';
import { sliced } from '../store/sliced';
import { iso, type Store } from '../store/store';
import { reasonNotToRead } from '../store/stored';
import { storedPlan } from '../store/stored-plans';

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

/** The document of a row for the functions of SQLite, which refuse a whole query for one text that is not JSON. */
const JSON_OF_ROW = "CASE WHEN json_valid(plans.document) THEN plans.document ELSE '{}' END";
const ofDocument = (field: 'groupId' | 'cupboard' | 'startsAt' | 'classSeconds' | 'archived') =>
  literal(`json_extract(${JSON_OF_ROW}, '$.${field}')`);
/** Plans of versions that knew no archive are not in it. */
const IS_ARCHIVED = `COALESCE(json_extract(${JSON_OF_ROW}, '$.archived'), 0)`;

const ORDERS: Readonly<Record<PlanOrder, OrderItem[]>> = {
  changed: [],
  taught: [
    literal('(SELECT MAX(createdMs) FROM runs WHERE planId = plans.id AND runs.deletedMs IS NULL) DESC NULLS LAST'),
  ],
  date: [[ofDocument('startsAt'), 'DESC NULLS LAST']],
  title: [['searchable', 'ASC']],
  length: [[ofDocument('classSeconds'), 'ASC']],
};

interface TaggedPlan {
  id: string;
  tag: string;
  isArchived: 0 | 1;
}
/**
 * Every tag of every plan that is not in the bin, as it is spelled there; the latest changed plan first. What is no tag
 * here, in a plan that cannot be read, is left out.
 */
async function taggedPlans(store: Store): Promise<TaggedPlan[]> {
  const rows = await store.sql.all<TaggedPlan>(
    `SELECT plans.id, tags.value AS tag, ${IS_ARCHIVED} AS isArchived
     FROM plans, json_each(${JSON_OF_ROW}, '$.tags') AS tags
     WHERE plans.deletedMs IS NULL ORDER BY plans.updatedMs DESC, plans.id`,
  );
  return rows.filter(({ tag }) => Tag.safeParse(tag).success);
}
/** SQLite knows capitals of the Latin alphabet alone, so the spellings of a tag are compared here. */
async function idsTagged(store: Store, wanted: string): Promise<string[]> {
  const tagged = await taggedPlans(store);
  return tagged.filter(({ tag }) => sameTag(tag, wanted)).map(({ id }) => id);
}

/**
 * A page of the plans that are not in the bin, in the order that was chosen; with `startsFrom` the one that begins
 * first.
 */
export async function listPlans(
  store: Store,
  { search, uses, groupId, cupboard, startsFrom, tag, archived, sort, limit, offset }: ListPlansQuery,
): Promise<ListPlansResponse> {
  const words = searchable(search).split(' ').filter(Boolean);
  const matches = words.map((word) => ({ searchable: { [Op.like]: `%${word}%` } }));
  const filters = [
    ...(uses === undefined ? [] : [usesEntry(uses)]),
    ...(groupId === undefined ? [] : [whereSql(ofDocument('groupId'), groupId)]),
    ...(cupboard === undefined ? [] : [whereSql(ofDocument('cupboard'), cupboard)]),
    ...(startsFrom === undefined ? [] : [whereSql(ofDocument('startsAt'), Op.gte, startsFrom)]),
    ...(tag === undefined ? [] : [{ id: await idsTagged(store, tag) }]),
    ...(archived === undefined ? [] : [literal(`${IS_ARCHIVED} = ${archived ? 1 : 0}`)]),
  ];
  const where = { deletedMs: null, [Op.and]: [...matches, ...filters] };
  const order: OrderItem[] = startsFrom === undefined ? ORDERS[sort] : [[ofDocument('startsAt'), 'ASC']];
  const { rows, count } = await store.plans.findAndCountAll({
    attributes: ['id', 'revision', 'createdMs', 'updatedMs'],
    where,
    order: [...order, ['updatedMs', 'DESC'], ['id', 'ASC']],
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

/** The tags that plans can be found by, each in its latest spelling. */
export function planTagRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    const items: PlanTagsResponse['items'] = [];
    for (const { tag, isArchived } of await taggedPlans(store)) {
      if (isArchived) continue;
      const known = items.find((item) => sameTag(item.tag, tag));
      if (known) known.plans += 1;
      else items.push({ tag, plans: 1 });
    }
    const archived = await store.plans.count({ where: { deletedMs: null, [Op.and]: [literal(`${IS_ARCHIVED} = 1`)] } });
    items.sort((one, other) => searchable(one.tag).localeCompare(searchable(other.tag), 'en'));
    answer(response, PlanTagsResponse, { items, archived });
  });

  return routes;
}

/** So many plans are looked at for what is used lately. */
const LATELY = 20;

/** The library entries in the plans that were changed last. */
export function usedEntryRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    const where = { deletedMs: null, [Op.and]: [literal(`${IS_ARCHIVED} = 0`)] };
    const plans = Math.min(LATELY, await store.plans.count({ where }));
    const rows = await store.sql.all<{ id: string }>(
      `SELECT DISTINCT found.value AS id
       FROM (SELECT document FROM plans WHERE deletedMs IS NULL AND ${IS_ARCHIVED} = 0
             ORDER BY updatedMs DESC, id LIMIT ${LATELY}) AS plans,
            json_tree(${JSON_OF_ROW}, '$.steps') AS found
       WHERE found.key IN ('position', 'technique') AND found.type = 'text' ORDER BY id`,
    );
    answer(response, UsedEntriesResponse, { plans, items: rows.map(({ id }) => id) });
  });

  return routes;
}
