import { Router } from 'express';
import type { Settings } from '#core/settings';
import { SETTINGS } from '#api';
import type { Store } from '../store/store';
import { answerOnly, onlyDocument, saveOnly, type OnlyKind } from './only-resource';

/** There is one set of settings. */
const ID = 'house';
const KIND: OnlyKind<Settings> = { resource: SETTINGS, table: 'house', title: 'Settings' };

/** The settings as they are stored, or the usual ones. */
export const settingsOf = async (store: Store): Promise<Settings> => (await onlyDocument(KIND, store, ID)).document;

/** The settings: read them, and save them with a revision. */
export function settingsRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', (_request, response) => answerOnly(KIND, store, ID, response));
  routes.put('/', (request, response) => saveOnly(KIND, store, () => Promise.resolve(ID), request, response));
  return routes;
}
