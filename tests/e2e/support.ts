import { expect, type APIRequestContext, type Locator, type Page, type Request } from '@playwright/test';
import { TEMPLATES } from '#library';
import type { Plan } from '#core/plan';
import type { RunEvent } from '#core/run';
import { ListRunsResponse, PLANS, type StoredPlan, StoredRun } from '#api';

/** A plan of its own for a test, from a template. */
export async function newPlan(
  request: APIRequestContext,
  template: string,
  patch: Partial<Plan> = {},
): Promise<StoredPlan> {
  const found = TEMPLATES.find(({ id }) => id === template);
  if (!found) throw new Error(`no template ${template}`);
  const answer = await request.post('/api/v1/plans', { data: { document: { ...found.plan, ...patch } } });
  expect(answer.status()).toBe(201);
  return PLANS.stored.parse(await answer.json());
}

export const storedPlan = async (request: APIRequestContext, id: string): Promise<StoredPlan> =>
  PLANS.stored.parse(await (await request.get(`/api/v1/plans/${id}`)).json());

/** The sessions of a plan, the latest first. */
const runsOf = async (request: APIRequestContext, planId: string) =>
  ListRunsResponse.parse(await (await request.get(`/api/v1/runs?planId=${planId}`)).json()).items;

/** Deletes the sessions of a plan in which the clock jumped: other tests look at how long things usually take. */
export async function deleteRuns(request: APIRequestContext, planId: string): Promise<void> {
  for (const { id } of await runsOf(request, planId)) await request.delete(`/api/v1/runs/${id}`);
}

/** The events of the latest session of a plan, as the server has them; none if there is no session. */
export async function eventsOf(request: APIRequestContext, planId: string): Promise<RunEvent[]> {
  const [latest] = await runsOf(request, planId);
  return latest ? StoredRun.parse(await (await request.get(`/api/v1/runs/${latest.id}`)).json()).events : [];
}

/**
 * So much before a moment the clock runs again as it does for people: whole ticks, so that the last is at the moment.
 */
const LAST_MS = 2000;

/**
 * Lets so many milliseconds pass on the fake clock: a jump, in which what was due happens once, and then the last of it
 * tick by tick. A session asks the clock, so it is where it would be.
 */
export async function passMs(page: Page, ms: number): Promise<void> {
  const jump = Math.max(0, ms - LAST_MS);
  if (jump > 0) await page.clock.fastForward(jump);
  await page.clock.runFor(ms - jump);
}

/** Chooses something of a list that opens. */
export async function choose(list: Locator, option: string | RegExp): Promise<void> {
  await list.click();
  const opened = list.page().locator(`[id="${await list.getAttribute('aria-controls')}"]`);
  await opened.getByRole('option', { name: option, exact: true }).click();
}

/** Opens a part of the selected step in the inspector. */
export const openTab = (page: Page, name: 'Hold' | 'Breath' | 'Props' | 'Cues' | 'Cautions' | 'About') =>
  page.getByRole('tab', { name: new RegExp(`^${name}`) }).click();

export const rows = (page: Page) => page.getByRole('listbox', { name: 'Steps' }).getByRole('option');
export const rowNames = (page: Page) => page.locator('[role=option] .name').allInnerTexts();
export const total = (page: Page) => page.getByLabel('Total', { exact: true });
export const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible();

export async function openPlan(page: Page, id: string): Promise<void> {
  await page.goto(`/plans/${id}`);
  await expect(page.getByRole('listbox', { name: 'Steps' })).toBeVisible();
}

/** The script of a thread: a page that is left ends its threads, and Chromium never says how a script ended that was still on its way. */
const OF_THREAD = /\/assets\/(?:drawing|measuring|solver|ticker)-(?!thread)[^/]*\.js$/;

/**
 * Goes to a page of the interface as a link would, without loading everything anew: it is there when its address is,
 * and nothing is asked of the server any more.
 */
export function walker(page: Page): (path: string) => Promise<void> {
  const pending = new Set<Request>();
  page.on('request', (request) => {
    if (!OF_THREAD.test(request.url())) pending.add(request);
  });
  for (const event of ['requestfinished', 'requestfailed'] as const)
    page.on(event as 'requestfinished', (request) => pending.delete(request));
  const shown = (): Promise<string> => page.evaluate(() => location.pathname + location.search);
  return async (path) => {
    await page.evaluate((to) => {
      const position = ((history.state as { position?: number } | null)?.position ?? 0) + 1;
      history.pushState({ position }, '', to);
      dispatchEvent(new PopStateEvent('popstate', { state: history.state }));
    }, path);
    await expect.poll(shown).toBe(path);
    // Twice in a row, with what was drawn in between: an answer may lead to the next question.
    let quiet = 0;
    await expect
      .poll(async () => {
        await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
        quiet = pending.size === 0 ? quiet + 1 : 0;
        // What is still asked for is named where it never ends.
        return quiet >= 2 ? [] : [path, ...[...pending].map((request) => request.url())];
      })
      .toEqual([]);
  };
}

/** Saves the open plan as a file. */
export async function savePlan(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Download', exact: true }).click();
}
