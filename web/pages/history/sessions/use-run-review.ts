import { onScopeDispose, ref, shallowRef } from 'vue';
import { RunEvent } from '#core/run';
import { addEvents, readRun } from '../../../client/runs';
import { worthRetrying } from '../../../client/http';
import type { StoredRun } from '#api';
import { newId } from '../../../client/new-id';
import { vault } from '../../../sync/vault';
import { sendLeftovers } from '../../../sync/event-outbox';
import { latestOnly } from '../../../sync/latest';

type Body<E> = E extends RunEvent ? Omit<E, 'id' | 'atMs' | 'window'> : never;
/** What can be said of a run that was taught. */
export type Saying = Body<Extract<RunEvent, { kind: 'rated' | 'present' | 'reviewed' | 'corrected' | 'undone' }>>;

const RETRY_MS = 4000;
const keyOf = (runId: string): string => `zovrin.said.${runId}`;

function keptWords(runId: string): RunEvent[] {
  try {
    return RunEvent.array().parse(JSON.parse(vault.read(keyOf(runId)) ?? '[]'));
  } catch {
    return [];
  }
}

/**
 * A run that was taught, and what is said of it afterwards. Every word is kept in this browser at once and sent in order;
 * what the server has not acknowledged survives a lost line and a reload.
 */
export function useSaid(runId: string) {
  const run = shallowRef<StoredRun>();
  const missing = ref(false);
  /** Why the run is not here, or why what was said is not with the server yet. */
  const trouble = ref('');
  let waiting: RunEvent[] = keptWords(runId);
  let busy = false;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const asks = latestOnly();
  async function load(): Promise<void> {
    trouble.value = '';
    const isLatest = asks();
    try {
      // A session that has just ended may still be on its way.
      await sendLeftovers();
      const stored = await readRun(runId);
      if (!isLatest()) return;
      const known = new Set(stored.events.map(({ id }) => id));
      waiting = waiting.filter(({ id }) => !known.has(id));
      // What was said and sent while the answer was on its way is not in it.
      const here = [...(run.value?.events ?? []), ...waiting].filter(({ id }) => !known.has(id) && known.add(id));
      run.value = { ...stored, events: [...stored.events, ...here] };
      missing.value = false;
      void send();
    } catch (error) {
      missing.value = 'status' in (error as object) && (error as { status: number }).status === 404;
      trouble.value = (error as Error).message;
    }
  }

  async function send(): Promise<void> {
    if (busy || waiting.length === 0) return;
    busy = true;
    clearTimeout(timer);
    const batch = waiting.slice(0, 200);
    let again = true;
    try {
      await addEvents(runId, batch);
      const sent = new Set(batch.map(({ id }) => id));
      waiting = waiting.filter(({ id }) => !sent.has(id));
      if (waiting.length > 0) vault.write(keyOf(runId), JSON.stringify(waiting));
      else vault.remove(keyOf(runId));
      trouble.value = '';
    } catch (error) {
      again = false;
      trouble.value = `${(error as Error).message} What you said is kept here.`;
      if (worthRetrying(error)) timer = setTimeout(() => void send(), RETRY_MS);
    } finally {
      busy = false;
    }
    if (again) void send();
  }

  /** Says something of the run. Gives the reason where it does not fit, and then nothing is said. */
  function say(body: Saying): string | undefined {
    const event = RunEvent.safeParse({ ...body, id: newId(), atMs: Date.now() });
    if (!event.success) return event.error.issues[0]?.message ?? 'This does not fit.';
    if (!run.value) return 'The run is not here yet.';
    waiting = [...waiting, event.data];
    if (!vault.write(keyOf(runId), JSON.stringify(waiting)))
      trouble.value = 'This browser has no room to keep what you say; it is only sent to the server.';
    run.value = { ...run.value, events: [...run.value.events, event.data] };
    void send();
    return undefined;
  }

  onScopeDispose(() => clearTimeout(timer));
  return { run, missing, trouble, load, say, send };
}
export type SaidOfRun = ReturnType<typeof useSaid>;
