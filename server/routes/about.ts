import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Router } from 'express';
import { About } from '#api';
import { answer } from '../http/answer';
import { backupFolder } from '../store/backups';
import type { Store } from '../store/store';

const { version } = JSON.parse(readFileSync(join(process.cwd(), 'package.json'), 'utf8')) as { version: string };

/** Which Zovrin this is, and where on this machine its data lies. */
export function aboutRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', (_request, response) => {
    answer(response, About, { version, database: store.file, backups: backupFolder(store.file) });
  });
  return routes;
}
