import { expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { promisify } from 'node:util';
import { createApp } from '../server/app';
import { testServer } from '../tests/support/test-server';

const server = testServer();

test('the script makes a plan by the API alone and prints its timeline', async () => {
  const listening = createApp(server.store, { log: () => undefined }).listen(0, '127.0.0.1');
  await once(listening, 'listening');
  const { port } = listening.address() as AddressInfo;
  const script = new URL('./make-a-plan.mjs', import.meta.url).pathname;
  const { stdout } = await promisify(execFile)(process.execPath, [script, `http://127.0.0.1:${port}`]);
  listening.close();
  // 2:00 talk; 0:40 set-up, then 0:20 in, 5:00 and 0:20 out on each side with 0:15 between; 10:00 rest.
  expect(stdout).toContain(', revision 1, ');
  expect(stdout.split('\n')[1]).toMatch(/^ +0:00 to +2:00 +talk +Arrive/);
  expect(stdout).toMatch(/hold +Side-lying rest, right\n(.*\n)+.*hold +Side-lying rest, left/);
  expect((await server.api().get('/api/v1/plans')).body.items).toMatchObject([
    { summary: { title: 'Made by a script' } },
  ]);
});
