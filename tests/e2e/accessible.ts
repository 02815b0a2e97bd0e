/// <reference lib="dom" />
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** What is wrong on the page, however little: with all rules and the size of targets, or with some rules. */
export async function findings(page: Page, rules?: string[]): Promise<unknown[]> {
  // The paths inside a figure have nothing to find; only what is wrong is gathered, in one piece (there are no frames),
  // which takes a third of the time.
  const builder = new AxeBuilder({ page })
    .exclude('.figure-view g')
    .options({ resultTypes: ['violations'], preload: false, rules: { 'target-size': { enabled: true } } })
    .setLegacyMode(true);
  const { violations } = await (rules ? builder.withRules(rules) : builder).analyze();
  return violations.map(({ id, nodes }) => [
    id,
    nodes.slice(0, 3).map(({ html, failureSummary }) => `${html} ${failureSummary}`),
  ]);
}
const inTheme = async (page: Page, colorScheme: 'light' | 'dark'): Promise<void> => {
  await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
  await expect(page.locator('html')).toHaveClass(colorScheme === 'dark' ? /night/ : /^(?!.*night)/);
};
/** No finding of the automatic check; at night only the colours are others than by day. */
export async function check(page: Page): Promise<void> {
  expect(await findings(page)).toEqual([]);
  // The teaching screen is always dark.
  if (await page.evaluate(() => document.documentElement.classList.contains('night'))) return;
  await inTheme(page, 'dark');
  expect(await findings(page, ['color-contrast'])).toEqual([]);
  await inTheme(page, 'light');
}
