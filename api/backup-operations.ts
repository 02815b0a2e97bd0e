import { z } from 'zod';
import {
  BackupsResponse,
  MakeBackupRequest,
  OpenCopyRequest,
  OpenedBackup,
  RestoreRequest,
  RestoreResponse,
  UnsealRequest,
} from './backups';
import type { Operation } from './operation';

const shared = { tag: 'Backups', isPrivate: true } as const;
const opened = { id: z.uuid() };

/** What can be asked about backups. */
export const BACKUPS: readonly Operation[] = [
  {
    ...shared,
    method: 'get',
    path: '/backups',
    summary: 'List the copies that are made daily, and say whether the newest can be read back',
    status: 200,
    answer: BackupsResponse,
  },
  { ...shared, method: 'post', path: '/backups/now', summary: 'Make such a copy now', status: 204 },
  {
    ...shared,
    method: 'post',
    path: '/backups/file',
    summary: 'Make one file of everything; with people in it only under a passphrase',
    body: MakeBackupRequest,
    status: 200,
    answer: 'bytes',
    refuses: [429],
  },
  {
    ...shared,
    method: 'post',
    path: '/backups/opened',
    summary: 'Open a backup file, and compare it with what is stored; nothing is changed',
    body: 'bytes',
    status: 200,
    answer: OpenedBackup,
  },
  {
    ...shared,
    method: 'post',
    path: '/backups/opened-copy',
    summary: 'Open one of the daily copies in the same way',
    body: OpenCopyRequest,
    status: 200,
    answer: OpenedBackup,
    refuses: [404],
  },
  {
    ...shared,
    method: 'post',
    path: '/backups/opened/:id/unseal',
    summary: 'Give the passphrase of a backup file that was opened',
    params: opened,
    body: UnsealRequest,
    status: 200,
    answer: OpenedBackup,
    refuses: [403, 404, 429],
  },
  {
    ...shared,
    method: 'post',
    path: '/backups/opened/:id/restore',
    summary: 'Restore chosen documents of it, all or none; what was there before is backed up first',
    params: opened,
    body: RestoreRequest,
    status: 200,
    answer: RestoreResponse,
    refuses: [404, 409],
  },
  { ...shared, method: 'post', path: '/backups/close', summary: 'Let go of the backup that was opened', status: 204 },
];
