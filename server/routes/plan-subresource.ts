import { Router } from 'express';
import { idOf } from '../http/requests';
import { notFound } from '../http/problems';
import type { Store, Tables } from '../store/store';
import { answerOnly, putOnly, saveOnly, type OnlyKind } from './only-resource';

async function mustHavePlan(tables: Pick<Tables, 'plans'>, id: string): Promise<string> {
  const row = await tables.plans.findOne({ where: { id, deletedMs: null }, attributes: ['id'] });
  if (!row) throw notFound('plan with this id');
  return id;
}

/** Puts the first of such documents beside a plan. */
export const putBeside = async <T>(of: OnlyKind<T>, store: Store, planId: string, document: T): Promise<void> => {
  await store.write((tables) => putOnly(of, tables, planId, 0, document, store.now()));
};

/**
 * A document that is kept beside a plan, by the plan's id: read it, and save it with a revision. Mounted at `/plans`.
 */
export function planSubresourceRoutes<T>(of: OnlyKind<T>, store: Store): Router {
  const routes = Router();
  const address = `/:id${of.resource.path}`;

  routes.get(address, async (request, response) => {
    await answerOnly(of, store, await mustHavePlan(store, idOf(request)), response);
  });
  routes.put(address, async (request, response) => {
    await saveOnly(of, store, (tables) => mustHavePlan(tables, idOf(request)), request, response);
  });

  return routes;
}
