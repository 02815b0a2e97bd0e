import { Router } from 'express';
import type { Store } from '../../store/store';
import { classRoutes } from './classes';
import { groupRoutes, personRoutes } from './persons';
import { wholePersonRoutes } from './whole';

export { putClassPeople } from './classes';
export { createGroup, createPerson } from './persons';

/** All that tells of people, under one address, so that one guard before it is enough. */
export function peopleRoutes(store: Store): Router {
  const routes = Router();
  // A person’s id is never one of these words: they come first.
  routes.use('/groups', groupRoutes(store));
  routes.use('/classes', classRoutes(store));
  routes.use(wholePersonRoutes(store));
  routes.use(personRoutes(store));
  return routes;
}
