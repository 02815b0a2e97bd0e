import { useDocumentVisibility, useEventListener, useIntervalFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import { endOfLeftRunning, RunEvent } from '#core/run';
import { addEvents, listRuns, readRun } from '../client/runs';
import { newId } from '../client/new-id';
import {
  adoptedRun,
  isRecent,
  isUnderWay,
  storeLocalRun,
  sendLeftovers,
  unfinishedRuns,
  type LocalRun,
} from '../sync/event-outbox';

/** A session that was begun and not ended. */
export interface OpenSession {
  id: string;
  planId: string;
  title: string;
  startedAtMs: number;
  /** Something happened in it within the last hours; otherwise it was left running. */
  isUnderWay: boolean;
}

const LATEST = 5;
const LOOK_MS = 60_000;
/** A session that was left running on another device long ago is only shown in the history. */
const TOLD_FOR_MS = 7 * 24 * 3600 * 1000;

const startOf = ({ events }: Pick<LocalRun, 'events'>): number | undefined =>
  events.find(({ kind }) => kind === 'started')?.atMs;

function sessionsHere(nowMs: number): OpenSession[] {
  return unfinishedRuns().flatMap((run) => {
    const startedAtMs = startOf(run);
    if (startedAtMs === undefined) return [];
    const { id, planId, plan } = run;
    return { id, planId, title: plan.title, startedAtMs, isUnderWay: isUnderWay(run, nowMs) };
  });
}

async function sessionsThere(nowMs: number): Promise<OpenSession[]> {
  const { items } = await listRuns(LATEST);
  return items.flatMap(({ id, planId, summary: { title, startedAtMs, lastEventAtMs, ended } }) => {
    if (ended || startedAtMs === null || nowMs - startedAtMs > TOLD_FOR_MS) return [];
    return { id, planId, title, startedAtMs, isUnderWay: isRecent(lastEventAtMs ?? startedAtMs, nowMs) };
  });
}

/** The sessions of this browser and of the server that have not ended, the latest first. */
export const useLeftRunning = defineStore('leftRunning', () => {
  const sessions = shallowRef<readonly OpenSession[]>([]);

  async function look(): Promise<void> {
    const nowMs = Date.now();
    const here = sessionsHere(nowMs);
    sessions.value = here;
    const there = await sessionsThere(nowMs).catch(() => []);
    // One that was ended here and is still on its way to the server.
    const known = new Set(here.map(({ id }) => id));
    const merged = [...here, ...there.filter(({ id }) => !known.has(id) && !endedHere.has(id))];
    sessions.value = merged.sort((a, b) => b.startedAtMs - a.startedAtMs);
  }

  const endedHere = new Set<string>();
  /**
   * Ends a session that was left running, at the moment when it was over by its plan. Rejects with an ApiProblem where
   * it is only on the server and that cannot be reached.
   */
  async function end({ id }: Pick<OpenSession, 'id'>): Promise<void> {
    const local = unfinishedRuns().find((run) => run.id === id);
    const run = local ?? adoptedRun(await readRun(id));
    // Only now: every page looks for such sessions, and hardly any has one.
    const [{ useLibrary }, { compileTimeline }] = await Promise.all([import('./library'), import('#core/timeline')]);
    const library = useLibrary();
    await library.ready();
    const atMs = endOfLeftRunning(compileTimeline(run.plan, library.all), run.events);
    const ended = RunEvent.parse({ id: newId(), atMs, kind: 'ended' });
    if (local) {
      storeLocalRun({ ...local, events: [...local.events, ended] });
      void sendLeftovers();
    } else await addEvents(id, [ended]);
    endedHere.add(id);
    sessions.value = sessions.value.filter((one) => one.id !== id);
  }

  /** Looks again now and then, for as long as the page is there. */
  function keepLooking(): void {
    const { pause, resume } = useIntervalFn(() => void look(), LOOK_MS, { immediateCallback: true });
    watch(useDocumentVisibility(), (is) => (is === 'visible' ? resume() : pause()));
    useEventListener(window, 'storage', () => void look());
  }

  return { sessions, look, end, keepLooking };
});
