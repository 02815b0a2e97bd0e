/// <reference lib="dom" />
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type Page } from '@playwright/test';
import sqlite3 from 'sqlite3';
import { PLAN_VERSION } from '#core/plan';
import { serve } from '../../bench/serve';
import { check } from './accessible';
import { newPlan } from './support';

const PASSPHRASE = 'herring under the quay';

/** Another site on this machine: one page that does what it is told. */
async function anotherSite(page: string) {
  const site = createServer((_request, response) => response.setHeader('content-type', 'text/html').end(page));
  site.listen(0, '127.0.0.1');
  await once(site, 'listening');
  return { port: (site.address() as AddressInfo).port, close: () => site.close() };
}

test('a page of another site, whose name was made to point here, reads nothing and changes nothing', async ({
  baseURL,
  request,
}, { project }) => {
  const { port } = new URL(baseURL!);
  const { id } = await newPlan(request, 'restorative', { title: 'Not to be touched' });
  await request.delete(`/api/v1/plans/${id}`);
  const site = await anotherSite('<title>Tides</title>');
  const { launchOptions } = project.use;
  const browser = await chromium.launch({
    ...launchOptions,
    args: [...(launchOptions?.args ?? []), '--host-resolver-rules=MAP *.example 127.0.0.1'],
  });
  try {
    const page = await browser.newPage();
    // As after the name was pointed elsewhere: the page and we have one origin in the eyes of the browser.
    const rebound = `http://tides.example:${port}`;
    const answer = await page.goto(`${rebound}/api/v1/people`);
    expect(answer?.status()).toBe(421);
    await expect(page.getByText('Harrowgate')).toHaveCount(0);
    expect(
      await page.evaluate(async () => {
        const ask = async (path: string, init?: RequestInit) => (await fetch(path, init)).status;
        const body = JSON.stringify({ passphrase: 'now it is my own house', minutes: 1 });
        const headers = { 'content-type': 'application/json' };
        return [
          await ask('/api/v1/plans'),
          await ask('/'),
          await ask('/api/v1/lock', { method: 'PUT', headers, body }),
        ];
      }),
    ).toEqual([421, 421, 421]);

    // And like every other site, which can send forms and simple requests without asking first.
    await page.goto(`http://tides.example:${site.port}/`);
    await page.evaluate(
      async ([at, plan]) => {
        const quietly = { method: 'POST', mode: 'no-cors' } as const;
        await fetch(`${at}/api/v1/bin/plan/${plan}/restore`, quietly).catch(() => undefined);
        const planted = JSON.stringify({ id: 'planted', document: {} });
        await fetch(`${at}/api/v1/plans`, { ...quietly, body: planted }).catch(() => undefined);
        const form = Object.assign(document.createElement('form'), {
          method: 'post',
          action: `${at}/api/v1/bin/plan/${plan}/restore`,
        });
        document.body.append(form);
        form.submit();
      },
      [baseURL!, id],
    );
    await expect(page.getByText('Another site may not change anything here.')).toBeVisible();
  } finally {
    await browser.close();
    site.close();
  }
  expect((await request.get(`/api/v1/plans/${id}`)).status()).toBe(404);
  expect((await (await request.get('/api/v1/lock')).json()).set).toBe(false);
});

/** A server of its own, with the demo data and a passphrase that was typed in this page. */
async function withLock(page: Page, port: number, work: (url: string, file: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-guarded-'));
  const file = join(folder, 'guarded.sqlite');
  const { url, stop } = await serve(port, file);
  try {
    await page.request.put(`${url}/api/v1/lock`, { data: { passphrase: PASSPHRASE, minutes: 10 } });
    await work(url, file);
  } finally {
    stop();
    rmSync(folder, { recursive: true });
  }
}
const lockNow = async (page: Page, url: string): Promise<void> => {
  // In another window of the same browser.
  const other = await page.context().newPage();
  await other.goto(`${url}/settings?group=lock`);
  await other.getByRole('button', { name: 'Lock now' }).click();
  await expect(other.getByRole('heading', { name: 'Locked' })).toBeVisible();
  await other.close();
  await expect(page.getByRole('heading', { name: 'Locked' })).toBeVisible();
};
const unlock = async (page: Page): Promise<void> => {
  await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await page.keyboard.press('Enter');
};

test('locked, no name is left in any page or its hidden parts, and nothing about people can be read in the browser', async ({
  page,
}) => {
  await withLock(page, 4796, async (url) => {
    await page.goto(`${url}/people`);
    await page.getByRole('link', { name: 'Ines Harrowgate' }).click();
    // The line is lost: what is typed cannot be sent.
    await page.route('**/api/v1/people/**', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
    const note = page.getByRole('textbox', { name: 'Note', exact: true }).first();
    await note.fill('a very tired thyroid');
    await page.keyboard.press('Tab');
    const inStorage = () => page.evaluate(() => JSON.stringify({ ...localStorage, ...sessionStorage }));
    await expect.poll(inStorage).toContain('zovrin.draft.person.');
    expect(await inStorage()).not.toContain('thyroid');

    await lockNow(page, url);
    const everything = await page.content();
    for (const word of ['Harrowgate', 'Ines', 'thyroid']) {
      expect([word, everything.includes(word), (await inStorage()).includes(word)]).toEqual([word, false, false]);
    }
    for (const path of ['/api/v1/people', '/api/v1/runs', '/api/v1/practised', '/api/v1/journal', '/api/v1/unreadable'])
      expect([path, (await page.request.get(url + path)).status()]).toEqual([path, 423]);

    await page.unroute('**/api/v1/people/**');
    await unlock(page);
    await expect(note).toHaveValue('a very tired thyroid');
    await expect.poll(inStorage).not.toContain('zovrin.draft.person.');
  });
});

test('locked on any page: the page is gone with its dialogs, and what was being typed is kept', async ({ page }) => {
  await withLock(page, 4797, async (url) => {
    await page.goto(`${url}/plans/demo-nurses`);
    await page.getByRole('listbox', { name: 'Steps' }).getByRole('option').first().click();
    const name = page.getByRole('complementary').getByRole('textbox').first();
    await name.fill('Arrive and settle');
    await lockNow(page, url);
    await expect(page.getByRole('listbox')).toHaveCount(0);
    await check(page);
    await unlock(page);
    await expect(page.getByRole('listbox', { name: 'Steps' })).toContainText('Arrive and settle');
  });
});

test('a row that cannot be read is said on every page, can be kept as a file and put into the bin', async ({
  page,
}) => {
  await withLock(page, 4798, async (url, file) => {
    const database = new sqlite3.Database(file);
    const run = (sql: string) => new Promise<void>((done, fail) => database.exec(sql, (e) => (e ? fail(e) : done())));
    await run(
      `UPDATE plans SET document = replace(document, '"version":${PLAN_VERSION}', '"version":99') WHERE id = 'demo-nurses'`,
    );
    await new Promise<void>((done) => database.close(() => done()));
    await page.goto(url);
    await expect(page.getByRole('heading', { name: 'Plans' })).toBeVisible();
    const bar = page.getByRole('status').filter({ hasText: '1 item cannot be opened.' });
    await expect(bar).toBeVisible();
    await page.getByRole('link', { name: 'See what can be done' }).click();
    const row = page.getByRole('row').filter({ hasText: 'Before the night shift' });
    await expect(row).toContainText('version 99');
    await check(page);
    for (const width of [1280, 820, 390, 320]) {
      await page.setViewportSize({ width, height: 800 });
      const over = () => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
      await expect.poll(over, { message: `at ${width}` }).toBe(0);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      row.getByRole('link', { name: /^Download/ }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('plan.txt');
    await row.getByRole('button', { name: /^Delete/ }).click();
    await expect(page.getByText('Everything that is stored can be opened.')).toBeVisible();
    await expect(bar).toBeHidden();
    await page.getByRole('link', { name: 'Bin' }).last().click();
    await expect(page.getByText('Before the night shift')).toBeVisible();
  });
});
