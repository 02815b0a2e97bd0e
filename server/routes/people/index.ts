import { Router } from 'express';
import type { Store } from '../../store/store';
import { personRoutes } from './persons';
import { wholePersonRoutes } from './whole';

export { decisionRoutes, putDecisions } from './decisions';
export { createGroup, createPerson, groupRoutes } from './persons';

/** Those who are taught, and each of them as a whole. */
export function peopleRoutes(store: Store): Router {
  const routes = Router();
  routes.use(wholePersonRoutes(store));
  routes.use(personRoutes(store));
  return routes;
}
