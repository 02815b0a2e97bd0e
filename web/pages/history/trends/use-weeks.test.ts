import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { effectScope, nextTick, type EffectScope } from 'vue';
import type { PractisedOnce } from '#api';
import { fakeBrowser, settle, type FakeBrowser } from '../../../../tests/support/browser';
import { useWeeks } from './use-trends';

const DAY_MS = 86_400_000;
const NOW = new Date('2026-11-26T19:15:00').getTime();
const MIDNIGHT = new Date('2026-11-27T00:00').getTime();
const none = { plannedMs: 0, doneMs: 0, differenceMs: 0 };
let browser: FakeBrowser;
let scope: EffectScope;

const once = (id: string, daysAgo: number, patch: Partial<PractisedOnce> = {}): PractisedOnce => ({
  id,
  kind: 'run',
  beganAtMs: NOW - daysAgo * DAY_MS,
  title: `Class ${id}`,
  planId: `plan-${id}`,
  group: '',
  groupId: null,
  people: [],
  total: none,
  ended: true,
  holds: [],
  breaths: [],
  easyBreaths: [],
  setUp: { ...none, times: 0 },
  entries: { ...none, times: 0 },
  talk: { ...none, times: 0 },
  ...patch,
});
const all = [
  once('a', 2, { group: 'potters', people: ['mara'] }),
  once('b', 20, { group: 'nurses', people: ['odo', 'mara'] }),
  once('c', 70, { group: 'potters', planId: 'plan-a', title: 'Class a' }),
];
const periods = (): [number, number][] =>
  browser.calls.map(({ path }) => {
    const query = new URLSearchParams(path.split('?')[1]);
    return [Number(query.get('from')), Number(query.get('until'))];
  });

beforeEach(() => {
  jest.useFakeTimers({ now: NOW });
  browser = fakeBrowser();
  browser.answer = ({ path }) => {
    const query = new URLSearchParams(path.split('?')[1]);
    const [from, until] = [Number(query.get('from')), Number(query.get('until'))];
    return {
      status: 200,
      body: { unreadable: 0, practised: all.filter(({ beganAtMs }) => beganAtMs >= from && beganAtMs < until) },
    };
  };
  scope = effectScope();
});
afterEach(() => {
  scope.stop();
  jest.useRealTimers();
});
async function opened() {
  const weeks = scope.run(useWeeks)!;
  await settle();
  return weeks;
}
const ids = (weeks: ReturnType<typeof useWeeks>): string[] => weeks.practised.value.map(({ id }) => id);

describe('what was practised over weeks', () => {
  test('whole days up to and with today, and further back when more is asked for', async () => {
    const weeks = await opened();
    // Before the clocks went back, midnight was an hour earlier.
    const summer = 3_600_000;
    expect(periods()).toEqual([[MIDNIGHT - 42 * DAY_MS - summer, MIDNIGHT]]);
    expect(ids(weeks)).toEqual(['b', 'a']);
    weeks.span.value = '13';
    await nextTick();
    await settle();
    expect(periods()[1]).toEqual([MIDNIGHT - 91 * DAY_MS - summer, MIDNIGHT]);
    expect(ids(weeks)).toEqual(['c', 'b', 'a']);
  });

  test('days of one’s own, the last one included; what is wrong with them is told and not asked for', async () => {
    const weeks = await opened();
    weeks.span.value = 'own';
    weeks.fromDay.value = '2026-11-20';
    weeks.untilDay.value = '2026-11-24';
    await nextTick();
    await settle();
    expect(ids(weeks)).toEqual(['a']);
    const before = browser.calls.length;
    weeks.untilDay.value = '2026-11-19';
    await nextTick();
    expect(weeks.range.value.wrong).toBe('The last day comes before the first.');
    weeks.untilDay.value = '';
    await nextTick();
    expect([weeks.range.value.wrong, browser.calls.length]).toEqual(['Both days are needed.', before]);
    weeks.fromDay.value = weeks.untilDay.value = '2026-11-24';
    await nextTick();
    await settle();
    expect([weeks.range.value.wrong, ids(weeks)]).toEqual(['', ['a']]);
  });

  test('by plan, group and person, and what there is to choose from, each once and sorted', async () => {
    const weeks = await opened();
    weeks.span.value = '13';
    await nextTick();
    await settle();
    expect(weeks.plans.value.map(({ value }) => value)).toEqual(['plan-a', 'plan-b']);
    expect(weeks.groups.value.map(({ label }) => label)).toEqual(['nurses', 'potters']);
    expect(weeks.people.value.sort()).toEqual(['mara', 'odo']);
    weeks.filter.value = { ...weeks.filter.value, group: 'potters' };
    expect(ids(weeks)).toEqual(['c', 'a']);
    weeks.filter.value = { ...weeks.filter.value, person: 'mara' };
    expect(ids(weeks)).toEqual(['a']);
  });

  test('an answer to a range that is no longer asked for is left aside', async () => {
    const real = globalThis.fetch;
    const waiting: (() => void)[] = [];
    globalThis.fetch = ((...asks: Parameters<typeof fetch>) =>
      new Promise((give) => waiting.push(() => give(real(...asks))))) as typeof fetch;
    const weeks = scope.run(useWeeks)!;
    weeks.span.value = '13';
    await nextTick();
    waiting[1]!();
    await settle();
    waiting[0]!();
    await settle();
    expect(weeks.all.value?.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  });

  test('trouble is told, and trying again takes it away', async () => {
    const { answer } = browser;
    browser.answer = () => 'unreachable';
    const weeks = await opened();
    expect([weeks.trouble.value, weeks.all.value]).toEqual(['The server cannot be reached.', undefined]);
    browser.answer = answer;
    await weeks.load();
    expect([weeks.trouble.value, ids(weeks)]).toEqual(['', ['b', 'a']]);
  });
});
