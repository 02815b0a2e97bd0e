import { Router, type Request } from 'express';
import { z } from 'zod';
import { Letter, OutboxResponse, WriteLetterRequest } from '#api';
import { answer } from '../http/answer';
import { accept } from '../http/problems';
import { mailSettings, type MailSettings } from '../outbox/mail';
import { outboxFolder, outboxIn } from '../outbox/outbox';
import type { Store } from '../store/store';

const idOf = (request: Request): string => accept(z.uuid(), request.params.id);

/** Letters: list, write and send, send again, the e-mail file, delete. */
export function outboxRoutes(store: Store, settings: MailSettings = mailSettings()): Router {
  const routes = Router();
  const outbox = outboxIn(outboxFolder(store.file), store.now, settings);

  routes.get('/', async (_request, response) => answer(response, OutboxResponse, await outbox.list()));
  routes.post('/', async (request, response) => {
    answer(response, Letter, await outbox.write(accept(WriteLetterRequest, request.body)), 201);
  });
  routes.get('/:id/file', async (request, response) => {
    const id = idOf(request);
    response
      .type('message/rfc822')
      .attachment(`letter-${id.slice(0, 8)}.eml`)
      .send(await outbox.email(id));
  });
  routes.post('/:id/send', async (request, response) => {
    answer(response, Letter, await outbox.send(idOf(request)));
  });
  routes.delete('/:id', async (request, response) => {
    await outbox.remove(idOf(request));
    response.status(204).end();
  });

  return routes;
}
