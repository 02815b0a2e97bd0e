/// <reference lib="dom" />
import { gzipSync } from 'node:zlib';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { POSITIONS } from '#library';
import config from '../playwright.config';
import { benchBells } from './bells';
import { longPlan } from './compile';
import { benchFigures } from './figures';
import { msFigure, percentile, type Figure } from './measure';
import { benchMatrix } from './matrix';
import { serve } from './serve';
import { benchSound } from './sound';

const EDITS = 60;

/** Time from an edit of a hold to the ribbon painted again, for a plan of 40 steps, in milliseconds. */
async function redraws(page: Page, url: string): Promise<number[]> {
  await page.goto(`${url}/plans/bench`);
  await page.locator('[role=option]').nth(1).click();
  return page.evaluate(async (edits) => {
    const field = [...document.querySelectorAll('aside input')].find((input) =>
      /^\d+:\d\d$/.test((input as HTMLInputElement).value),
    ) as HTMLInputElement;
    const times: number[] = [];
    for (let i = 0; i < edits; i++) {
      const before = document.querySelector('.timeline path.r-both')?.getAttribute('d');
      field.value = `${3 + (i % 3)}:${String((i * 7) % 60).padStart(2, '0')}`;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      const from = performance.now();
      field.dispatchEvent(new Event('change', { bubbles: true }));
      await new Promise(requestAnimationFrame);
      await new Promise((painted) => setTimeout(painted));
      times.push(performance.now() - from);
      if (document.querySelector('.timeline path.r-both')?.getAttribute('d') === before)
        throw new Error('The ribbon did not change.');
    }
    return times;
  }, EDITS);
}

/** A desk shows so many figures before it is scrolled. */
const SCREEN_OF_FIGURES = 12;

/** Milliseconds from showing the library's grid (its figures already here) until so many of them are painted. */
async function drawGrid(page: Page, url: string, figures: number): Promise<number> {
  await page.goto(`${url}/library`);
  await page.locator('.card .figure-view g path').first().waitFor({ state: 'attached' });
  const times: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.getByRole('link', { name: 'History' }).click();
    await page.getByRole('heading', { name: 'History' }).waitFor();
    times.push(
      await page.evaluate(async (wanted) => {
        const from = performance.now();
        document.querySelector<HTMLElement>('a[href="/library"]')?.click();
        while (document.querySelectorAll('.card .figure-view:has(g path)').length < wanted) {
          await new Promise(requestAnimationFrame);
        }
        await new Promise(requestAnimationFrame);
        await new Promise((painted) => setTimeout(painted));
        return performance.now() - from;
      }, figures),
    );
  }
  return percentile(times, 0.5);
}

/**
 * The first page, as someone sees it who was never here: how much compressed script is asked for before its plans can
 * be opened, how much in all, and when that is. Kilobytes of 1024, milliseconds from the address being entered.
 */
async function firstPage(page: Page, url: string): Promise<{ kilobytes: number; inAll: number; usableMs: number }> {
  const sizes = new Map<string, Promise<number>>();
  // Compressed here: on the same machine the server sends it as it is.
  page.on('response', (response) => {
    if (response.request().resourceType() === 'script' && response.ok())
      sizes.set(
        response.url(),
        response.body().then((body) => gzipSync(body).length / 1024),
      );
  });
  await page.addInitScript(() => {
    new MutationObserver((_, observer) => {
      if (!document.querySelector('ul a[href^="/plans/"]')) return;
      performance.mark('usable');
      observer.disconnect();
    }).observe(document, { childList: true, subtree: true });
  });
  await page.goto(url);
  await page
    .getByRole('link', { name: /Hips and hands/ })
    .first()
    .waitFor();
  await page.waitForLoadState('networkidle');
  const { usableMs, needed } = await page.evaluate(() => {
    const at = performance.getEntriesByName('usable')[0]?.startTime ?? Infinity;
    const scripts = performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('.js'));
    return { usableMs: at, needed: scripts.filter(({ startTime }) => startTime < at).map(({ name }) => name) };
  });
  let [kilobytes, inAll] = [0, 0];
  for (const [name, size] of sizes) {
    inAll += await size;
    if (needed.includes(name)) kilobytes += await size;
  }
  return { kilobytes, inAll, usableMs };
}

/**
 * The first page: script over the wire, and until it can be used; redrawing the ribbon; the library's grid; figures in
 * their worker. Needs a build in dist/.
 */
export async function benchBrowser(): Promise<Figure[]> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'));
  const { url, stop } = await serve(4803, join(folder, 'bench.sqlite'));
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const document = longPlan(40);
    await fetch(`${url}/api/v1/plans`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: 'bench', document }),
    });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const first = await firstPage(page, url);
    const times = await redraws(page, url);
    const screen = await drawGrid(page, url, SCREEN_OF_FIGURES);
    const grid = await drawGrid(page, url, POSITIONS.length);
    const figures = await benchFigures(page, url);
    const matrix = await benchMatrix(page, url);
    const bells = await benchBells(browser, url);
    const sound = await benchSound(browser, url);
    return [
      {
        what: 'first page, compressed script asked for before it can be used',
        figure: `${first.kilobytes.toFixed(0)} KB`,
        bar: '<= 220 KB',
        ok: first.kilobytes <= 220,
      },
      { what: 'the same with all that comes after it', figure: `${first.inAll.toFixed(0)} KB`, bar: '', ok: true },
      msFigure('first page, usable', first.usableMs, 1000),
      msFigure(`an edit to the ribbon redrawn, 40 steps, 95th percentile of ${EDITS}`, percentile(times, 0.95), 33),
      { what: 'the same, median', figure: `${percentile(times, 0.5).toFixed(1)} ms`, bar: '', ok: true },
      msFigure('the library’s first screen of figures, from a click until painted', screen, 300),
      msFigure('the library’s whole grid of figures, the same', grid, 300),
      ...figures,
      ...matrix,
      ...bells,
      ...sound,
    ];
  } finally {
    await browser.close();
    stop();
    rmSync(folder, { recursive: true });
  }
}
