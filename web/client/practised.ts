import type { Practised } from '#core/review';
import { PractisedResponse } from '#api';
import { ask } from './http';

async function practised(query: Record<string, string>): Promise<Practised[]> {
  const { practised: found } = await ask(PractisedResponse, 'GET', `/practised?${new URLSearchParams(query)}`);
  return found as Practised[];
}

/** What was practised from a moment on, up to another, in milliseconds since 1970 UTC. */
export const listPractised = (from: number, until: number): Promise<Practised[]> =>
  practised({ from: String(from), until: String(until) });

/** What a group ever practised: found by its id, or by its name where it has none. */
export const listPractisedOf = ({ group, groupId }: { group: string; groupId: string | null }): Promise<Practised[]> =>
  practised(groupId === null ? { group } : { groupId });
