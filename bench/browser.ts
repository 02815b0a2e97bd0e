/// <reference lib="dom" />
import { gzipSync } from 'node:zlib';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import config from '../playwright.config';
import { benchBells } from './bells';
import { longPlan } from './compile';
import { benchFigures } from './figures';
import { msFigure, percentile, type Figure } from './measure';
import { benchMatrix } from './matrix';
import { serve } from './serve';

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

/** Milliseconds from showing the library's grid (its figures already here) until all of it is painted. */
async function drawGrid(page: Page, url: string): Promise<number> {
  await page.goto(`${url}/library`);
  await page.locator('.card .figure-view path').first().waitFor();
  const times: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.getByRole('link', { name: 'History' }).click();
    await page.getByRole('heading', { name: 'History' }).waitFor();
    times.push(
      await page.evaluate(async () => {
        const from = performance.now();
        document.querySelector<HTMLElement>('a[href="/library"]')?.click();
        while (document.querySelectorAll('.card .figure-view g path').length < 60 * 8) {
          await new Promise(requestAnimationFrame);
        }
        await new Promise(requestAnimationFrame);
        await new Promise((painted) => setTimeout(painted));
        return performance.now() - from;
      }),
    );
  }
  return percentile(times, 0.5);
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
    const scripts: Promise<number>[] = [];
    // Compressed here: on the same machine the server sends it as it is.
    page.on('response', (response) => {
      if (response.request().resourceType() === 'script' && response.ok())
        scripts.push(response.body().then((body) => gzipSync(body).length));
    });
    const from = performance.now();
    await page.goto(url);
    await page.getByRole('heading', { name: 'Plans', exact: true }).waitFor();
    await page
      .getByRole('link', { name: /Hips and hands/ })
      .first()
      .waitFor();
    const usable = performance.now() - from;
    await page.waitForLoadState('networkidle');
    const kilobytes = (await Promise.all(scripts)).reduce((sum, size) => sum + size, 0) / 1024;
    const times = await redraws(page, url);
    const grid = await drawGrid(page, url);
    const figures = await benchFigures(page, url);
    const matrix = await benchMatrix(page, url);
    const bells = await benchBells(browser, url);
    return [
      {
        what: 'first page, compressed script',
        figure: `${kilobytes.toFixed(0)} KB`,
        bar: '< 300 KB',
        ok: kilobytes < 300,
      },
      msFigure('first page, usable', usable, 1500),
      msFigure(`an edit to the ribbon redrawn, 40 steps, 95th percentile of ${EDITS}`, percentile(times, 0.95), 50),
      { what: 'the same, median', figure: `${percentile(times, 0.5).toFixed(1)} ms`, bar: '', ok: true },
      msFigure('the library’s grid of figures drawn, from a click until painted', grid, 300),
      ...figures,
      ...matrix,
      ...bells,
    ];
  } finally {
    await browser.close();
    stop();
    rmSync(folder, { recursive: true });
  }
}
