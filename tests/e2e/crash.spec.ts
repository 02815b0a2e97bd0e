import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { emptyPlan, talkStep } from '#core/plan';
import { PLANS } from '#api';
import { rows, saved, total } from './support';

const PORT = 4801;
const URL = `http://127.0.0.1:${PORT}`;

/** A server of this test's own, so that it can be killed. */
async function serve(database: string, ...flags: string[]): Promise<ChildProcess> {
  const server = spawn('node', ['dist/server/main.js', ...flags], {
    env: { ...process.env, PORT: String(PORT), ZOVRIN_DATABASE: database },
    stdio: 'pipe',
  });
  await new Promise<void>((ready, failed) => {
    server.stdout.on('data', (text: Buffer) => text.includes('Zovrin is at') && ready());
    server.once('exit', (code) => failed(new Error(`the server ended with ${code}`)));
  });
  return server;
}
async function kill(server: ChildProcess): Promise<void> {
  const gone = new Promise((done) => server.once('exit', done));
  server.kill('SIGKILL');
  await gone;
}

test.describe.configure({ mode: 'serial' });
let folder: string;
test.beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-crash-'));
});
test.afterAll(() => rmSync(folder, { recursive: true }));

test('kill -9 while saves are under way: no acknowledged save is lost, and the database opens clean', async () => {
  const database = join(folder, 'hammer.sqlite');
  let server = await serve(database);
  const plan = { ...emptyPlan('No 1'), steps: [talkStep('t')] };
  await fetch(`${URL}/api/v1/plans`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: 'p', document: plan }),
  });
  let acknowledged = 1;
  for (let round = 0; round < 5; round++) {
    const until = acknowledged + 6 + round * 5;
    const hammering = (async () => {
      for (;;) {
        const document = { ...plan, title: `No ${acknowledged + 1}` };
        const answer = await fetch(`${URL}/api/v1/plans/p`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ revision: acknowledged, document }),
        }).catch(() => undefined);
        if (!answer) return;
        expect(answer.status).toBe(200);
        acknowledged++;
        if (acknowledged === until) void kill(server);
      }
    })();
    await hammering;
    server = await serve(database);
    const stored = PLANS.stored.parse(await (await fetch(`${URL}/api/v1/plans/p`)).json());
    expect(stored.document.title).toBe(`No ${stored.revision}`);
    // The save under way when it was killed may have been stored without an answer; none that was answered is missing.
    expect(stored.revision - acknowledged === 0 || stored.revision - acknowledged === 1).toBe(true);
    acknowledged = stored.revision;
  }
  await kill(server);
});

test('kill -9 during autosave, seen from the planner: what was typed is there when the server is back', async ({
  page,
}) => {
  const database = join(folder, 'planner.sqlite');
  let server = await serve(database);
  const plan = { ...emptyPlan('Interrupted'), steps: [talkStep('t', 'Arrive', 60), talkStep('u', 'Close', 60)] };
  await fetch(`${URL}/api/v1/plans`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: 'p', document: plan }),
  });
  await page.goto(`${URL}/plans/p`);
  await rows(page).first().click();
  const field = page.getByRole('complementary').getByLabel('Talk', { exact: true });
  await field.fill('3:00');
  await page.keyboard.press('Enter');
  await saved(page);
  await field.fill('4:00');
  const sent = page.waitForRequest((request) => request.method() === 'PUT');
  await page.keyboard.press('Enter');
  await sent;
  await kill(server);
  await field.fill('5:00');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Not saved yet' })).toBeVisible({ timeout: 15_000 });
  server = await serve(database);
  await page.reload();
  await expect(total(page)).toContainText('6:00');
  await saved(page);
  const stored = PLANS.stored.parse(await (await fetch(`${URL}/api/v1/plans/p`)).json());
  expect(stored.document.steps[0]).toMatchObject({ seconds: 300 });
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await kill(server);
});

test('kill -9 at any moment of the first start: the next start is whole, with all of the demo data or none before it', async () => {
  const counts: number[] = [];
  for (const afterMs of [20, 60, 100, 140, 180, 220, 260, 300, 360, 420, 500, 600]) {
    const database = join(folder, `first-${afterMs}.sqlite`);
    const killed = spawn('node', ['dist/server/main.js', '--demo'], {
      env: { ...process.env, PORT: String(PORT), ZOVRIN_DATABASE: database },
      stdio: 'ignore',
    });
    const gone = new Promise((done) => killed.once('exit', done));
    // Where in its start the kill meets it is what is varied; nothing is waited for.
    setTimeout(() => killed.kill('SIGKILL'), afterMs);
    await gone;
    const server = await serve(database, '--demo');
    const { total: plans } = (await (await fetch(`${URL}/api/v1/plans`)).json()) as { total: number };
    counts.push(plans);
    await kill(server);
  }
  expect(new Set(counts).size).toBe(1);
  expect(counts[0]).toBeGreaterThan(3);
});
