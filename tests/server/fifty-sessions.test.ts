import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { Plan } from '#core/plan';
import type { RunEvent } from '#core/run';
import { TEMPLATES } from '#library';
import { createPlan } from '../../server/routes/plans';
import { addEvents, startRun } from '../../server/routes/runs';
import { eventsOf, storedRun } from '../../server/store/stored-runs';
import { openStore, type Store } from '../../server/store/store';
import { fakeBrowser, settle, type FakeBrowser } from '../support/browser';
import { storeLocalRun, makeOutbox, sendLeftovers, unfinishedRun, type LocalRun } from '../../web/sync/event-outbox';

/** The same numbers in every run of the test: a linear congruential generator, as in Numerical Recipes. */
function numbers(seed: number): () => number {
  let at = seed;
  return () => (at = (at * 1_664_525 + 1_013_904_223) % 4_294_967_296) / 4_294_967_296;
}

let folder: string;
let store: Store;
let browser: FakeBrowser;
const plan = TEMPLATES[0]!.plan as Plan;

beforeEach(async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'setTimeout', 'clearTimeout'] });
  folder = mkdtempSync(join(tmpdir(), 'zovrin-fifty-'));
  store = await openStore(join(folder, 'fifty.sqlite'));
  browser = fakeBrowser();
});
afterEach(async () => {
  jest.useRealTimers();
  await store.close();
  rmSync(folder, { recursive: true });
});

/**
 * The line between them: asks are lost on the way there, answers on the way back, and the server is killed under way.
 */
function lossyLine(random: () => number): void {
  globalThis.fetch = (async (path: string, options: { body?: string }) => {
    if (random() < 0.3) throw new TypeError('Failed to fetch');
    if (random() < 0.1) {
      await store.close();
      store = await openStore(join(folder, 'fifty.sqlite'));
    }
    const body = JSON.parse(options.body ?? '{}');
    const answer = path.endsWith('/events')
      ? await addEvents(store, path.split('/').at(-2)!, body.events)
      : await startRun(store, body);
    if (random() < 0.3) throw new TypeError('Failed to fetch');
    return new Response(JSON.stringify(answer), { status: 200 });
  }) as unknown as typeof fetch;
}

test('fifty sessions with random losses, reloads and server kills: every event arrives once and in order', async () => {
  await createPlan(store, 'p', plan);
  const random = numbers(20_261_126);
  lossyLine(random);
  const sent: { id: string; events: string[] }[] = [];
  for (let session = 0; session < 50; session++) {
    const id = `session-${session}`;
    let run: LocalRun = { id, planId: 'p', planRevision: 1, plan, events: [], acknowledged: 0 };
    const opened = () =>
      makeOutbox(
        () => run,
        () => undefined,
      );
    let outbox = opened();
    const many = 5 + Math.floor(random() * 12);
    for (let i = 0; i < many; i++) {
      const kind = i === 0 ? 'started' : i === many - 1 ? 'ended' : i % 2 === 1 ? 'paused' : 'resumed';
      const event: RunEvent = { id: `${id}-event-${i}`, atMs: 1_790_000_000_000 + i * 1000, kind };
      run = { ...run, events: [...run.events, event] };
      storeLocalRun(run);
      await outbox.send();
      if (random() < 0.25 && kind !== 'ended') {
        // A reload: what the page knew is gone, but for what the browser keeps.
        outbox.stop();
        run = unfinishedRun('p')!;
        outbox = opened();
      }
    }
    outbox.stop();
    sent.push({ id, events: run.events.map((event) => event.id) });
  }
  for (let i = 0; i < 400 && Object.keys(browser.local).length > 0; i++) {
    await sendLeftovers();
    await settle();
  }
  expect(Object.keys(browser.local)).toEqual([]);
  const arrived = await eventsOf(
    store,
    sent.map(({ id }) => id),
  );
  for (const { id, events } of sent) {
    const row = await store.runs.findByPk(id);
    expect(storedRun(row!, arrived.get(id) ?? []).events.map((event) => event.id)).toEqual(events);
  }
}, 120_000);
