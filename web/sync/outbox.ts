import { worthRetrying } from '../client/http';
import { retrying } from './retry';

const BATCH = 200;

/** What waits to be sent, in order, and how it is sent. */
export interface Outgoing<E, A> {
  waiting: () => readonly E[];
  /** Sends a batch. Rejects with what `ask` throws. */
  post: (batch: readonly E[]) => Promise<A>;
  /** Called with every batch that was sent, so that it no longer waits. */
  sent: (batch: readonly E[], answer: A) => void;
  /** Called after each try with the reason why something still waits; empty if nothing does. */
  report: (trouble: string, isTriedAgain: boolean) => void;
}

export interface Outbox {
  /** Sends what waits, batch after batch. Never rejects; what cannot be sent is tried again when that may help. */
  send(): Promise<void>;
  stop(): void;
}

/** The one way in which events leave this browser: in order, one batch at a time, and again where the line was lost. */
export function outbox<E, A>(out: Outgoing<E, A>): Outbox {
  let sending: Promise<void> | undefined;
  const retry = retrying(() => void send());

  async function sendAll(): Promise<void> {
    for (let batch = out.waiting().slice(0, BATCH); batch.length > 0; batch = out.waiting().slice(0, BATCH)) {
      try {
        out.sent(batch, await out.post(batch));
        retry.reset();
        out.report('', false);
      } catch (error) {
        const isTriedAgain = worthRetrying(error);
        out.report((error as Error).message, isTriedAgain);
        if (isTriedAgain) retry.later();
        return;
      }
    }
  }
  function send(): Promise<void> {
    sending ??= sendAll().finally(() => (sending = undefined));
    return sending;
  }
  return { send, stop: retry.stop };
}
