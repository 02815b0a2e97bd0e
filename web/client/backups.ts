import { BackupsResponse, OpenedBackup, RestoreResponse, type MakeBackupRequest, type RestoreRequest } from '#api';
import { ask, askForFile, sendFile, tell } from './http';

/** The copies that are made by themselves, and whether the newest can be read back. */
export const readBackups = () => ask(BackupsResponse, 'GET', '/backups');
/** Makes such a copy now. */
export const backUpNow = () => tell('POST', '/backups/now');
/** Everything as one file. */
export const makeBackupFile = (request: MakeBackupRequest) => askForFile('POST', '/backups/file', request);

/** Opens a backup file, and compares it with what is stored. */
export const openBackup = (file: Blob) => sendFile(OpenedBackup, '/backups/opened', file);
/** Opens one of the copies in the same way. */
export const openBackupCopy = (name: string) => ask(OpenedBackup, 'POST', '/backups/opened-copy', { name });
/** Gives the passphrase of a backup that was opened. */
export const unsealBackup = (id: string, passphrase: string) =>
  ask(OpenedBackup, 'POST', `/backups/opened/${id}/unseal`, { passphrase });
/** Restores chosen documents of it, all or none. */
export const restoreFromBackup = (id: string, request: RestoreRequest) =>
  ask(RestoreResponse, 'POST', `/backups/opened/${id}/restore`, request);
/** Lets go of it. */
export const closeBackup = () => tell('POST', '/backups/close');
