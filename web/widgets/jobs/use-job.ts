import { proxy, wrap, type Remote } from 'comlink';
import { onScopeDispose, ref, shallowRef } from 'vue';
import { jobOf, type JobKind, type Jobs } from '#core/jobs';
import type { Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import type { Helper } from '../../workers/solver';

/** A thread that does jobs. */
export interface Thread {
  run: Remote<Helper>['run'];
  stop: () => void;
  /** Rejects when the thread itself fails. */
  failed: Promise<never>;
}

/** A thread that nobody uses now: the next one who asks has it, instead of waiting for one to start. */
let spare: Thread | undefined;

function startThread(): Thread {
  if (spare) {
    const ready = spare;
    spare = undefined;
    return ready;
  }
  const worker = new Worker(new URL('../../workers/solver.ts', import.meta.url), { type: 'module' });
  const { run } = wrap<Helper>(worker);
  const failed = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => reject(new Error('thread')), { once: true }),
  );
  // A failure while nothing is requested is reported to the next caller.
  failed.catch(() => undefined);
  return { run, stop: () => worker.terminate(), failed };
}

/** Sent as plain values, whatever the page has wrapped them in. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
/** What takes less than this is not given as being at work. */
const SOON_MS = 150;

/**
 * A kind of question that is worked out in a thread: its latest answer, how far it is, and a way to stop it. Asked
 * again while one is under way, the earlier one is given up. A thread that is idle when the component ends serves the
 * next.
 */
export function useJob<K extends JobKind>(kind: K, start: () => Thread = startThread) {
  const answer = shallowRef<Jobs[K]['answer']>();
  /** From 0 to 1 while it takes long enough to show; null otherwise. */
  const share = ref<number | null>(null);
  const trouble = ref('');
  let thread: Thread | undefined;
  let request = 0;
  let atWork = false;

  function drop(): void {
    thread?.stop();
    thread = undefined;
    atWork = false;
    share.value = null;
  }

  /** Demands; gives the answer, or undefined where another question or a stop came before it. */
  async function ask(plan: Plan, library: Library, what: Jobs[K]['ask']): Promise<Jobs[K]['answer'] | undefined> {
    if (atWork) drop();
    thread ??= start();
    const mine = ++request;
    [atWork, trouble.value] = [true, ''];
    const from = performance.now();
    const ticks = proxy((done: number) => {
      if (mine === request && atWork && performance.now() - from > SOON_MS) share.value = done;
    });
    try {
      const job = plain(jobOf(kind, plan, library, what));
      const found = (await Promise.race([thread.run(job, ticks), thread.failed])) as Jobs[K]['answer'];
      if (mine !== request) return undefined;
      answer.value = found;
      [atWork, share.value] = [false, null];
      return found;
    } catch {
      if (mine !== request) return undefined;
      drop();
      trouble.value = 'This could not be worked out here. The plan is as it was.';
      return undefined;
    }
  }

  /** Gives up what is under way. The plan, and the last answer, stay as they are. */
  function stop(): void {
    if (!atWork) return;
    request++;
    drop();
    trouble.value = 'Stopped. The plan is as it was.';
  }

  onScopeDispose(() => {
    request++;
    if (atWork || spare) return drop();
    spare = thread;
  });
  return { answer, share, trouble, ask, stop };
}
