import { readPlan, type Plan } from '#core/plan';
import { readStoredEvent, storedEvent, type RunEvent } from '#core/run';
import type { StartRunRequest, StoredRun } from '#api';
import { addEvents, eventsAfter, startRun } from '../client/runs';
import { outbox, type Outbox } from './outbox';
import { vault } from './vault';

/** A run whose events are kept in this browser until the server has them all. */
export interface LocalRun extends StartRunRequest {
  /** The plan as it was when the session began. */
  plan: Plan;
  events: RunEvent[];
  /** How many of the events, from the first, the server has acknowledged. */
  acknowledged: number;
}

const PREFIX = 'zovrin.run.';
const keyOf = ({ planId, id }: Pick<LocalRun, 'planId' | 'id'>): string => `${PREFIX}${planId}.${id}`;

const hasEnded = ({ events }: LocalRun): boolean => events.some(({ kind }) => kind === 'ended');
const allSent = ({ events, acknowledged }: LocalRun): boolean => acknowledged >= events.length;

/** Reads an event that this browser kept. Throws if it is none. */
function readEvent(value: unknown): RunEvent {
  const read = readStoredEvent(value);
  if (!read.ok) throw new TypeError(read.issues[0]?.reason);
  return read.value;
}

function parsedRun(text: string | null): LocalRun | undefined {
  try {
    const run = JSON.parse(text ?? '') as LocalRun;
    const plan = readPlan(run.plan);
    return plan.ok ? { ...run, plan: plan.value, events: run.events.map(readEvent) } : undefined;
  } catch {
    return undefined;
  }
}
const keptRuns = (planId = ''): LocalRun[] =>
  vault.keys(planId ? `${PREFIX}${planId}.` : PREFIX).flatMap((key) => parsedRun(vault.read(key)) ?? []);

/** A session as this browser keeps it by now, whichever window wrote it. */
export const readLocalRun = (run: Pick<LocalRun, 'planId' | 'id'>): LocalRun | undefined =>
  parsedRun(vault.read(keyOf(run)));

/** The window that leads a session; empty if none has said so. */
export function ledBy(events: readonly RunEvent[]): string {
  const last = events.findLast((event) => event.kind === 'led');
  return last?.kind === 'led' ? last.by : '';
}

/**
 * A session with what the server has besides: its order is the server's, and what has not arrived there comes after.
 * `fresh` are the server's events after those it had acknowledged.
 */
export function mergedRun(run: LocalRun, fresh: readonly RunEvent[]): LocalRun {
  const before = run.events.slice(0, run.acknowledged);
  const known = new Set(before.map(({ id }) => id));
  const there = [...before, ...fresh.filter(({ id }) => !known.has(id))];
  for (const { id } of fresh) known.add(id);
  const unsent = run.events.slice(run.acknowledged).filter(({ id }) => !known.has(id));
  return { ...run, events: [...there, ...unsent], acknowledged: there.length };
}

/** A run of the server as a session of this browser. */
export const adoptedRun = ({ id, planId, planRevision, plan, events }: StoredRun): LocalRun => ({
  id,
  planId,
  planRevision,
  plan,
  events,
  acknowledged: events.length,
});

const LEFT_RUNNING_MS = 6 * 3600 * 1000;
/** Whether a session in which something last happened at a moment, and which was not ended, is still under way. */
export const isRecent = (lastEventAtMs: number, nowMs: number): boolean => nowMs - lastEventAtMs < LEFT_RUNNING_MS;
/** Whether a session is still under way: not ended, and something happened in it within six hours. */
export function isUnderWay(run: Pick<LocalRun, 'events'>, nowMs: number): boolean {
  const last = run.events.at(-1);
  return last !== undefined && !run.events.some(({ kind }) => kind === 'ended') && isRecent(last.atMs, nowMs);
}

/** The sessions that were begun in this browser and have not ended, the latest first. */
export const unfinishedRuns = (planId = ''): LocalRun[] =>
  keptRuns(planId)
    .filter((run) => !hasEnded(run))
    .sort((a, b) => (b.events[0]?.atMs ?? 0) - (a.events[0]?.atMs ?? 0));

/** The session of a plan that was begun in this browser and has not ended; the latest, should there be several. */
export const unfinishedRun = (planId: string): LocalRun | undefined => unfinishedRuns(planId)[0];

export const storeLocalRun = (run: LocalRun): boolean =>
  vault.write(keyOf(run), JSON.stringify({ ...run, events: run.events.map(storedEvent) }));
const dropLocalRun = (run: LocalRun): void => vault.remove(keyOf(run));

/**
 * Sends a batch of what the server has not acknowledged. The server stores each event once, however often it comes.
 * Returns the server's events after those it had acknowledged, where others have added to them meanwhile.
 */
async function post(run: LocalRun, batch: readonly RunEvent[], nowMs?: number): Promise<RunEvent[] | undefined> {
  const { id, planId, planRevision, acknowledged } = run;
  if (acknowledged === 0) await startRun({ id, planId, planRevision });
  const { total } = await addEvents(id, [...batch], nowMs);
  return total > acknowledged + batch.length ? (await eventsAfter(id, acknowledged)).events : undefined;
}
const unsent = ({ events, acknowledged }: LocalRun): readonly RunEvent[] => events.slice(acknowledged);

const LEFTOVER_BATCH = 200;

/**
 * Sends the sessions that ended while the server could not be reached. What still cannot be sent stays for the next
 * time.
 */
export async function sendLeftovers(): Promise<void> {
  for (const run of keptRuns().filter(hasEnded)) {
    try {
      let sending = run;
      while (!allSent(sending)) {
        const batch = unsent(sending).slice(0, LEFTOVER_BATCH);
        const fresh = await post(sending, batch);
        if (fresh) sending = mergedRun(sending, fresh);
        else sending.acknowledged += batch.length;
      }
      dropLocalRun(run);
    } catch {
      return;
    }
  }
}

/**
 * Sends the events of the current session, in order. `current` gives the run as it is now; `report` hears whether
 * everything has been sent and, if not, why; `taken` gets the run with what others have added to it. `clock` is the
 * clock of the session.
 */
export function makeOutbox(
  current: () => LocalRun | undefined,
  report: (trouble: string) => void,
  taken: (run: LocalRun) => void = () => undefined,
  clock?: () => number,
): Outbox {
  return outbox<RunEvent, { of: LocalRun | undefined; acknowledged: number; fresh: RunEvent[] | undefined }>({
    waiting() {
      const run = current();
      return run ? unsent(run) : [];
    },
    async post(batch) {
      const of = current();
      if (!of) return { of, acknowledged: 0, fresh: undefined };
      const { acknowledged } = of;
      return { of, acknowledged, fresh: await post(of, batch, clock?.()) };
    },
    sent(batch, { of, acknowledged, fresh }) {
      const now = current();
      if (!of || now?.id !== of.id) return;
      if (!fresh) now.acknowledged = Math.max(now.acknowledged, acknowledged + batch.length);
      else if (now.acknowledged === acknowledged) taken(mergedRun(now, fresh));
      const after = current() ?? now;
      if (hasEnded(after) && allSent(after)) dropLocalRun(after);
      else storeLocalRun(after);
    },
    report: (trouble, isTriedAgain) =>
      report(trouble && `${trouble} The session is kept here${isTriedAgain ? ' and sent later' : ''}.`),
  });
}
