import { API_BASE, Letter, OutboxResponse, type WriteLetterRequest } from '#api';
import { ask, tell } from './http';

const at = (id: string): string => `/outbox/${encodeURIComponent(id)}`;

/** The letters, and whether there is a mail server. */
export const readOutbox = () => ask(OutboxResponse, 'GET', '/outbox');
/** Writes a letter into the outbox; where there is a mail server, it is sent. */
export const writeLetter = (letter: WriteLetterRequest) => ask(Letter, 'POST', '/outbox', letter);
/** Sends one that is kept, or was not sent. */
export const sendLetter = (id: string) => ask(Letter, 'POST', `${at(id)}/send`);
export const deleteLetter = (id: string) => tell('DELETE', at(id));
/** The address of a letter as an e-mail file, which the browser saves. */
export const emailFileAt = (id: string): string => `${API_BASE}${at(id)}/file`;
