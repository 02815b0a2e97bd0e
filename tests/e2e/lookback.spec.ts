import { expect, test } from '@playwright/test';
import { eventsOf, newPlan } from './support';

const WIDTHS = [1280, 1024, 820, 390];

test('the order of a session’s steps can be chosen at any width', async ({ page }) => {
  await page.goto('/history/demo-run-nurses');
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 900 });
    for (const name of ['order of the plan', 'largest difference first']) {
      await page.getByRole('radio', { name }).click();
      await expect(page.getByRole('radio', { name })).toBeChecked();
    }
  }
});

test('a session under way is shown on every page with the way back, one of yesterday with its end; it does not resume by itself', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin', { title: `Left running ${Date.now()}` });
  const begin = async (run: string, atMs: number): Promise<void> => {
    await request.post('/api/v1/runs', { data: { id: run, planId: id, planRevision: 1 } });
    const event = { id: `event-${run}`, atMs, kind: 'started', window: 'tablet tab' };
    await request.post(`/api/v1/runs/${run}/events`, { data: { events: [event] } });
  };
  const yesterday = Date.now() - 24 * 3_600_000;
  await begin(`old-${id}`.slice(0, 60), yesterday);
  await page.goto('/library');
  const bar = page.getByRole('status').filter({ hasText: 'never ended' });
  // Another test may have left one running later: then this one is among the others.
  await page.goto(`/teach/${id}`);
  await expect(page.getByRole('button', { name: 'Begin' }).first()).toBeVisible();
  await begin(`now-${id}`.slice(0, 60), Date.now() + 1000);
  await page.goto('/people');
  const underWay = page.getByRole('status').filter({ hasText: 'is under way' });
  await expect(underWay).toContainText('Left running');
  await expect(bar).toBeHidden();
  await underWay.getByRole('link', { name: 'Back to the session' }).click();
  await expect(page).toHaveURL(new RegExp(`/teach/${id}$`));
  expect((await eventsOf(request, id)).map(({ kind }) => kind)).not.toContain('ended');
});
