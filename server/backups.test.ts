import { beforeEach, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { createDecipheriv, createHash, scryptSync } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import request from 'supertest';
import { emptyPlan } from '#core/plan';
import { demoPeople, demoPlaces } from '#library/demo';
import { BackupsResponse, OpenedBackup, RestoreResponse, type BackupRow } from '#api';
import { DAY, testServer } from '../tests/support/test-server';
import { unzipped } from '../tests/support/unzipped';
import { createApp } from './app';
import { writeArchive } from './backup/archive';
import { contentsOf, type BackedUp } from './backup/contents';
import { putBack } from './backup/put-back';
import { loadDemo } from './demo';
import { backupFolder, backupsOf } from './store/backups';
import { openStore, type Store } from './store/store';

const server = testServer((store) => loadDemo(store, '2026-11-26'));
/** One server for the whole of a test: it remembers the backup that was opened. */
let app: ReturnType<typeof createApp>;
beforeEach(() => {
  app = createApp(server.store, { log: (error) => server.logged.push(error) });
});
const api = () => request(app);
const PASSPHRASE = 'seven wet herons waiting';
const at = (path: string): string => `/api/v1/backups${path}`;

const post = (path: string, body: object) => api().post(at(path)).send(body);
async function fileOf(body: object): Promise<Buffer> {
  const answer = await post('/file', body).responseType('blob').expect(200);
  return answer.body as Buffer;
}
const send = (bytes: Uint8Array) =>
  api().post(at('/opened')).set('content-type', 'application/octet-stream').send(Buffer.from(bytes));
type Open = Extract<OpenedBackup, { state: 'open' }>;
async function opened(bytes: Uint8Array, passphrase?: string): Promise<Open> {
  const first = OpenedBackup.parse((await send(bytes).expect(200)).body);
  if (first.state === 'open') return first;
  const answer = await post(`/opened/${first.id}/unseal`, { passphrase }).expect(200);
  return OpenedBackup.parse(answer.body) as Open;
}
const restored = async (id: string, chosen: readonly Pick<BackupRow, 'kind' | 'id'>[]) =>
  RestoreResponse.parse(
    (
      await post(`/opened/${id}/restore`, { chosen: chosen.map(({ kind, id: one }) => ({ kind, id: one })) }).expect(
        200,
      )
    ).body,
  );
const isState =
  (state: BackupRow['state']) =>
  (row: BackupRow): boolean =>
    row.state === state;

/** A document with its text as what it says: the order of its fields does not matter. */
const parsed = (document: BackedUp) => ({ ...document, text: JSON.parse(document.text) as unknown });

/** Opens a sealed file as docs/formats.md describes it, by node’s own functions. */
function unsealed(bytes: Buffer, passphrase: string): Buffer {
  const end = bytes.indexOf(0x0a) + 1;
  const header = JSON.parse(bytes.toString('utf8', 0, end)) as Record<'salt' | 'nonce', string> &
    Record<'n' | 'r' | 'p', number>;
  const { n, r, p } = header;
  const key = scryptSync(passphrase, Buffer.from(header.salt, 'base64'), 32, { N: n, r, p, maxmem: 2 ** 29 });
  const decipher = createDecipheriv('aes-256-gcm', key, Buffer.from(header.nonce, 'base64'));
  decipher.setAAD(bytes.subarray(0, end));
  decipher.setAuthTag(bytes.subarray(-16));
  return Buffer.concat([decipher.update(bytes.subarray(end, -16)), decipher.final()]);
}

/** Runs some work on a store of its own, empty, and clears it away. */
async function withEmptyStore<T>(work: (store: Store) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-'));
  const store = await openStore(join(folder, 'other.sqlite'), () => server.clock);
  try {
    return await work(store);
  } finally {
    await store.close();
    rmSync(folder, { recursive: true });
  }
}

describe('a backup file', () => {
  test('is a ZIP that any program opens, with the sum of each file in its manifest', async () => {
    const files = unzipped(await fileOf({ withPeople: false }));
    const manifest = JSON.parse(files.get('manifest.json')!.toString('utf8')) as {
      counts: Record<string, number>;
      files: { path: string; sha256: string; bytes: number }[];
    };
    expect(manifest).toMatchObject({ format: 'zovrin-backup', version: 1, madeAtMs: server.clock, damaged: 0 });
    expect(manifest.files).toHaveLength(files.size - 1);
    for (const { path, sha256, bytes } of manifest.files) {
      const file = files.get(path)!;
      expect([path, createHash('sha256').update(file).digest('hex'), file.length]).toEqual([path, sha256, bytes]);
    }
    expect(manifest.counts.place).toBe(demoPlaces.length);
    expect(manifest.counts.plan).toBe(await server.store.plans.count());
    // Each is the document that could be imported on its own.
    const plan = JSON.parse(
      files.get(`plans/${(await server.store.plans.findOne())!.id}.json`)!.toString('utf8'),
    ) as object;
    expect(plan).toMatchObject({ format: 'zovrin-plan' });
  });

  test('has nothing about people in it unless that is asked for', async () => {
    const text = [...unzipped(await fileOf({ withPeople: false })).values()]
      .map((file) => file.toString('utf8'))
      .join('\n');
    expect(demoPeople.length).toBeGreaterThan(10);
    for (const { person } of demoPeople) {
      expect(text).not.toContain(person.name);
      for (const { note } of person.conditions) if (note !== '') expect(text).not.toContain(note);
    }
    for (const format of ['person', 'group', 'session', 'journal', 'class'])
      expect(text.includes(`zovrin-${format}`)).toBe(false);
  });

  test('has courses without what was noted in them, unless people are asked for', async () => {
    const { revision, document } = (await api().get('/api/v1/courses/demo-longer-evenings')).body;
    const aim = { words: 'To sleep through', measure: 'How rested she was' };
    const notes = [{ week: 1, measure: 3, note: 'Her left hip again.' }];
    await api()
      .put('/api/v1/courses/demo-longer-evenings')
      .send({ revision, document: { ...document, aim, notes } })
      .expect(200);
    const coursesOf = async (form: object) => {
      const files = unzipped(await fileOf(form));
      return [...files].filter(([name]) => name.includes('course')).map(([, file]) => file.toString('utf8'));
    };
    const [without] = await coursesOf({ withPeople: false });
    expect(JSON.parse(without ?? '{}')).toMatchObject({ title: 'Longer evenings', aim: null, notes: [] });
    expect(without).not.toContain('hip');
  });

  test('with people is refused without a passphrase, and unreadable without it', async () => {
    const refusal = await post('/file', { withPeople: true }).expect(422);
    expect(refusal.body.errors).toEqual([
      { field: 'passphrase', reason: 'A backup with people in it needs a passphrase.' },
    ]);
    await post('/file', { withPeople: true, passphrase: 'short' }).expect(422);
    const bytes = await fileOf({ withPeople: true, passphrase: PASSPHRASE });
    expect(bytes.toString('latin1').split('\n')[0]).toContain(
      '"format":"zovrin-sealed-backup","version":1,"kdf":"scrypt"',
    );
    for (const { person } of demoPeople) expect(bytes.includes(person.name)).toBe(false);
    const files = unzipped(unsealed(bytes, PASSPHRASE));
    const people = [...files.keys()].filter((path) => path.startsWith('people/'));
    expect(people).toHaveLength(demoPeople.length);
    expect(() => unsealed(bytes, `${PASSPHRASE}!`)).toThrow();
    // Its header cannot be changed either.
    const changed = Buffer.from(bytes);
    changed[changed.indexOf('scrypt') - 1] = 0x20;
    expect(() => unsealed(changed, PASSPHRASE)).toThrow();
  });

  test('is closed with the lock', async () => {
    await api().put('/api/v1/lock').send({ passphrase: PASSPHRASE, minutes: 10 }).expect(204);
    await api().get(at('')).expect(423);
    await post('/file', { withPeople: false }).expect(423);
  });
});

describe('a comparison and a restore', () => {
  test('everything comes back into an empty database as it was', async () => {
    const bytes = await fileOf({ withPeople: true, passphrase: PASSPHRASE });
    const before = await contentsOf(server.store, true);
    await withEmptyStore(async (store) => {
      app = createApp(store);
      const comparison = await opened(bytes, PASSPHRASE);
      expect(comparison).toMatchObject({ withPeople: true, faults: [], madeAtMs: server.clock });
      expect(comparison.rows.length).toBe(before.documents.length);
      expect(comparison.rows.filter(({ state, kind }) => state !== 'new' && kind !== 'settings')).toEqual([]);
      await putBack(store, before.documents, comparison.rows);
      expect((await contentsOf(store, true)).documents.map(parsed)).toEqual(before.documents.map(parsed));
    });
  });

  test('the same, the new and the different are distinguished, and the newer is named', async () => {
    const bytes = await fileOf({ withPeople: true, passphrase: PASSPHRASE });
    const [changed, deleted] = (await server.store.plans.findAll({ order: [['id', 'ASC']], limit: 2 })).map(
      ({ id }) => id,
    );
    const { revision, document } = (await api().get(`/api/v1/plans/${changed}`)).body;
    server.clock += 1000;
    await api()
      .put(`/api/v1/plans/${changed}`)
      .send({ revision, document: { ...document, title: 'Later' } })
      .expect(200);
    await api().delete(`/api/v1/plans/${deleted}`).expect(204);
    const made = await api()
      .post('/api/v1/plans')
      .send({ document: emptyPlan('Made since') })
      .expect(201);

    const { id, rows } = await opened(bytes, PASSPHRASE);
    expect(rows.filter(isState('different')).map((row) => [row.kind, row.id, row.newer])).toEqual([
      ['plan', changed, 'here'],
    ]);
    const gone = rows.filter(isState('new'));
    expect(gone.filter(({ kind }) => kind === 'plan').map((row) => row.id)).toEqual([deleted]);
    // Its variants and decisions have gone with it.
    expect(new Set(gone.map((row) => row.id))).toEqual(new Set([deleted]));
    expect(rows.filter(isState('same')).length).toBe(rows.length - gone.length - 1);

    const { restored: count, keptAs } = await restored(id, [{ kind: 'plan', id: changed! }, ...gone]);
    expect(count).toBe(1 + gone.length);
    const back = (await api().get(`/api/v1/plans/${changed}`).expect(200)).body;
    expect(back).toMatchObject({ document, revision: revision + 2 });
    await api().get(`/api/v1/plans/${deleted}`).expect(200);
    // What was made since stays, and what was there before is in the copy, and among the versions of the plan.
    await api().get(`/api/v1/plans/${made.body.id}`).expect(200);
    expect(existsSync(keptAs)).toBe(true);
    const versions = (
      await api()
        .get(`/api/v1/plans/${changed}/revisions/${revision + 1}`)
        .expect(200)
    ).body;
    expect(versions.document.title).toBe('Later');
    const again = await opened(bytes, PASSPHRASE);
    expect(again.rows.every(isState('same'))).toBe(true);
  });

  test('of a session, the one in which more happened is the newer', async () => {
    const bytes = await fileOf({ withPeople: true, passphrase: PASSPHRASE });
    const run = (await server.store.runs.findOne())!;
    const event = { id: 'noted-later', atMs: server.clock, kind: 'noted', text: 'The hall was cold.' };
    const answer = await api()
      .post(`/api/v1/runs/${run.id}/events`)
      .send({ events: [event] });
    expect([answer.status, answer.body.errors]).toEqual([200, undefined]);
    const { rows } = await opened(bytes, PASSPHRASE);
    expect(rows.filter(isState('different')).map(({ kind, id, newer }) => [kind, id, newer])).toEqual([
      ['run', run.id, 'here'],
    ]);
  });

  test('a wrong passphrase is refused at its field, and the next try is the right one', async () => {
    const bytes = await fileOf({ withPeople: true, passphrase: PASSPHRASE });
    const { id } = OpenedBackup.parse((await send(bytes)).body);
    const wrong = await post(`/opened/${id}/unseal`, { passphrase: 'seven wet heronz waiting' }).expect(403);
    expect(wrong.body.errors[0]).toMatchObject({ field: 'passphrase' });
    await post(`/opened/${id}/restore`, { chosen: [{ kind: 'plan', id: 'p' }] }).expect(409);
    await post(`/opened/${id}/unseal`, { passphrase: PASSPHRASE }).expect(200);
    await post('/close', {}).expect(204);
    await post(`/opened/${id}/unseal`, { passphrase: PASSPHRASE }).expect(404);
  });

  test.each([
    ['words', Buffer.from('Dear diary'), 'This is no backup of Zovrin.'],
    ['nothing', Buffer.alloc(0), 'This is no backup of Zovrin.'],
    ['another ZIP', zipSync({ 'a.txt': strToU8('a') }), 'it has no manifest.json'],
    ['a ZIP with another manifest', zipSync({ 'manifest.json': strToU8('{"format":"other"}') }), 'no backup of Zovrin'],
    ['a broken manifest', zipSync({ 'manifest.json': strToU8('{"form') }), 'its manifest cannot be read'],
    [
      'a newer one',
      zipSync({ 'manifest.json': strToU8('{"format":"zovrin-backup","version":2}') }),
      'made by a newer Zovrin than this one. Update Zovrin',
    ],
    ['a sealed one of a newer kind', Buffer.from('{"format":"zovrin-sealed-backup","version":2}\nxx'), 'newer Zovrin'],
  ])('%s is refused with what to do', async (_what, bytes, reason) => {
    const answer = await send(bytes);
    const { id } = answer.body as { id?: string };
    const refused = id === undefined ? answer : await post(`/opened/${id}/unseal`, { passphrase: PASSPHRASE });
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toContain(reason);
    expect(server.logged).toEqual([]);
  });

  test('a file that is cut off is refused; one with a damaged document names it and gives the others', async () => {
    const bytes = await fileOf({ withPeople: false });
    const cut = await send(bytes.subarray(0, bytes.length - 2000)).expect(422);
    expect(cut.body.detail).toContain('damaged');
    const files = new Map([...unzipped(bytes)].map(([path, file]) => [path, new Uint8Array(file)]));
    const [broken, missing] = [...files.keys()].filter((path) => path.startsWith('plans/'));
    files.set(broken!, strToU8(JSON.stringify({ ...emptyPlan('Slipped in') })));
    files.delete(missing!);
    const { rows, faults } = await opened(zipSync(Object.fromEntries(files)));
    expect(faults.map((fault) => fault.replace(/ \(“.*”\)/, ''))).toEqual([
      `${broken} is damaged`,
      `${missing} is missing`,
    ]);
    expect(rows.filter(({ kind }) => kind === 'plan')).toHaveLength((await server.store.plans.count()) - 2);
  });

  test('a document of an older version is migrated, one of a newer version is named and cannot be taken', async () => {
    const old = readFileSync('tests/samples/plan.v1.json', 'utf8');
    const newer = JSON.stringify({ ...emptyPlan('From the future'), version: 99 });
    const base = { kind: 'plan' as const, createdMs: 1, updatedMs: 1, deletedMs: null };
    const documents = [
      { ...base, id: 'old', title: 'Old', text: old },
      { ...base, id: 'newer', title: 'Newer', text: newer },
    ];
    const { id, rows } = await opened(await writeArchive({ documents, damaged: 0 }, false, server.clock));
    expect(rows.map(({ id: one, state }) => [one, state])).toEqual([
      ['old', 'new'],
      ['newer', 'unreadable'],
    ]);
    expect(rows[1]!.reason).toContain('reads up to version');
    await post(`/opened/${id}/restore`, { chosen: [{ kind: 'plan', id: 'newer' }] }).expect(422);
    await restored(id, [{ kind: 'plan', id: 'old' }]);
    const plan = (await api().get('/api/v1/plans/old').expect(200)).body;
    expect(plan.document.version).toBe(emptyPlan('').version);
  });
});

describe('all or nothing', () => {
  test('a restore that fails in the middle leaves everything as it was', async () => {
    const { documents } = await contentsOf(server.store, true);
    await withEmptyStore(async (store) => {
      const failing = putBack(store, documents, documents, (count) => {
        if (count === 20) throw new Error('the disk is full');
      });
      await expect(failing).rejects.toThrow('the disk is full');
      expect((await contentsOf(store, true)).documents).toEqual([]);
      await putBack(store, documents, documents);
      expect((await contentsOf(store, true)).documents).toHaveLength(documents.length);
    });
  });

  test.each([1, 40])(
    'a process that is killed after %i documents has restored nothing',
    async (after) => {
      const contents = await contentsOf(server.store, true);
      const [backup, file] = [join(server.folder, 'all.zip'), join(server.folder, 'killed.sqlite')];
      writeFileSync(backup, await writeArchive(contents, true, server.clock));
      const script = join(process.cwd(), 'tests', 'support', 'killed-restore.ts');
      const tsx = join(process.cwd(), 'node_modules', 'tsx', 'dist', 'cli.mjs');
      const child = spawnSync(process.execPath, [tsx, script, file, backup, String(after)], { encoding: 'utf8' });
      expect([child.signal ?? child.status, child.stderr]).toEqual([expect.anything(), '']);
      const store = await openStore(file, () => server.clock);
      expect((await contentsOf(store, true)).documents).toEqual([]);
      await store.close();
    },
    60_000,
  );
});

describe('the copies that are made by themselves', () => {
  const listed = async () => BackupsResponse.parse((await api().get(at('')).expect(200)).body);

  test('are listed with size and moment, and the newest is read back', async () => {
    // The database held something when it was opened.
    expect((await listed()).copies).toHaveLength(1);
    server.clock += DAY;
    await post('/now', {}).expect(204);
    const { copies, newest, folder } = await listed();
    expect(folder).toBe(backupFolder(server.file));
    expect(copies.map(({ madeAtMs }) => madeAtMs)).toEqual([server.clock, server.clock - DAY]);
    expect(copies[0]!.bytes).toBeGreaterThan(50_000);
    expect(newest).toMatchObject({ ok: true, counts: { person: demoPeople.length, place: demoPlaces.length } });
  });

  test('one that cannot be read back is said to be so', async () => {
    await post('/now', {}).expect(204);
    truncateSync(backupsOf(server.file)[0]!.path, 30_000);
    expect((await listed()).newest).toMatchObject({ ok: false, reason: expect.stringContaining('damaged') });
  });

  test('can be compared and restored like a file, and are left as they are', async () => {
    await post('/now', {}).expect(204);
    const [copy] = (await listed()).copies;
    const bytes = readFileSync(backupsOf(server.file)[0]!.path);
    const { id } = (await server.store.plans.findOne())!;
    await api().delete(`/api/v1/plans/${id}`).expect(204);
    const comparison = OpenedBackup.parse((await post('/opened-copy', { name: copy!.name }).expect(200)).body) as Open;
    const gone = comparison.rows.filter(isState('new'));
    expect(gone.map((row) => row.id)).toContain(id);
    await restored(comparison.id, gone);
    await api().get(`/api/v1/plans/${id}`).expect(200);
    expect(readFileSync(join(backupFolder(server.file), copy!.name)).equals(bytes)).toBe(true);
    expect(readdirSync(tmpdir()).filter((name) => name.startsWith('zovrin-copy-'))).toEqual([]);
    await post('/opened-copy', { name: '../../test.sqlite' }).expect(422);
    await post('/opened-copy', { name: '../test.sqlite' }).expect(404);
    // What was there before the restore can be taken back in the same way.
    const [kept] = (await listed()).copies.filter(({ beforeRestore }) => beforeRestore);
    const before = OpenedBackup.parse((await post('/opened-copy', { name: kept!.name }).expect(200)).body) as Open;
    expect(before.rows.some((row) => row.id === id)).toBe(false);
    await post('/opened-copy', { name: 'other.sqlite' }).expect(404);
  });
});
