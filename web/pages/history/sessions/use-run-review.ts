import { onScopeDispose, ref, shallowRef } from 'vue';
import { RunEvent } from '#core/run';
import { addEvents, readRun } from '../../../client/runs';
import type { StoredRun } from '#api';
import { newId } from '../../../client/new-id';
import { openDrafts, type Drafts } from '../../../sync/drafts';
import { outbox } from '../../../sync/outbox';
import { sendLeftovers } from '../../../sync/event-outbox';
import { latestOnly } from '../../../sync/latest';

type Body<E> = E extends RunEvent ? Omit<E, 'id' | 'atMs' | 'window'> : never;
/** The annotations that a taught run can have. */
export type Saying = Body<Extract<RunEvent, { kind: 'rated' | 'present' | 'reviewed' | 'corrected' | 'undone' }>>;

const draftKey = (runId: string): string => `review.${runId}`;

function readWaiting(text: string): RunEvent[] {
  try {
    return RunEvent.array().parse(JSON.parse(text));
  } catch {
    return [];
  }
}

/**
 * A taught run and its annotations. Every annotation is stored in this browser at once and sent in order;
 * what the server has not acknowledged survives a lost line and a reload.
 */
export function useRunReview(runId: string) {
  const run = shallowRef<StoredRun>();
  const missing = ref(false);
  /** Why the run could not be loaded, or why annotations have not been sent yet. */
  const trouble = ref('');
  let waiting: RunEvent[] = [];
  const drafts = openDrafts();
  let storedDrafts: Drafts | undefined;

  /** Stores what is waiting in this browser. Returns whether there was space. */
  function keep(): boolean {
    if (waiting.length > 0) return storedDrafts?.write(draftKey(runId), JSON.stringify(waiting)) ?? false;
    storedDrafts?.drop(draftKey(runId));
    return true;
  }
  /** Adopts annotations that a closed window had not sent. */
  async function recoverDraft(): Promise<void> {
    storedDrafts = await drafts;
    const left = await storedDrafts.leftovers(draftKey(runId));
    const known = new Set(waiting.map(({ id }) => id));
    const more = left.flatMap(({ text }) => readWaiting(text)).filter(({ id }) => !known.has(id) && known.add(id));
    waiting = [...more, ...waiting].sort((one, other) => one.atMs - other.atMs);
    keep();
    for (const { remove } of left) remove();
  }
  const { send, stop } = outbox<RunEvent, unknown>({
    waiting: () => waiting,
    post: (batch) => addEvents(runId, [...batch]),
    sent(batch) {
      const sent = new Set(batch.map(({ id }) => id));
      waiting = waiting.filter(({ id }) => !sent.has(id));
      keep();
    },
    report: (text) => (trouble.value = text && `${text} Your review is kept here.`),
  });

  const asks = latestOnly();
  async function load(): Promise<void> {
    trouble.value = '';
    const isLatest = asks();
    try {
      await recoverDraft();
      // A session that has just ended may still be on its way.
      await sendLeftovers();
      const stored = await readRun(runId);
      if (!isLatest()) return;
      const known = new Set(stored.events.map(({ id }) => id));
      waiting = waiting.filter(({ id }) => !known.has(id));
      keep();
      // The answer does not contain annotations that were sent while it was on its way.
      const here = [...(run.value?.events ?? []), ...waiting].filter(({ id }) => !known.has(id) && known.add(id));
      run.value = { ...stored, events: [...stored.events, ...here] };
      missing.value = false;
      void send();
    } catch (error) {
      missing.value = 'status' in (error as object) && (error as { status: number }).status === 404;
      trouble.value = (error as Error).message;
    }
  }

  /** Adds an annotation to the run. Returns the reason if it is refused, and then nothing is added. */
  function say(body: Saying): string | undefined {
    const event = RunEvent.safeParse({ ...body, id: newId(), atMs: Date.now() });
    if (!event.success) return event.error.issues[0]?.message ?? 'This does not fit.';
    if (!run.value) return 'This session has not been sent yet.';
    waiting = [...waiting, event.data];
    if (!keep()) trouble.value = 'This browser has no room to keep your review; it is only sent to the server.';
    run.value = { ...run.value, events: [...run.value.events, event.data] };
    void send();
    return undefined;
  }

  onScopeDispose(() => {
    stop();
    void drafts.then(({ release }) => release());
  });
  return { run, missing, trouble, load, say, send };
}
export type ReviewedRun = ReturnType<typeof useRunReview>;
