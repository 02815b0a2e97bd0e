import { readStoredEvent, type RunEvent } from '#core/run';
import type { StoredRun } from '#api';
import type { EventRow, Models, RunRow } from './models';
import { storedPlan } from './stored-plans';
import { iso } from './store';
import { readable, readStored } from './stored';

/** An event as a plain row. */
export type StoredEvent = Pick<EventRow, 'id' | 'runId' | 'seq' | 'event'>;

/** Reads a stored event, of this version or an older one. Throws a NotReadable where this Zovrin cannot. */
export const readEvent = (text: string): RunEvent => readStored('event', text, readStoredEvent);

/** A run as it is answered; `events` are its own, in order. Events that cannot be read are left out and counted. */
export function storedRun(row: RunRow, events: readonly StoredEvent[]): StoredRun {
  const { values, unreadable } = readable(events, ({ event }) => readEvent(event));
  return {
    id: row.id,
    planId: row.planId,
    planRevision: row.planRevision,
    createdAt: iso(row.createdMs),
    plan: storedPlan(row.document),
    events: values,
    unreadable,
  };
}

/** The events of runs, by run, in order. */
export async function eventsOf(tables: Models, runIds: string[]): Promise<Map<string, StoredEvent[]>> {
  const rows = await tables.events.findAll({
    attributes: ['id', 'runId', 'seq', 'event'],
    raw: true,
    where: { runId: runIds },
    order: [
      ['runId', 'ASC'],
      ['seq', 'ASC'],
    ],
  });
  const byRun = new Map<string, StoredEvent[]>();
  for (const row of rows) {
    const known = byRun.get(row.runId);
    if (known) known.push(row);
    else byRun.set(row.runId, [row]);
  }
  return byRun;
}
