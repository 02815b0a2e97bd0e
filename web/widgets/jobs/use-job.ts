import { onScopeDispose, ref, shallowRef } from 'vue';
import type { JobKind, Jobs } from '#core/jobs';
import type { Library } from '#core/catalogue';
import type { Plan } from '#core/plan';
import { runJob, startThread, type SolverThread } from '../../client/solver-thread';

/** A thread that nobody uses now: the next one who asks has it, instead of waiting for one to start. */
let spare: SolverThread | undefined;

function nextThread(): SolverThread {
  const ready = spare ?? startThread();
  spare = undefined;
  return ready;
}

/** Work shorter than this shows no progress. */
const SOON_MS = 150;

/**
 * A kind of question that is worked out in a thread: its latest answer, how far it is, and a way to stop it. Asked
 * again while one is under way, the earlier one is given up. A thread that is idle when the component ends serves the
 * next.
 */
export function useJob<K extends JobKind>(kind: K, start: () => SolverThread = nextThread) {
  const answer = shallowRef<Jobs[K]['answer']>();
  /** From 0 to 1 while it takes long enough to show; null otherwise. */
  const share = ref<number | null>(null);
  const trouble = ref('');
  let thread: SolverThread | undefined;
  /** Ends the wait for an answer: a thread that was stopped gives none. */
  let giveUp: () => void = () => undefined;
  let request = 0;
  let atWork = false;

  function drop(): void {
    thread?.stop();
    thread = undefined;
    giveUp();
    atWork = false;
    share.value = null;
  }

  /** Asks; resolves with the answer, or with undefined if another question or a stop came first. */
  async function ask(plan: Plan, library: Library, what: Jobs[K]['ask']): Promise<Jobs[K]['answer'] | undefined> {
    if (atWork) drop();
    thread ??= start();
    const mine = ++request;
    [atWork, trouble.value] = [true, ''];
    const from = performance.now();
    const ticks = (done: number): void => {
      if (mine === request && atWork && performance.now() - from > SOON_MS) share.value = done;
    };
    try {
      const givenUp = new Promise<undefined>((resolve) => (giveUp = () => resolve(undefined)));
      const found = await Promise.race([runJob(thread, kind, plan, library, what, ticks), givenUp]);
      if (mine !== request || found === undefined) return undefined;
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
