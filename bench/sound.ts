import type { Browser } from '@playwright/test';
import { compileTimeline } from '#core/timeline';
import type { Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import { longPlan } from './compile';
import { msFigure, type Figure } from './measure';

const NINETY_MINUTES_MS = 90 * 60_000;
const BAR_MS = 10_000;
const BAR_MB = 20;

/** The shortest of the long plans that lasts ninety minutes: holds, bells, and breath practices with their tones. */
function ninetyMinutes(): Plan {
  for (let steps = 5; ; steps++) {
    const plan = longPlan(steps);
    if (compileTimeline(plan, builtInLibrary).totals.totalMs >= NINETY_MINUTES_MS) return plan;
  }
}

/** Ninety minutes of bells, tones and counts as a sound file, from pressing the button until it can be heard. */
export async function benchSound(browser: Browser, url: string): Promise<Figure[]> {
  const page = await (await browser.newContext()).newPage();
  const plan = ninetyMinutes();
  const made = await page.request.post(`${url}/api/v1/plans`, { data: { document: plan } });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${url}/plans/${id}`);
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('radio', { name: 'Sound' }).check();
  await page.getByRole('checkbox', { name: 'A tick for every count' }).check();
  const from = performance.now();
  await page.getByRole('button', { name: 'Make the sound file' }).click();
  const ready = page.getByText(/^The file is ready/);
  await ready.waitFor({ timeout: 120_000 });
  const ms = performance.now() - from;
  const mb = Number(/([\d.]+) MB/.exec((await ready.textContent()) ?? '')?.[1]);
  await page.context().close();
  const minutes = Math.round(compileTimeline(plan, builtInLibrary).totals.totalMs / 60_000);
  return [
    msFigure(`a sound file of ${minutes} minutes, with every count`, ms, BAR_MS),
    { what: 'its size', figure: `${mb} MB`, bar: `< ${BAR_MB} MB`, ok: mb < BAR_MB },
  ];
}
