/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { missingOnPaper, onPaper, sheetWith } from '../support/paper';
import { newPlan } from './support';

const MARGINS = { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' };
/** What is between the margins, in pixels of CSS. */
const PAPER = { A4: { width: 703, height: 1032 }, Letter: { width: 725, height: 965 } } as const;

/** The pieces of a sheet as they are printed on a paper, each with how wide it is and how high. */
async function printed(page: Page, format: keyof typeof PAPER, pieces: string) {
  await page.setViewportSize(PAPER[format]);
  await page.emulateMedia({ media: 'print' });
  const found = await page.locator(pieces).evaluateAll((all) =>
    all.map((piece) => ({
      right: piece.getBoundingClientRect().left + piece.scrollWidth,
      height: piece.getBoundingClientRect().height,
      breaks: getComputedStyle(piece).breakInside,
    })),
  );
  await page.emulateMedia({ media: null });
  await page.setViewportSize({ width: 1280, height: 800 });
  return found;
}

for (const format of ['A4', 'Letter'] as const)
  test(`the running order of an hour is one page of ${format}, with every step whole`, async ({ page }) => {
    await page.goto('/plans/demo-nurses/cues?view=order');
    await expect(page.getByRole('row')).toHaveCount(12);
    const sheets = await onPaper(page, { format, margin: MARGINS });
    expect(sheets).toHaveLength(1);
    expect(await missingOnPaper(page, sheets)).toEqual([]);
    for (const words of [
      'Before the night shift',
      'Head to knee',
      '3:30 left',
      'at the change: 2 blocks to the right side',
    ])
      expect([words, sheetWith(sheets, words)]).toEqual([words, 0]);
    for (const { right, height, breaks } of await printed(page, format, 'tbody tr')) {
      expect(right).toBeLessThanOrEqual(PAPER[format].width);
      expect(height).toBeLessThan(PAPER[format].height / 4);
      expect(breaks).toBe('avoid');
    }
  });

test('the running order goes by the clock where the class has one, and says sides, props and prompts', async ({
  page,
  request,
}) => {
  await page.goto('/plans/demo-nurses/cues?view=order');
  const fold = page.getByRole('row').filter({ hasText: 'Head to knee' });
  await expect(fold.getByRole('cell').first()).toHaveText(/^\d{1,2}:\d\d/);
  await expect(fold).toContainText('3:30 left');
  await expect(fold).toContainText('3:30 right');
  await expect(fold).toContainText('at the change: 2 blocks to the right side');
  await expect(fold).toContainText('1:45 Turn the head');
  const { id } = await newPlan(request, 'restorative', { title: 'Without a date', startsAt: null });
  await page.goto(`/plans/${id}/cues?view=order`);
  await expect(page.getByRole('columnheader').first()).toHaveText('From');
  await expect(page.getByRole('row').nth(1).getByRole('cell').first()).toHaveText('0:00');
});

for (const format of ['A4', 'Letter'] as const)
  test(`cue cards are never cut by the end of a page of ${format}`, async ({ page }) => {
    await page.goto('/plans/demo-nurses/cues?view=cards');
    await expect(page.getByRole('heading', { name: 'Head to knee' })).toBeVisible();
    const cards = await printed(page, format, '.sheet ol > li');
    expect(cards).toHaveLength(11);
    for (const { right, height, breaks } of cards) {
      expect(right).toBeLessThanOrEqual(PAPER[format].width);
      expect(height).toBeLessThan(PAPER[format].height / 2);
      expect(breaks).toBe('avoid');
    }
    // Six rows of two cards, at least two rows on a page.
    const sheets = await onPaper(page, { format, margin: MARGINS });
    expect(sheets.length).toBeLessThanOrEqual(3);
    expect(await missingOnPaper(page, sheets)).toEqual([]);
  });

test('a session that is under way elsewhere is not printed on a sheet', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative', { title: 'Left running' });
  const run = `running-${Date.now()}`;
  await request.post('/api/v1/runs', { data: { id: run, planId: id, planRevision: 1 } });
  const events = [{ id: `${run}-started`, atMs: Date.now(), kind: 'started' }];
  await request.post(`/api/v1/runs/${run}/events`, { data: { events } });
  await page.goto('/plans/demo-nurses/cues?view=order');
  await expect(page.getByRole('row').filter({ hasText: 'Head to knee' })).toBeVisible();
  // Whichever session began last: another test may have begun one since.
  await expect(page.getByRole('status').filter({ hasText: 'is under way, since' })).toBeVisible();
  const sheets = await onPaper(page, { format: 'A4', margin: MARGINS });
  expect(sheetWith(sheets, 'Head to knee')).toBe(0);
  expect(sheetWith(sheets, 'is under way, since')).toBe(-1);
  await request.delete(`/api/v1/runs/${run}`);
});

test('a sheet of a plan without steps says how to begin', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative', { title: 'Nothing yet', steps: [] });
  for (const view of ['order', 'cards']) {
    await page.goto(`/plans/${id}/cues?view=${view}`);
    await expect(page.getByRole('link', { name: 'Add the first one' })).toBeVisible();
  }
});
