import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type BrowserContextOptions, type Page } from '@playwright/test';
import { serve } from '../bench/serve';
import config from '../playwright.config';

/** Takes the pictures in docs/screenshots anew, from the demo data; needs a build. */
const FOLDER = 'docs/screenshots';
const DESK = { width: 1280, height: 800 };

const rows = (page: Page) => page.getByRole('listbox', { name: 'Steps' }).getByRole('option');

/** Opens a plan of the demo data and chooses one of its steps, from 0. */
async function plan(page: Page, url: string, id: string, step: number): Promise<void> {
  await page.goto(`${url}/plans/${id}`);
  await rows(page).nth(step).click();
}

/** Teaches a plan on a clock that stands still, as far as the first phase of a step and some seconds into it. */
async function teach(page: Page, url: string, id: string, heading: string | RegExp, seconds: number): Promise<void> {
  await page.clock.install({ time: new Date('2026-11-26T18:00:00') });
  await page.goto(`${url}/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  for (let i = 0; i < 40 && !(await page.getByRole('heading', { name: heading, level: 1 }).isVisible()); i++) {
    await page.keyboard.press('ArrowRight');
    await page.clock.runFor(200);
  }
  await page.clock.runFor(seconds * 1000);
}

type Shot = (page: Page, url: string) => Promise<void>;

const SHOTS: Record<string, { take: Shot; context?: BrowserContextOptions }> = {
  home: { take: async (page, url) => void (await page.goto(url)) },
  plan: { take: (page, url) => plan(page, url, 'demo-potters', 3) },
  'plan-night': { take: (page, url) => plan(page, url, 'demo-potters', 3), context: { colorScheme: 'dark' } },
  'plan-breath': { take: (page, url) => plan(page, url, 'demo-workshop', 3) },
  'plan-picker': {
    take: async (page, url) => {
      await plan(page, url, 'demo-potters', 2);
      await page.keyboard.press('a');
      await page.keyboard.type('hips');
    },
  },
  teach: { take: (page, url) => teach(page, url, 'demo-nurses', 'Head to knee', 90) },
  'teach-breath': { take: (page, url) => teach(page, url, 'demo-workshop', /^Alternate/, 36.4) },
  'teach-phone': {
    take: (page, url) => teach(page, url, 'demo-nurses', 'Reclined twist', 130),
    context: { viewport: { width: 390, height: 844 } },
  },
  'breath-measured': {
    take: async (page, url) => {
      await page.clock.install({ time: new Date('2026-11-26T18:00:00') });
      await page.goto(`${url}/people/demo-odo`);
      await page.getByRole('button', { name: 'Measure the breath' }).click();
      await page.getByLabel('Without a person').selectOption({ label: 'Short, and strains' });
      await page.getByRole('button', { name: 'Simulate' }).click();
      for (let i = 0; i < 200 && !(await page.getByRole('alert').isVisible()); i++) await page.clock.fastForward(500);
    },
  },
  'plan-props': {
    take: async (page, url) => {
      await plan(page, url, 'demo-nurses', 4);
      const fields = page.getByRole('complementary');
      await fields.getByRole('button', { name: 'how high?' }).first().click();
      await fields.locator('.how-high strong').first().waitFor();
      await fields
        .locator('.how-high')
        .first()
        .evaluate((told) => {
          const panel = told.closest('aside');
          panel?.scrollBy(0, told.getBoundingClientRect().top - panel.getBoundingClientRect().top - 190);
        });
    },
  },
  needs: { take: async (page, url) => void (await page.goto(`${url}/plans/demo-choir/props`)) },
  packing: { take: async (page, url) => void (await page.goto(`${url}/plans/demo-choir/props?view=packing`)) },
  cupboard: { take: async (page, url) => void (await page.goto(`${url}/cupboard/demo-low-room`)) },
  person: { take: async (page, url) => void (await page.goto(`${url}/people/demo-ines`)) },
  house: { take: async (page, url) => void (await page.goto(`${url}/house`)) },
  lookback: { take: async (page, url) => void (await page.goto(`${url}/runs/demo-run-nurses`)) },
  library: { take: async (page, url) => void (await page.goto(`${url}/library`)) },
  'library-entry': { take: async (page, url) => void (await page.goto(`${url}/library/head-to-knee`)) },
  'library-own': {
    take: async (page, url) => {
      await page.goto(`${url}/library/sleeping-swan`);
      await page.getByRole('button', { name: 'Make a copy' }).click();
      await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Swan on the slipway');
      await page.getByRole('button', { name: 'Set its joints' }).click();
      await page.getByRole('slider', { name: 'Knee, bend' }).waitFor();
    },
  },
};

async function take(browser: Browser, url: string, name: string): Promise<void> {
  const shot = SHOTS[name];
  if (!shot) throw new Error(`There is no picture “${name}”.`);
  const context = await browser.newContext({ viewport: DESK, timezoneId: 'Europe/London', ...shot.context });
  const page = await context.newPage();
  await shot.take(page, url);
  await page.waitForLoadState('networkidle');
  // Figures are drawn in a worker and fade in from nothing; two frames are not enough for them.
  await new Promise((drawn) => setTimeout(drawn, 1500));
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  await context.close();
}

const folder = mkdtempSync(join(tmpdir(), 'zovrin-shots-'));
const { url, stop } = await serve(4797, join(folder, 'shots.sqlite'));
const browser = await chromium.launch(config.use?.launchOptions);
try {
  const wanted = process.argv.slice(2);
  for (const name of wanted.length > 0 ? wanted : Object.keys(SHOTS)) await take(browser, url, name);
} finally {
  await browser.close();
  stop();
  rmSync(folder, { recursive: true });
}
