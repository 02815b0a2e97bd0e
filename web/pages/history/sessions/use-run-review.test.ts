import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { effectScope, type EffectScope } from 'vue';
import { emptyPlan } from '#core/plan';
import type { RunEvent } from '#core/run';
import { fakeBrowser, settle, type FakeBrowser } from '../../../../tests/support/browser';
import { storeLocalRun } from '../../../sync/event-outbox';
import { useRunReview, type ReviewedRun } from './use-run-review';

const T0 = 1_790_000_000_000;
let browser: FakeBrowser;
let scope: EffectScope;
let stored: RunEvent[];
let away: boolean;

beforeEach(() => {
  jest.useFakeTimers({ now: T0 + 1000 });
  browser = fakeBrowser();
  scope = effectScope();
  stored = [{ id: 'event-start', atMs: T0, kind: 'started' }];
  away = false;
  browser.answer = ({ method, body }) => {
    if (away) return 'unreachable';
    if (method === 'GET') {
      const createdAt = new Date(T0).toISOString();
      return {
        status: 200,
        body: { id: 'r', planId: 'p', planRevision: 1, createdAt, plan: emptyPlan('E'), events: stored, unreadable: 0 },
      };
    }
    const { events } = body as { events: RunEvent[] };
    const fresh = events.filter(({ id }) => stored.every((other) => other.id !== id));
    stored = [...stored, ...fresh];
    return { status: 200, body: { stored: fresh.length, total: stored.length } };
  };
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});

async function open(): Promise<ReviewedRun> {
  const annotations = scope.run(() => useRunReview('r'))!;
  await annotations.load();
  await settle();
  return annotations;
}
const rated = (strength: number) => ({ kind: 'rated', stepId: 'a', side: 'left', strength }) as const;
const kinds = () => stored.map(({ kind }) => kind);

test('what is said is shown at once, kept and sent in order, each once', async () => {
  const annotations = await open();
  expect(annotations.say(rated(4))).toBeUndefined();
  expect(annotations.run.value?.events).toHaveLength(2);
  annotations.say({ kind: 'reviewed', review: { steps: [], change: 'sooner', note: '' } });
  await settle();
  expect(kinds()).toEqual(['started', 'rated', 'reviewed']);
  expect(Object.keys(browser.local)).toEqual([]);
});

test('without the server it is kept here, tried again, and there after a reload', async () => {
  const annotations = await open();
  away = true;
  annotations.say(rated(4));
  await settle();
  expect(annotations.trouble.value).toContain('Your review is kept here.');
  scope.stop();
  scope = effectScope();
  away = false;
  const again = await open();
  expect(again.run.value?.events.map(({ kind }) => kind)).toEqual(['started', 'rated']);
  await settle();
  expect(kinds()).toEqual(['started', 'rated']);
  away = true;
  again.say(rated(6));
  await settle();
  away = false;
  jest.advanceTimersByTime(4000);
  await settle();
  expect(kinds()).toEqual(['started', 'rated', 'rated']);
  expect(again.trouble.value).toBe('');
});

test('what does not fit is refused with the reason, and nothing is said', async () => {
  const annotations = await open();
  expect(annotations.say(rated(12))).toBeTruthy();
  expect(annotations.say({ kind: 'present', people: [], others: -1 })).toBe('There cannot be fewer than no people.');
  expect(annotations.run.value?.events).toHaveLength(1);
});

test('a full browser says so and sends all the same; a run that is not there is told', async () => {
  const annotations = await open();
  browser.local.fill();
  annotations.say(rated(3));
  expect(annotations.trouble.value).toContain('no room to keep');
  await settle();
  expect(kinds()).toEqual(['started', 'rated']);
  browser.answer = () => ({ status: 404 });
  await annotations.load();
  expect(annotations.missing.value).toBe(true);
});

test('a session that has just ended and is not all with the server yet: it is sent first, and then read whole', async () => {
  const events: RunEvent[] = [
    ...stored,
    { id: 'event-noted', atMs: T0 + 300, kind: 'noted', text: 'Window draughty' },
    { id: 'event-ended', atMs: T0 + 500, kind: 'ended' },
  ];
  storeLocalRun({ id: 'r', planId: 'p', planRevision: 1, plan: emptyPlan('E'), events, acknowledged: 1 });
  const annotations = await open();
  expect(annotations.run.value?.events.map(({ kind }) => kind)).toEqual(['started', 'noted', 'ended']);
  expect(Object.keys(browser.local)).toEqual([]);
});
