import express, { Router } from 'express';
import {
  BackupsResponse,
  MakeBackupRequest,
  OpenCopyRequest,
  OpenedBackup,
  RestoreRequest,
  RestoreResponse,
  UnsealRequest,
} from '#api';
import { writeArchive } from '../backup/archive';
import { contentsOf } from '../backup/contents';
import { copiesOf, copyReader } from '../backup/copies';
import { openedBackups } from '../backup/opened';
import { seal } from '../backup/sealed';
import { answer } from '../http/answer';
import { oneAtATime } from '../http/one-at-a-time';
import { accept } from '../http/problems';
import { idOf } from '../http/requests';
import { backupFolder, backupsOf } from '../store/backups';
import type { Store } from '../store/store';

/** No backup file is taken that is larger. */
const MAX_BACKUP = '500mb';

/** Backups: those made by themselves, one file of everything, and what a backup would change before it is restored. */
export function backupRoutes(store: Store): Router {
  const routes = Router();
  const readBack = copyReader();
  const opened = openedBackups(store);
  const inTurn = oneAtATime();

  routes.get('/', async (_request, response) => {
    const [newest] = backupsOf(store.file);
    answer(response, BackupsResponse, {
      folder: backupFolder(store.file),
      copies: copiesOf(store.file),
      newest: newest ? await readBack(newest.path) : null,
    });
  });

  routes.post('/now', async (_request, response) => {
    await store.backUp();
    response.status(204).end();
  });

  routes.post('/file', async (request, response) => {
    const { withPeople, passphrase } = accept(MakeBackupRequest, request.body);
    const archive = await writeArchive(await contentsOf(store, withPeople), withPeople, store.now());
    const bytes = passphrase === undefined ? archive : await seal(archive, passphrase);
    response.type('application/octet-stream').send(Buffer.from(bytes));
  });

  routes.post(
    '/opened',
    express.raw({ type: 'application/octet-stream', limit: MAX_BACKUP }),
    async (request, response) => {
      const bytes: unknown = request.body;
      answer(response, OpenedBackup, await opened.open(Buffer.isBuffer(bytes) ? bytes : Buffer.alloc(0)));
    },
  );
  routes.post('/opened-copy', async (request, response) => {
    answer(response, OpenedBackup, await opened.openCopy(accept(OpenCopyRequest, request.body).name));
  });
  routes.post('/opened/:id/unseal', async (request, response) => {
    const { passphrase } = accept(UnsealRequest, request.body);
    answer(response, OpenedBackup, await inTurn(() => opened.unseal(idOf(request), passphrase)));
  });
  routes.post('/opened/:id/restore', async (request, response) => {
    const { chosen } = accept(RestoreRequest, request.body);
    answer(response, RestoreResponse, await inTurn(() => opened.restore(idOf(request), chosen)));
  });
  routes.post('/close', (_request, response) => {
    opened.close();
    response.status(204).end();
  });

  return routes;
}
