import { LockState, type SetLockRequest } from '#api';
import { ask, tell } from './http';

export const readLock = () => ask(LockState, 'GET', '/lock');
export const setLock = (wanted: SetLockRequest) => tell('PUT', '/lock', wanted);
export const openLock = (passphrase: string) => tell('POST', '/lock/open', { passphrase });
export const closeLock = () => tell('POST', '/lock/close');
export const removeLock = (passphrase: string) => tell('DELETE', '/lock', { passphrase });
