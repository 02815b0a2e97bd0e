import equal from 'fast-deep-equal';
import { z } from 'zod';
import { Id, type Read } from '#core/document';
import { readPlan, type Plan } from '#core/plan';
import { readStoredEvent, storedEvent, type RunEvent } from '#core/run';
import type { BackupRow, StoredKind } from '#api';
import { KEPT } from '../store/kept';
import type { Models } from '../store/models';
import { sliced } from '../store/sliced';
import { readStored, reasonNotToRead } from '../store/stored';
import { contentsOf, SESSION_FORMAT, type BackedUp } from './contents';

/** A session as a backup holds it. */
export interface BackedUpSession {
  planId: string;
  planRevision: number;
  beganMs: number;
  plan: Plan;
  events: RunEvent[];
}

const Session = z.strictObject({
  format: z.literal(SESSION_FORMAT),
  version: z.literal(1),
  planId: Id,
  planRevision: z.int().min(0),
  beganMs: z.int().min(0),
  plan: z.unknown(),
  events: z.array(z.unknown()),
});

const refuse = (reason: string): Read<BackedUpSession> => ({ ok: false, issues: [{ field: '', reason }] });

function readSession(value: unknown): Read<BackedUpSession> {
  const read = Session.safeParse(value);
  if (!read.success) return refuse('It does not fit the format of a session.');
  const { planId, planRevision, beganMs } = read.data;
  const plan = readPlan(read.data.plan);
  if (!plan.ok) return plan;
  const events: RunEvent[] = [];
  for (const one of read.data.events) {
    const event = readStoredEvent(one);
    if (!event.ok) return event;
    events.push(event.value);
  }
  return { ok: true, value: { planId, planRevision, beganMs, plan: plan.value, events } };
}

/** Reads the text of a session in a backup. Throws a NotReadable. */
export const sessionOf = (text: string): BackedUpSession => readStored('session', text, readSession);

/** Reads the text of a document in a backup. Throws a NotReadable. */
export const documentOf = ({ kind, text }: Pick<BackedUp, 'kind' | 'text'>): unknown =>
  kind === 'run' ? sessionOf(text) : KEPT[kind].read(text);

/** Gives every document of a store by its kind and id. */
export const keyOf = ({ kind, id }: { kind: StoredKind; id: string }): string => `${kind} ${id}`;

/** Whether two texts are the same document, whatever version each was written in. */
function isSame(one: BackedUp, other: BackedUp): boolean {
  if (one.text === other.text) return true;
  let same = false;
  // One that is here and cannot be read is another one.
  reasonNotToRead(() => (same = equal(documentOf(one), documentOf(other))));
  return same;
}

/** How far a session went: the one with more events is the later one. */
const eventsIn = (text: string): number => {
  let count = 0;
  reasonNotToRead(() => (count = sessionOf(text).events.length));
  return count;
};

function newerOf(backup: BackedUp, here: BackedUp): BackupRow['newer'] {
  const [there, now] =
    backup.kind === 'run' ? [eventsIn(backup.text), eventsIn(here.text)] : [backup.updatedMs, here.updatedMs];
  return there > now ? 'backup' : there < now ? 'here' : null;
}

/**
 * Compares a backup with what is stored: what of it is not here, is the same, or is different, and which is newer. What
 * is here and not in the backup is not in the comparison, and stays.
 */
export async function compareWith(tables: Models, documents: readonly BackedUp[]): Promise<BackupRow[]> {
  const stored = new Map((await contentsOf(tables, true)).documents.map((document) => [keyOf(document), document]));
  return sliced(documents, (document): BackupRow => {
    const { kind, id, title, updatedMs: backupMs } = document;
    const here = stored.get(keyOf(document));
    const row = { kind, id, title, backupMs, hereMs: here?.updatedMs ?? null, newer: null, reason: null };
    if (here && isSame(document, here)) return { ...row, state: 'same' };
    const reason = reasonNotToRead(() => documentOf(document));
    if (reason !== undefined) return { ...row, state: 'unreadable', reason };
    if (!here) return { ...row, state: 'new' };
    return { ...row, state: 'different', newer: newerOf(document, here) };
  });
}

/** An event as it is stored, as text. */
export const eventText = (event: RunEvent): string => JSON.stringify(storedEvent(event));
