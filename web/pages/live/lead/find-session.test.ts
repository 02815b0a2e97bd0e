import { beforeEach, expect, test } from '@jest/globals';
import { emptyPlan } from '#core/plan';
import type { RunEvent } from '#core/run';
import { runSummary } from '../../../../tests/support/examples';
import { fakeBrowser, type FakeBrowser } from '../../../../tests/support/browser';
import { findSession } from './find-session';
import { storeLocalRun, type LocalRun } from '../../../sync/event-outbox';

let browser: FakeBrowser;
const plan = emptyPlan('Evening');
const happened = (kind: 'started' | 'ended', atMs = Date.now()): RunEvent => ({ id: `event-${kind}`, atMs, kind });
const led = (by: string): RunEvent => ({ id: `led-by-${by.replace(/\W/g, '-')}`, atMs: Date.now(), kind: 'led', by });
const runOf = (...events: RunEvent[]): LocalRun => ({
  id: 'r',
  planId: 'p',
  planRevision: 1,
  plan,
  events,
  acknowledged: 0,
});
/** The server knows this run of the plan. */
function serve(...events: RunEvent[]): void {
  const createdAt = new Date().toISOString();
  const there = { id: 'there', planId: 'p', planRevision: 1, createdAt };
  const summary = runSummary('Evening');
  browser.answer = ({ path }) =>
    path.startsWith('/runs?')
      ? { status: 200, body: { items: [{ ...there, summary }], total: 1, unreadable: 0 } }
      : { status: 200, body: { ...there, plan, events, unreadable: 0 } };
}
const device = () => browser.local.getItem('zovrin.device');

beforeEach(() => {
  browser = fakeBrowser();
});

test('nothing is under way: this window may lead, with a name of its own; so where the server is away', async () => {
  const first = await findSession('p');
  expect(first).toMatchObject({ run: undefined, elsewhere: false });
  expect(first.me).toBe(`${device()} ${first.me.split(' ')[1]}`);
  browser.answer = () => 'unreachable';
  expect(await findSession('p')).toEqual(first);
});

test('a session of this browser goes on here, unless another window that is open leads it', async () => {
  const { me } = await findSession('p');
  const tab = 'another-tab';
  for (const [by, open, elsewhere] of [
    ['', false, false],
    [me, false, false],
    [`${device()} ${tab}`, true, true],
    [`${device()} ${tab}`, false, false],
    ['tablet some-tab', false, true],
  ] as const) {
    browser.otherTabs = open ? [`zovrin.tab.${tab}`] : [];
    storeLocalRun(runOf(happened('started'), ...(by ? [led(by)] : [])));
    expect([by, await findSession('p')]).toMatchObject([by, { me, elsewhere, run: { id: 'r' } }]);
  }
});

test('a session of another device is found on the server, as long as it is under way', async () => {
  serve(happened('started'), led('tablet some-tab'));
  expect(await findSession('p')).toMatchObject({ elsewhere: true, run: { id: 'there', acknowledged: 2 } });
  serve(happened('started'), happened('ended'));
  expect(await findSession('p')).toMatchObject({ elsewhere: false, run: undefined });
  serve(happened('started', Date.now() - 7 * 3_600_000));
  expect(await findSession('p')).toMatchObject({ run: undefined });
});

test('where the browser could keep nothing, its own session comes back from the server, and it leads on', async () => {
  const { me } = await findSession('p');
  serve(happened('started'), led(me));
  expect(await findSession('p')).toMatchObject({ me, elsewhere: false, run: { id: 'there' } });
});
