import type { PaceOfRun } from '#core/review';
import { PaceResponse } from '#api';
import { ask } from './http';

/** How the latest runs went against their plans. */
export const readPaces = async (): Promise<PaceOfRun[]> => (await ask(PaceResponse, 'GET', '/pace')).runs;
