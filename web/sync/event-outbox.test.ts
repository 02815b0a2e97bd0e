import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { RunEvent } from '#core/run';
import { emptyPlan } from '#core/plan';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { vault } from './vault';
import {
  isUnderWay,
  storeLocalRun,
  ledBy,
  makeOutbox,
  mergedRun,
  sendLeftovers,
  unfinishedRun,
  type LocalRun,
} from './event-outbox';

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
    return {
      status: 201,
      body: { ...(body as object), createdAt, plan: emptyPlan('Evening'), events: [], unreadable: 0 },
    };
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
  storeLocalRun(run);
  storeLocalRun(runOf('done', event('started', '2'), event('ended', '3')));
  expect(unfinishedRun('p')).toEqual(run);
  expect(unfinishedRun('other')).toBeUndefined();
});

test('what is no run any more is passed over', () => {
  vault.write('zovrin.run.p.x', '{"plan":');
  vault.write('zovrin.run.p.y', JSON.stringify({ ...runOf('y'), events: [{ kind: 'danced' }] }));
  expect(unfinishedRun('p')).toBeUndefined();
});

test('events are sent in order, each once, however often the line breaks', async () => {
  let run = runOf('r', event('started', '1'));
  const reports: string[] = [];
  const outbox = makeOutbox(
    () => run,
    (trouble) => reports.push(trouble),
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
  expect(reports.some((text) => text.includes('kept here and sent later'))).toBe(true);
  expect(reports.at(-1)).toBe('');
});

test('what another device has added meanwhile is taken over, in the order of the server, and nothing is sent twice', async () => {
  let run = runOf('r', event('started', '1'));
  const outbox = makeOutbox(
    () => run,
    () => undefined,
    (merged) => (run = merged),
  );
  await outbox.send();
  await settle();
  const other: RunEvent = { ...event('paused', 'other'), kind: 'led', by: 'another' };
  arrived.push(other.id);
  browser.answer = (call) => {
    if (call.method !== 'GET') return serve(call);
    const after = Number(call.path.split('after=')[1]);
    const all = arrived.map((id) => (id === other.id ? other : run.events.find((one) => one.id === id)!));
    return { status: 200, body: { events: all.slice(after), nowMs: null } };
  };
  run = { ...run, events: [...run.events, event('paused', '2')] };
  await outbox.send();
  await settle();
  expect(run.events.map(({ id }) => id)).toEqual(['event-no-1', 'event-no-other', 'event-no-2']);
  expect(run.acknowledged).toBe(3);
  expect(ledBy(run.events)).toBe('another');
  expect(arrived).toEqual(run.events.map(({ id }) => id));
});

test('merged: the server’s order first, what has not arrived there after it, each once', () => {
  const run = { ...runOf('r', event('started', '1'), event('paused', '2'), event('paused', '3')), acknowledged: 1 };
  const merged = mergedRun(run, [event('paused', 'x'), event('paused', '2')]);
  expect(merged.events.map(({ id }) => id.slice(9))).toEqual(['1', 'x', '2', '3']);
  expect(merged.acknowledged).toBe(3);
  // Told twice, it is there once.
  expect(mergedRun(merged, [event('paused', '2')]).events).toEqual(merged.events);
});

test('a session is under way until it has ended or was left lying', () => {
  const run = runOf('r', event('started', '1'));
  expect(isUnderWay(run, T0 + 3_600_000)).toBe(true);
  expect(isUnderWay(run, T0 + 7 * 3_600_000)).toBe(false);
  expect(isUnderWay(runOf('r', event('started', '1'), event('ended', '2')), T0)).toBe(false);
  expect(isUnderWay(runOf('r'), T0)).toBe(false);
});

test('a session that has ended and is with the server is no longer kept here', async () => {
  const run = runOf('r', event('started', '1'), event('ended', '2'));
  storeLocalRun(run);
  await makeOutbox(
    () => run,
    () => undefined,
  ).send();
  await settle();
  expect(keys()).toEqual([]);
});

test('ended sessions that could not be sent are sent at the next visit; those under way are left alone', async () => {
  storeLocalRun(runOf('ended', event('started', '1'), event('ended', '2')));
  storeLocalRun(runOf('open', event('started', '3')));
  browser.answer = () => 'unreachable';
  await sendLeftovers();
  expect(keys()).toHaveLength(2);
  browser.answer = serve;
  await sendLeftovers();
  expect(arrived).toEqual(['event-no-1', 'event-no-2']);
  expect(keys()).toEqual(['zovrin.run.p.open']);
});
