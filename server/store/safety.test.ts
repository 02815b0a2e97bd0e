import { describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { emptyPlan } from '#core/plan';
import { newPerson } from '#core/people';
import { DAY, testServer } from '../../tests/support/test-server';
import { loadDemo } from '../demo';
import { emptyBin } from '../routes/bin';
import { BACKUP_DAYS, backupFolder, backupsOf } from './backups';
import { migrations } from './migrations';
import { restoreBackup } from './restore';
import { openStore } from './store';

const server = testServer();
const create = (id: string) =>
  server
    .api()
    .post('/api/v1/plans')
    .send({ id, document: emptyPlan(`Plan ${id}`) })
    .expect(201);
/** Some SQL from outside, as another program would send it. */
const outside = (file: string, sql: string): Promise<void> =>
  new Promise((done, fail) => {
    const database = new sqlite3.Database(file);
    database.exec(sql, (error) => database.close(() => (error ? fail(error) : done())));
  });
const count = (file: string, table: string): Promise<number> =>
  new Promise((done, fail) => {
    const database = new sqlite3.Database(file, sqlite3.OPEN_READONLY);
    database.get(`SELECT count(*) AS n FROM ${table}`, (error: Error | null, row: { n: number }) =>
      database.close(() => (error ? fail(error) : done(row.n))),
    );
  });
const dayBefore = (day: string, count: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) - count * DAY).toISOString().slice(0, 10);
const problemOf = async (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'nothing was thrown',
    (error: Error) => `${error.constructor.name}: ${error.message}`,
  );

describe('opening a database', () => {
  test('one that a newer Zovrin has written is refused in a sentence, and left alone', async () => {
    await server.store.close();
    await outside(server.file, "INSERT INTO SequelizeMeta VALUES ('0999-from-the-future')");
    const before = readFileSync(server.file);
    const problem = await problemOf(openStore(server.file));
    expect(problem).toMatch(/^StartProblem: .*was written by a newer Zovrin.*0999-from-the-future/);
    expect(readFileSync(server.file).equals(before)).toBe(true);
    await outside(server.file, "DELETE FROM SequelizeMeta WHERE name LIKE '0999%'");
    server.store = await openStore(server.file, () => server.clock);
  });

  test.each([
    ['no database at all', (file: string) => writeFileSync(file, 'Dear diary, '.repeat(2000))],
    ['cut off in the middle', (file: string) => truncateSync(file, Math.floor(statSync(file).size / 2))],
    [
      'overwritten in places',
      (file: string) => {
        const bytes = readFileSync(file);
        for (let at = 4096; at < bytes.length; at += 4096) bytes.fill(0x5a, at, at + 1500);
        writeFileSync(file, bytes);
      },
    ],
  ])('a file that is %s is named, with the newest backup to go back to', async (_what, damage) => {
    await create('p');
    const backup = await server.store.backUp();
    await server.store.close();
    damage(server.file);
    for (const beside of ['-wal', '-shm']) rmSync(server.file + beside, { force: true });
    const problem = await problemOf(openStore(server.file));
    expect(problem).toContain(`StartProblem: The database ${server.file} is damaged`);
    expect(problem).toContain(`bin/restore ${backup}`);
    expect(problem.split('\n')).toHaveLength(2);
    const kept = await restoreBackup(server.file, backup, server.clock);
    expect(existsSync(join(kept!, 'test.sqlite'))).toBe(true);
    server.store = await openStore(server.file, () => server.clock);
    expect(await server.store.plans.count()).toBe(1);
  });

  test('migrations are made all together: one that fails leaves no table behind, and the next start works', async () => {
    const file = join(server.folder, 'interrupted.sqlite');
    migrations.push({
      name: '9999-breaks',
      up: () => Promise.reject(new Error('the power went')),
      down: () => Promise.resolve(),
    });
    try {
      await expect(openStore(file)).rejects.toThrow('the power went');
    } finally {
      migrations.pop();
    }
    expect(await count(file, 'sqlite_master')).toBe(0);
    const store = await openStore(file);
    expect(await store.plans.count()).toBe(0);
    await store.close();
  });

  test('demo data is loaded whole or not at all', async () => {
    const { store } = server;
    const journal = store.write;
    let writes = 0;
    // The machine goes down in the middle of it.
    store.atomically = (work) =>
      journal((tables) => {
        const inside = {
          ...store,
          ...tables,
          write: async <T>(change: (all: typeof tables) => Promise<T>): Promise<T> => {
            if (++writes > 20) throw new Error('the power went');
            return change(tables);
          },
        };
        return work(inside);
      });
    await expect(loadDemo(store)).rejects.toThrow('the power went');
    expect([await store.plans.count(), await store.places.count(), await store.runs.count()]).toEqual([0, 0, 0]);
    server.store = await openStore(server.file, () => server.clock);
    expect(await loadDemo(server.store)).toBe(true);
  });
});

describe('backups', () => {
  test('hold everything, also what is still in the log, open on their own, and are their owner’s alone', async () => {
    await create('p');
    expect(await count(server.file, 'plans')).toBe(1);
    const path = await server.store.backUp();
    expect(await count(path, 'plans')).toBe(1);
    expect(statSync(path).mode & 0o777).toBe(0o600);
    expect(statSync(backupFolder(server.file)).mode & 0o077).toBe(0);
    expect(readdirSync(backupFolder(server.file))).toHaveLength(1);
  });

  test('are made by themselves when a database that holds something is opened', async () => {
    await create('p');
    expect(backupsOf(server.file)).toEqual([]);
    await server.store.close();
    server.store = await openStore(server.file, () => server.clock);
    expect(await count(backupsOf(server.file)[0]!.path, 'plans')).toBe(1);
  });

  test('the latest of each of the last 14 days that have one are kept, whatever the clock says', async () => {
    for (let day = 0; day < BACKUP_DAYS + 3; day++) {
      for (const hour of [1, 2]) {
        server.clock = 1_790_000_000_000 + day * DAY + hour * 3_600_000;
        await server.store.backUp();
      }
    }
    const kept = backupsOf(server.file).map(({ day }) => day);
    // From 21 September to 7 October; of September before the 24th, the latest.
    expect(kept.slice(0, BACKUP_DAYS)).toEqual([...Array(BACKUP_DAYS)].map((_, i) => dayBefore('2026-10-07', i)));
    expect(kept.slice(BACKUP_DAYS)).toEqual(['2026-09-23']);
    // A clock that is years ahead takes the place of one day, no more.
    server.clock += 3000 * DAY;
    await server.store.backUp();
    expect(backupsOf(server.file)).toHaveLength(BACKUP_DAYS + 1);
  });

  test('of the twelve months before, the latest of each is kept', async () => {
    server.clock = Date.UTC(2025, 0, 1, 12);
    for (let day = 0; day < 500; day++) {
      const made = join(
        backupFolder(server.file),
        `test-${new Date(server.clock).toISOString().slice(0, 10)}T120000.sqlite`,
      );
      mkdirSync(backupFolder(server.file), { recursive: true });
      writeFileSync(made, '');
      server.clock += DAY;
    }
    await server.store.backUp();
    const kept = backupsOf(server.file).map(({ day }) => day);
    expect(kept.slice(0, 14)).toEqual([...Array(14)].map((_, i) => dayBefore('2026-05-16', i)));
    expect(kept.slice(14)).toEqual([
      ...['2026-05-02', '2026-04-30', '2026-03-31', '2026-02-28', '2026-01-31', '2025-12-31', '2025-11-30'],
      ...['2025-10-31', '2025-09-30', '2025-08-31', '2025-07-31', '2025-06-30'],
    ]);
  });

  test('a restore is refused while Zovrin has the file open, and from what is no sound backup', async () => {
    await create('p');
    const backup = await server.store.backUp();
    expect(await problemOf(restoreBackup(server.file, backup, server.clock))).toContain('is in use. Stop Zovrin first');
    await server.store.close();
    writeFileSync(join(server.folder, 'broken.sqlite'), 'nothing of the kind');
    const broken = restoreBackup(server.file, join(server.folder, 'broken.sqlite'), server.clock);
    expect(await problemOf(broken)).toMatch(/^StartProblem: .*broken\.sqlite is damaged.*Nothing was changed/);
    server.store = await openStore(server.file, () => server.clock);
    expect(await server.store.plans.count()).toBe(1);
  });

  test('a restore goes back to the backup and keeps what was there, its log too', async () => {
    await create('before');
    const backup = await server.store.backUp();
    await create('after');
    // As a crash leaves it: the newest plan is in the log only.
    const crashed = join(server.folder, 'crashed.sqlite');
    execFileSync('cp', [server.file, crashed]);
    execFileSync('cp', [`${server.file}-wal`, `${crashed}-wal`]);
    const kept = await restoreBackup(crashed, backup, server.clock);
    expect(await count(crashed, 'plans')).toBe(1);
    expect(await count(join(kept!, 'crashed.sqlite'), 'plans')).toBe(2);
  });
});

describe('a database file that is deleted while Zovrin is running', () => {
  const gone = [
    ['deleted', (file: string) => rmSync(file)],
    ['moved away', (file: string) => renameSync(file, `${file}.elsewhere`)],
    [
      'replaced',
      (file: string) => {
        renameSync(file, `${file}.elsewhere`);
        writeFileSync(file, '');
      },
    ],
  ] as const;
  test.each(gone)(
    '%s: nothing is acknowledged into nowhere, and all that was stored is rescued',
    async (_how, lose) => {
      await create('p');
      lose(server.file);
      const answer = await server
        .api()
        .post('/api/v1/plans')
        .send({ id: 'q', document: emptyPlan('Into nowhere') })
        .expect(503);
      expect(answer.body.title).toBe('Database file gone');
      const [rescued] = backupsOf(server.file);
      expect(answer.body.detail).toContain(`bin/restore ${rescued!.path}`);
      expect(await count(rescued!.path, 'plans')).toBe(1);
      // What there is can still be read, so that nothing on the screen is lost.
      await server.api().get('/api/v1/plans/p').expect(200);
    },
  );
});

describe('the clock of the bin', () => {
  const inBin = async () => (await server.store.people.findAll()).filter(({ deletedMs }) => deletedMs !== null).length;
  test('a machine that believes for a while that it is months later does not empty the bin', async () => {
    await server
      .api()
      .post('/api/v1/people')
      .send({ id: 'mara', document: newPerson('Mara Quill') });
    await emptyBin(server.store);
    await server.api().delete('/api/v1/people/mara').expect(204);
    const rightly = server.clock;
    server.clock = rightly + 120 * DAY;
    await emptyBin(server.store);
    await emptyBin(server.store);
    server.clock = rightly + DAY;
    await emptyBin(server.store);
    expect(await inBin()).toBe(1);
    // And 30 days are 30 days afterwards, neither fewer nor many more.
    for (let day = 2; day <= 29; day++) {
      server.clock = rightly + day * DAY;
      await emptyBin(server.store);
    }
    expect(await inBin()).toBe(1);
    for (const day of [30, 31]) {
      server.clock = rightly + day * DAY;
      await emptyBin(server.store);
    }
    expect(await inBin()).toBe(0);
  });
});
