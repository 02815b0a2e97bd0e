import type { Practised } from '#core/review';
import { PractisedResponse } from '#api';
import { ask } from './http';

/** What was practised from a moment on, up to another, in milliseconds since 1970 UTC. */
export const listPractised = async (from: number, until: number): Promise<Practised[]> =>
  (await ask(PractisedResponse, 'GET', `/practised?from=${from}&until=${until}`)).practised as Practised[];
