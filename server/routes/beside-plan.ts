import { Router } from 'express';
import type { Read } from '#core/document';
import { PlanId, SavedDocument, SaveBesideRequest } from '#api';
import type { z } from 'zod';
import { answer } from '../http/answer';
import { accept, notFound, unprocessableDocument } from '../http/problems';
import { putDocument, type DocumentTable } from '../store/documents';
import type { Models } from '../store/models';
import type { Store } from '../store/store';
import { readStored } from '../store/stored';

/** A document as it is answered; revision 0 before there was one. */
interface Revised<T> {
  revision: number;
  document: T;
}

/** A kind of document that is kept beside a plan, by the plan's id: its variants, what was decided for its people. */
export interface BesidePlan<T> {
  table: 'variants' | 'classPeople';
  /** As it stands in sentences: `set of variants`. */
  noun: string;
  title: string;
  /** What there is before anything was kept. */
  nothing: T;
  read: (value: unknown) => Read<T>;
  /** Of what is answered. */
  schema: z.ZodType<Revised<T>>;
  /** Below the plan's id: `/variants`, or nothing. */
  path: string;
}

/** Its kind of stored document. */
const kindOf = <T>(of: BesidePlan<T>, tables: Models): DocumentTable<T, Revised<T>> => ({
  table: tables[of.table],
  noun: of.noun,
  titleOf: () => of.title,
  stored: ({ revision, document }) => ({ revision, document: readStored(of.noun, document, of.read) }),
});

async function planId(tables: Pick<Models, 'plans'>, id: string | undefined): Promise<string> {
  const row = await tables.plans.findOne({ where: { id: accept(PlanId, id), deletedMs: null }, attributes: ['id'] });
  if (!row) throw notFound('plan with this id');
  return row.id;
}

/** Puts the first of such documents beside a plan. */
export const putBeside = <T>(of: BesidePlan<T>, store: Store, id: string, document: T): Promise<Revised<T>> =>
  store.write((tables) => putDocument(kindOf(of, tables), id, 0, document, store.now()));

/** Read it, and save it with a revision. */
export function besidePlanRoutes<T>(of: BesidePlan<T>, store: Store): Router {
  const routes = Router();

  routes.get(`/:id${of.path}`, async (request, response) => {
    const row = await store[of.table].findByPk(await planId(store, request.params.id));
    answer(response, of.schema, row ? kindOf(of, store).stored(row) : { revision: 0, document: of.nothing });
  });

  routes.put(`/:id${of.path}`, async (request, response) => {
    const { revision, document } = accept(SaveBesideRequest, request.body);
    const read = of.read(document);
    if (!read.ok) throw unprocessableDocument(read.issues);
    const saved = await store.write(async (tables) => {
      const id = await planId(tables, request.params.id);
      return putDocument(kindOf(of, tables), id, revision, read.value, store.now());
    });
    answer(response, SavedDocument, { revision: saved.revision });
  });

  return routes;
}
