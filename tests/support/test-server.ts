import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach } from '@jest/globals';
import request from 'supertest';
import { createApp } from '../../server/app';
import { emptyBin } from '../../server/routes/bin';
import { openStore, type Store } from '../../server/store/store';

export const DAY = 24 * 3600 * 1000;

const START_MS = 1_790_000_000_000;

/**
 * A server with a database of its own for each test of a file, and a clock that stands still until it is set. What
 * `prepare` stores is stored once, and every test begins with a copy of it.
 */
export function testServer(prepare?: (store: Store) => Promise<unknown>) {
  let prepared: string | undefined;
  const server = {
    folder: '',
    file: '',
    store: undefined as unknown as Store,
    /** Milliseconds since 1970 UTC. */
    clock: 0,
    /** What the server has logged: faults nobody foresaw. */
    logged: [] as unknown[],
    /** Lets days pass in which the server is on: each of them the bin is looked through. */
    async days(count: number): Promise<void> {
      for (let day = 0; day < count; day++) {
        server.clock += DAY;
        await emptyBin(server.store);
      }
    },
    api: () => request(createApp(server.store, { log: (error) => server.logged.push(error) })),
  };
  if (prepare) {
    beforeAll(async () => {
      prepared = join(mkdtempSync(join(tmpdir(), 'zovrin-')), 'prepared.sqlite');
      const store = await openStore(prepared, () => START_MS);
      await prepare(store);
      await store.close();
    });
    afterAll(() => rmSync(dirname(prepared!), { recursive: true }));
  }
  beforeEach(async () => {
    server.folder = mkdtempSync(join(tmpdir(), 'zovrin-'));
    server.file = join(server.folder, 'test.sqlite');
    server.clock = START_MS;
    server.logged = [];
    if (prepared !== undefined) copyFileSync(prepared, server.file);
    server.store = await openStore(server.file, () => server.clock);
  });
  afterEach(async () => {
    await server.store.close();
    rmSync(server.folder, { recursive: true });
  });
  return server;
}
