import { ForgetResponse, PersonFileResponse } from '#api';
import { ask } from './http';

const at = (id: string): string => `/people/${encodeURIComponent(id)}`;

/** Everything that is kept of someone. */
export const readPersonFile = (id: string) => ask(PersonFileResponse, 'GET', `${at(id)}/file`);
/** Forgets someone for good. */
export const forgetPerson = (id: string) => ask(ForgetResponse, 'DELETE', `${at(id)}/forever`);
