/// <reference lib="dom" />
import { expect, test, type Page } from '@playwright/test';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary } from '#library';
import { eventsOf, newPlan, passMs } from './support';

/** What can go wrong while a session is led: none of it stops the session, and each says what it does. */

const BEGIN = new Date('2026-11-26T18:00:00Z');
const HOUR = 3_600_000;
const time = (page: Page) => page.getByRole('timer');
const pass = (page: Page, seconds: number): Promise<void> => passMs(page, seconds * 1000);
async function teach(page: Page, id: string, begin = BEGIN): Promise<void> {
  await page.clock.install({ time: begin });
  await page.goto(`/teach/${id}`);
  await expect(page.locator('button.begin')).toBeVisible();
  await page.clock.pauseAt(begin.getTime() + 60_000);
  await page.locator('button.begin').click();
}

test('the database is locked by another program: it is said, and every event arrives once it is free', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'yin');
  await teach(page, id);
  await pass(page, 5);
  const detail = 'Another program is using the database. Keep this and send it again.';
  await page.route('**/api/v1/runs/*/events', (route) =>
    route.fulfill({
      status: 503,
      contentType: 'application/problem+json',
      body: JSON.stringify({ type: 'about:blank', title: 'Database busy', status: 503, detail }),
    }),
  );
  await page.keyboard.press('+');
  await pass(page, 3);
  await expect(page.getByText(/Another program is using the database.*kept here and sent later/)).toBeVisible();
  await page.keyboard.press('+');
  await expect(time(page)).toHaveText(/2:5\d/);
  await page.unrouteAll();
  await expect
    .poll(async () => {
      await page.clock.runFor(1000);
      return (await eventsOf(request, id)).map(({ kind }) => kind);
    })
    .toEqual(['started', 'led', 'stretched', 'stretched']);
  await expect(page.getByText(/Another program/)).toBeHidden();
});

test('the clock of the machine jumps by an hour, ahead and back: the session goes on as it was, also after a reload', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative');
  await teach(page, id);
  await pass(page, 20);
  const before = await time(page).innerText();
  const now = () => page.evaluate(() => Date.now());
  await page.clock.setSystemTime((await now()) + HOUR);
  await page.clock.runFor(400);
  await expect(page.getByText('This computer’s clock was changed ahead by 60:00.')).toBeVisible();
  await expect(page.locator('.side')).toHaveText('Talk');
  await expect(time(page)).toHaveText(before);
  // The time of day is that of the machine, as everyone reads it.
  await expect(page.locator('.clock')).toHaveText('19:01');
  await page.getByRole('button', { name: 'Good' }).click();
  await page.clock.setSystemTime((await now()) - 2 * HOUR);
  await page.clock.runFor(400);
  await expect(page.getByText('was changed back by 2:00:00.')).toBeVisible();
  await expect(page.locator('.side')).toHaveText('Talk');
  await page.reload();
  await expect(page.locator('.side')).toHaveText('Talk');
  await expect(time(page)).toHaveText(/^0:5\d$/);

  // That much really went by: then it counts.
  await page.clock.setSystemTime((await now()) + HOUR);
  await page.clock.runFor(400);
  await page.getByRole('button', { name: 'Count this time' }).click();
  await expect(page.getByText('The plan is over', { exact: true })).toBeVisible();
});

test('after a reload the clock is right within 100 ms', async ({ page, request }) => {
  const { id } = await newPlan(request, 'restorative');
  await teach(page, id);
  // The talk of 1:15 has 60.05 s more.
  await page.clock.runFor(14_950);
  await expect(time(page)).toHaveText('1:01');
  await page.reload();
  await expect(time(page)).toHaveText('1:01');
  await page.clock.runFor(250);
  await expect(time(page)).toHaveText('1:00');
});

test.describe('in the night when summer time ends', () => {
  test.use({ timezoneId: 'Europe/Berlin' });
  test('a late class goes on by the seconds that pass; only the time of day is an hour less', async ({
    page,
    request,
  }) => {
    const { id } = await newPlan(request, 'restorative');
    // 02:59 in summer time; a minute later it is 02:00.
    await teach(page, id, new Date('2026-10-25T00:58:00Z'));
    await expect(page.locator('.clock')).toHaveText('02:59');
    await pass(page, 70);
    await expect(page.locator('.clock')).toHaveText('02:00');
    await expect(page.locator('.side')).toHaveText('Talk');
    await expect(time(page)).toHaveText('0:05');
    await expect(page.getByText('on time')).toBeVisible();
  });
});

test('the audio is blocked until a touch: the light pulses, it is said, and a touch wakes the bell', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative');
  await page.addInitScript(() => {
    let touched = false;
    Object.assign(globalThis, { touch: () => (touched = true) });
    Object.defineProperty(AudioContext.prototype, 'state', { get: () => (touched ? 'running' : 'suspended') });
    AudioContext.prototype.resume = () => (touched ? Promise.resolve() : Promise.reject(new Error('not allowed')));
  });
  await teach(page, id);
  await pass(page, 3);
  const says = page.getByRole('button', { name: 'Bell is silent until you touch the screen' });
  await expect(says).toBeVisible();
  await pass(page, 3);
  await expect(page.locator('.side')).toHaveText('Talk');
  await page.evaluate(() => (globalThis as unknown as { touch: () => void }).touch());
  await says.click();
  await pass(page, 1);
  await expect(says).toBeHidden();
});

test('the wake lock is refused: the session goes on, and says that the screen may go dark', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative');
  await page.addInitScript(() => {
    Object.defineProperty(navigator, 'wakeLock', {
      value: { request: () => Promise.reject(new DOMException('refused', 'NotAllowedError')) },
    });
  });
  await teach(page, id);
  await pass(page, 3);
  await expect(page.getByText('This screen may switch off')).toBeVisible();
  await expect(time(page)).toHaveText('1:12');
});

test('the storage of the browser is full: it is said, events go to the server, and a reload finds the session there', async ({
  page,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative');
  await page.addInitScript(() => {
    const set = Storage.prototype.setItem;
    Storage.prototype.setItem = function (key: string, value: string) {
      if (key.startsWith('zovrin.run.')) throw new DOMException('full', 'QuotaExceededError');
      return set.call(this, key, value);
    };
  });
  await teach(page, id);
  await pass(page, 5);
  await expect(page.getByText('This browser has no room to keep the session')).toBeVisible();
  await page.keyboard.press('+');
  await expect
    .poll(async () => {
      await page.clock.runFor(500);
      return (await eventsOf(request, id)).length;
    })
    .toBe(3);
  await page.reload();
  await expect(page.locator('.side')).toHaveText('Talk');
  await expect(time(page)).toHaveText(/^1:[34]\d$/);
  await page.keyboard.press('Space');
  await expect(page.locator('.side')).toHaveText('Talk, paused');
});

test('two windows cannot both lead: the second follows, takes the lead when told to, and then the first follows', async ({
  page,
  context,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative');
  await page.goto(`/teach/${id}`);
  await page.locator('button.begin').click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  const second = await context.newPage();
  await second.goto(`/teach/${id}`);
  await expect(second.getByText('This one follows, without bells.')).toBeVisible();
  await expect(second.getByRole('button', { name: 'Pause' })).toHaveCount(0);
  await second.keyboard.press('Space');
  await expect(page.locator('.side')).toHaveText('Talk');
  await page.bringToFront();
  await page.keyboard.press('ArrowRight');
  await expect(second.locator('.side')).toHaveText('Set up');

  await second.getByRole('button', { name: 'Take control here' }).click();
  await expect(second.getByRole('button', { name: 'Pause' })).toBeVisible();
  await expect(page.getByText('This one follows, without bells.')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await second.getByRole('button', { name: 'Pause' }).click();
  await expect(page.locator('.side')).toHaveText('Set up, paused');
  // The window that leads is reloaded, and leads again; it is closed, and the other may lead at once.
  await second.reload();
  await expect(second.getByRole('button', { name: 'Resume' })).toBeVisible();
  await second.close();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Resume' })).toBeVisible();
  await expect
    .poll(async () => {
      return (await eventsOf(request, id)).map(({ kind }) => kind);
    })
    .toEqual(['started', 'led', 'jumped', 'led', 'paused', 'led']);
});

test('another device finds the session, follows it, and can take the lead', async ({ page, browser, request }) => {
  const { id } = await newPlan(request, 'restorative');
  await page.goto(`/teach/${id}`);
  await page.locator('button.begin').click();
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('.side')).toHaveText('Set up');
  await expect.poll(async () => (await eventsOf(request, id)).length).toBe(3);
  const tablet = await (await browser.newContext({ viewport: { width: 834, height: 1112 } })).newPage();
  await tablet.goto(`/teach/${id}`);
  await expect(tablet.locator('.side')).toHaveText('Set up');
  await expect(tablet.getByText('This one follows, without bells.')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(tablet.locator('.side')).toHaveText('Set up, paused');
  await tablet.getByRole('button', { name: 'Take control here' }).click();
  await tablet.getByRole('button', { name: 'Resume' }).click();
  await expect(page.getByText('This one follows, without bells.')).toBeVisible({ timeout: 15_000 });
  await expect(page.locator('.side')).toHaveText('Set up');
  await tablet.context().close();
});

test('a phone on the same network sees the session when the teacher allows it, and nothing when not', async ({
  page,
  browser,
  request,
}) => {
  const { id } = await newPlan(request, 'restorative');
  await page.goto(`/teach/${id}`);
  await page.locator('button.begin').click();
  await page.getByRole('button', { name: 'Student display' }).click();
  await page.getByRole('switch', { name: 'Let phones view' }).click();
  const address = page.locator('.address').first();
  const nobody = page.getByText('This computer is not on a network that a phone could reach.');
  await expect(address.or(nobody)).toBeVisible();
  // Where this machine is on no network at all, that is said; the door itself is tested with the server.
  if (await nobody.isVisible()) return;
  const link = await address.innerText();
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(link);
  await expect(phone.locator('.side')).toHaveText('Talk');
  await expect(phone.getByRole('button')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowRight');
  await expect(phone.locator('.side')).toHaveText('Set up');
  await page.getByRole('button', { name: 'Student display' }).click();
  await page.getByRole('switch', { name: 'Let phones view' }).click();
  await expect(phone.getByText('The teacher’s computer cannot be reached.')).toBeVisible({ timeout: 10_000 });
  // Opened again, the old link is worth nothing; the new one works until the session ends.
  await page.getByRole('switch', { name: 'Let phones view' }).click();
  await expect(address).not.toHaveText(link);
  await expect(phone.getByText('This link shows nothing at the moment.')).toBeVisible();
  await phone.goto('about:blank');
  await phone.goto(await address.innerText());
  await expect(phone.locator('.side')).toHaveText('Set up');
  const { items: runs } = await (await request.get(`/api/v1/runs?planId=${id}`)).json();
  const ended = { id: 'ended-by-the-test', atMs: Date.now(), kind: 'ended' };
  await request.post(`/api/v1/runs/${runs[0].id}/events`, { data: { events: [ended] } });
  await expect(phone.getByText('This session is over. Thank you for coming.')).toBeVisible();
  await phone.context().close();
});

test('prompts are spoken where the machine has a voice and it is wanted, and stand on the screen all the same', async ({
  page,
  request,
}) => {
  const { id, document } = await newPlan(request, 'restorative');
  await page.addInitScript(() => {
    const spoken: string[] = [];
    Object.assign(globalThis, { spoken });
    localStorage.setItem('zovrin.speaks', 'true');
    speechSynthesis.speak = (utterance) => void spoken.push(utterance.text);
  });
  await teach(page, id);
  const hold = compileTimeline(document, builtInLibrary).phases.find(({ kind }) => kind === 'hold')!;
  for (let more = hold.startMs + 181_000; more > 0; more -= 40_000) await page.clock.runFor(Math.min(more, 40_000));
  await expect(page.locator('.prompt')).toContainText('Let the thighs lean where they like');
  const spoken = await page.evaluate(() => (globalThis as unknown as { spoken: string[] }).spoken);
  expect(spoken).toEqual(['Let the thighs lean where they like']);
});
