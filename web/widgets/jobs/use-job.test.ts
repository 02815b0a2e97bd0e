import { beforeEach, describe, expect, test } from '@jest/globals';
import { effectScope } from 'vue';
import { ORDER_RULES } from '#core/order';
import { noLibrary, planOf, workedHold } from '../../../tests/support/examples';
import type { SolverThread } from '../../client/solver-thread';
import { useJob } from './use-job';

/** Threads as they were started, with the questions each was asked and how it is answered. */
interface Started {
  requests: { answer: (value: unknown) => void; ticks: (share: number) => void }[];
  ended: boolean;
  fail: () => void;
}
let started: Started[] = [];
beforeEach(() => {
  started = [];
});

function start(): SolverThread {
  const thread: Started = { requests: [], ended: false, fail: () => undefined };
  started.push(thread);
  const failed = new Promise<never>((_, reject) => {
    thread.fail = () => reject(new Error('thread'));
  });
  failed.catch(() => undefined);
  // As a worker does: what it says after its end is heard by nobody, and what it is asked stays without an answer.
  const run = (_job: unknown, ticks: (share: number) => void) =>
    new Promise((answer) => {
      const heard =
        <T>(hears: (value: T) => void) =>
        (value: T): void => {
          if (!thread.ended) hears(value);
        };
      thread.requests.push({ answer: heard(answer), ticks: heard(ticks) });
    });
  const stop = (): void => {
    thread.ended = true;
  };
  return { remote: { run } as unknown as SolverThread['remote'], stop, failed };
}

const plan = planOf(workedHold);
const what = { rules: ORDER_RULES };
/** A question in a component of its own, which ends with the test. */
async function inScope(body: (job: ReturnType<typeof useJob<'order'>>) => Promise<void>): Promise<void> {
  const scope = effectScope();
  await scope.run(() => body(useJob('order', start)));
  scope.stop();
}

describe('a question for a thread', () => {
  test('its answer comes, and the next question has the same thread', () =>
    inScope(async (job) => {
      const first = job.ask(plan, noLibrary, what);
      started[0]!.requests[0]!.answer({ kind: 'refused', issues: [] });
      expect(await first).toEqual({ kind: 'refused', issues: [] });
      expect(job.answer.value).toEqual({ kind: 'refused', issues: [] });
      const second = job.ask(plan, noLibrary, what);
      started[0]!.requests[1]!.answer('second');
      expect(await second).toBe('second');
      expect(started).toHaveLength(1);
    }));

  test('asked anew while one is under way, the earlier one is given up and its answer passed over', () =>
    inScope(async (job) => {
      const first = job.ask(plan, noLibrary, what);
      const second = job.ask(plan, noLibrary, what);
      expect(started[0]!.ended).toBe(true);
      started[0]!.requests[0]!.answer('old');
      expect(await first).toBeUndefined();
      started[1]!.requests[0]!.answer('new');
      expect(await second).toBe('new');
      expect(job.answer.value).toBe('new');
    }));

  test('stopped, it says so; the last answer stays, and nothing is at work any more', () =>
    inScope(async (job) => {
      const first = job.ask(plan, noLibrary, what);
      started[0]!.requests[0]!.answer('before');
      await first;
      const second = job.ask(plan, noLibrary, what);
      job.stop();
      expect(job.trouble.value).toBe('Stopped. The plan is as it was.');
      expect([job.share.value, job.answer.value, started[0]!.ended]).toEqual([null, 'before', true]);
      started[0]!.requests[1]!.ticks(0.5);
      started[0]!.requests[1]!.answer('too late');
      expect(await second).toBeUndefined();
      expect([job.share.value, job.answer.value]).toEqual([null, 'before']);
      // With nothing under way there is nothing to stop.
      void job.ask(plan, noLibrary, what);
      expect(job.trouble.value).toBe('');
    }));

  test('a thread that fails is told, and the next question has a new one', () =>
    inScope(async (job) => {
      const first = job.ask(plan, noLibrary, what);
      started[0]!.fail();
      expect(await first).toBeUndefined();
      expect(job.trouble.value).toMatch(/could not be worked out/);
      expect(started[0]!.ended).toBe(true);
      const second = job.ask(plan, noLibrary, what);
      expect(job.trouble.value).toBe('');
      started[1]!.requests[0]!.answer('well');
      expect(await second).toBe('well');
    }));

  test('with the component what is under way ends', async () => {
    await inScope((job) => {
      void job.ask(plan, noLibrary, what);
      return Promise.resolve();
    });
    expect(started[0]!.ended).toBe(true);
  });
});
