import { z } from 'zod';
import type { Operation } from './operation';
import { Letter, OutboxResponse, WriteLetterRequest } from './outbox';

const shared = { tag: 'Outbox', isPrivate: true } as const;
const params = { id: z.uuid() };

/** What can be asked about letters. */
export const OUTBOX: readonly Operation[] = [
  { ...shared, method: 'get', path: '/outbox', summary: 'List the letters', status: 200, answer: OutboxResponse },
  {
    ...shared,
    method: 'post',
    path: '/outbox',
    summary: 'Write a letter into the outbox, and send it where a mail server is set up',
    body: WriteLetterRequest,
    status: 201,
    answer: Letter,
  },
  {
    ...shared,
    method: 'get',
    path: '/outbox/:id/file',
    summary: 'The letter as an e-mail file',
    params,
    status: 200,
    answer: 'text',
    refuses: [404],
  },
  {
    ...shared,
    method: 'post',
    path: '/outbox/:id/send',
    summary: 'Send a letter that is kept, or was not sent',
    params,
    status: 200,
    answer: Letter,
    refuses: [404, 409],
  },
  { ...shared, method: 'delete', path: '/outbox/:id', summary: 'Delete a letter', params, status: 204, refuses: [404] },
];
