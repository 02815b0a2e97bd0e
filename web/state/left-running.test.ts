import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import type { RunEvent } from '#core/run';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { planOf, runSummary, talk } from '../../tests/support/examples';
import { findSession } from '../pages/live/lead/find-session';
import { useLeftRunning } from './left-running';
import { storeLocalRun, readLocalRun, type LocalRun } from '../sync/event-outbox';

const HOUR = 3_600_000;
const NOW = Date.UTC(2026, 10, 29, 18, 0);
const plan = planOf(talk('a', 1200), talk('b', 600));
const started = (atMs: number): RunEvent => ({ id: 'event-started', atMs, kind: 'started' });
const runOf = (id: string, startedMs: number, ...more: RunEvent[]): LocalRun => ({
  id,
  planId: 'p',
  planRevision: 1,
  plan,
  events: [started(startedMs), ...more],
  acknowledged: 0,
});
let browser: FakeBrowser;
/** The runs the server lists, and what was sent to it. */
let there: object[];
let sent: { path: string; events: RunEvent[] }[];

const listed = (id: string, title: string, startedAtMs: number, ended = false) => ({
  id,
  planId: 'q',
  planRevision: 1,
  createdAt: new Date(startedAtMs).toISOString(),
  summary: { ...runSummary(title), startedAtMs, lastEventAtMs: startedAtMs, ended },
});

beforeEach(() => {
  jest.useFakeTimers({ now: NOW });
  setActivePinia(createPinia());
  browser = fakeBrowser();
  [there, sent] = [[], []];
  browser.answer = ({ method, path, body }) => {
    if (path.startsWith('/runs?')) return { status: 200, body: { items: there, total: there.length, unreadable: 0 } };
    if (path.startsWith('/entries?')) return { status: 200, body: { items: [], total: 0, unreadable: 0 } };
    const run = { ...runOf('r', NOW - 26 * HOUR), createdAt: new Date(NOW).toISOString(), unreadable: 0 };
    if (method === 'GET') return { status: 200, body: run };
    if (path === '/runs') return { status: 201, body: { ...run, events: [] } };
    const { events } = body as { events: RunEvent[] };
    sent.push({ path, events });
    return { status: 200, body: { stored: events.length, total: events.length } };
  };
});
afterEach(() => void jest.useRealTimers());

test('a session of this browser, and one of another device, are shown until they are ended; the latest first', async () => {
  const sessions = useLeftRunning();
  storeLocalRun(runOf('here', NOW - HOUR));
  there = [listed('there', 'Choir', NOW - 2 * HOUR), listed('done', 'Potters', NOW - 3 * HOUR, true)];
  await sessions.look();
  expect(sessions.sessions.map(({ id, isUnderWay }) => [id, isUnderWay])).toEqual([
    ['here', true],
    ['there', true],
  ]);
});

test('one of yesterday was left running; one of long ago on another device is left to the history', async () => {
  const sessions = useLeftRunning();
  there = [listed('yesterday', 'Choir', NOW - 24 * HOUR), listed('old', 'Choir', NOW - 8 * 24 * HOUR)];
  await sessions.look();
  expect(sessions.sessions.map(({ id, isUnderWay }) => [id, isUnderWay])).toEqual([['yesterday', false]]);
});

test('without the server, what this browser knows is shown', async () => {
  browser.answer = () => 'unreachable';
  storeLocalRun(runOf('here', NOW - HOUR));
  const sessions = useLeftRunning();
  await sessions.look();
  expect(sessions.sessions.map(({ id }) => id)).toEqual(['here']);
});

test('ended, it ends when it was over by its plan, or where it was paused; here and on the server', async () => {
  const sessions = useLeftRunning();
  const begun = NOW - 24 * HOUR;
  const local = runOf('here', begun, { id: 'event-longer', atMs: begun + 60_000, kind: 'stretched', byMs: 30_000 });
  storeLocalRun(local);
  await sessions.look();
  await sessions.end({ id: 'here' });
  await settle();
  expect(sessions.sessions).toEqual([]);
  const ended = sent.flatMap(({ events }) => events).find(({ kind }) => kind === 'ended');
  expect(ended?.atMs).toBe(begun + 1_830_000);
  // All of it is with the server, so nothing stays here.
  expect(readLocalRun(local)).toBeUndefined();

  storeLocalRun(runOf('paused', begun, { id: 'event-paused', atMs: begun + 90_000, kind: 'paused' }));
  await sessions.end({ id: 'paused' });
  await settle();
  expect(sent.flatMap(({ events }) => events).findLast(({ kind }) => kind === 'ended')?.atMs).toBe(begun + 90_000);

  there = [listed('r', 'Choir', NOW - 26 * HOUR)];
  await sessions.look();
  await sessions.end({ id: 'r' });
  expect(sent.at(-1)).toMatchObject({ path: '/runs/r/events', events: [{ kind: 'ended', atMs: NOW - 25.5 * HOUR }] });
});

test('a session of yesterday does not resume by itself', async () => {
  storeLocalRun(runOf('here', NOW - 24 * HOUR));
  expect(await findSession('p')).toMatchObject({ run: undefined, leftRunning: { id: 'here' } });
  storeLocalRun(runOf('here', NOW - HOUR));
  expect(await findSession('p')).toMatchObject({ run: { id: 'here' } });
  expect((await findSession('p')).leftRunning).toBeUndefined();
});
