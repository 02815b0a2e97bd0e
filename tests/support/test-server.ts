import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach } from '@jest/globals';
import request from 'supertest';
import { createApp } from '../../server/app';
import { emptyBin } from '../../server/routes/bin';
import { openStore, type Store } from '../../server/store/store';

export const DAY = 24 * 3600 * 1000;

/** A server with a database of its own for each test of a file, and a clock that stands still until it is set. */
export function testServer() {
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
  beforeEach(async () => {
    server.folder = mkdtempSync(join(tmpdir(), 'zovrin-'));
    server.file = join(server.folder, 'test.sqlite');
    server.clock = 1_790_000_000_000;
    server.logged = [];
    server.store = await openStore(server.file, () => server.clock);
  });
  afterEach(async () => {
    await server.store.close();
    rmSync(server.folder, { recursive: true });
  });
  return server;
}
