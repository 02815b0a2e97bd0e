import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { RunEvent } from '#core/run';
import { emptyPlan } from '#core/plan';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { keepLocalRun, makeOutbox, sendLeftovers, unfinishedRun, type LocalRun } from './outbox';

const T0 = 1_790_000_000_000;
let browser: FakeBrowser;
let arrived: string[];
const event = (kind: 'started' | 'paused' | 'ended', id: string): RunEvent => ({
  id: `event-no-${id}`,
  atMs: T0,
  kind,
});
const runOf = (id: string, ...events: RunEvent[]): LocalRun => ({
  id,
  planId: 'p',
  planRevision: 1,
  plan: emptyPlan('Evening'),
  events,
  acknowledged: 0,
});
const keys = () => Object.keys(browser.local);

/** Stores each event once, as the real server does. */
function serve({ path, body }: { path: string; body: unknown }) {
  if (path === '/runs') {
    const createdAt = new Date(T0).toISOString();
    return { status: 201, body: { ...(body as object), createdAt, plan: emptyPlan('Evening'), events: [] } };
  }
  const fresh = (body as { events: RunEvent[] }).events.map(({ id }) => id).filter((id) => !arrived.includes(id));
  arrived.push(...fresh);
  return { status: 200, body: { stored: fresh.length, total: arrived.length } };
}

beforeEach(() => {
  jest.useFakeTimers();
  browser = fakeBrowser();
  browser.answer = serve;
  arrived = [];
});
afterEach(() => void jest.useRealTimers());

test('a session that has not ended is found again, with its plan and events', () => {
  expect(unfinishedRun('p')).toBeUndefined();
  const run = runOf('r', event('started', '1'));
  keepLocalRun(run);
  keepLocalRun(runOf('done', event('started', '2'), event('ended', '3')));
  expect(unfinishedRun('p')).toEqual(run);
  expect(unfinishedRun('other')).toBeUndefined();
});

test('what is no run any more is passed over', () => {
  browser.local.setItem('zovrin.run.p.x', '{"plan":');
  browser.local.setItem('zovrin.run.p.y', JSON.stringify({ ...runOf('y'), events: [{ kind: 'danced' }] }));
  expect(unfinishedRun('p')).toBeUndefined();
});

test('events are sent in order, each once, however often the line breaks', async () => {
  let run = runOf('r', event('started', '1'));
  const said: string[] = [];
  const outbox = makeOutbox(
    () => run,
    (trouble) => said.push(trouble),
  );
  let breaks = 0;
  browser.answer = (call) => {
    // Every third answer is lost after the server has stored what it got.
    const answer = serve(call);
    return breaks++ % 3 === 0 ? 'unreachable' : answer;
  };
  for (let i = 2; i < 8; i++) {
    run = { ...run, events: [...run.events, event('paused', String(i))] };
    void outbox.send();
    await settle();
    jest.advanceTimersByTime(3000);
    await settle();
  }
  for (let i = 0; i < 6; i++) {
    jest.advanceTimersByTime(3000);
    await settle();
  }
  expect(arrived).toEqual(run.events.map(({ id }) => id));
  expect(run.acknowledged).toBe(7);
  expect(said.some((text) => text.includes('kept here and sent later'))).toBe(true);
  expect(said.at(-1)).toBe('');
});

test('a session that has ended and is with the server is no longer kept here', async () => {
  const run = runOf('r', event('started', '1'), event('ended', '2'));
  keepLocalRun(run);
  await makeOutbox(
    () => run,
    () => undefined,
  ).send();
  await settle();
  expect(keys()).toEqual([]);
});

test('ended sessions that could not be sent are sent at the next visit; those under way are left alone', async () => {
  keepLocalRun(runOf('ended', event('started', '1'), event('ended', '2')));
  keepLocalRun(runOf('open', event('started', '3')));
  browser.answer = () => 'unreachable';
  await sendLeftovers();
  expect(keys()).toHaveLength(2);
  browser.answer = serve;
  await sendLeftovers();
  expect(arrived).toEqual(['event-no-1', 'event-no-2']);
  expect(keys()).toEqual(['zovrin.run.p.open']);
});
