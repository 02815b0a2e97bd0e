import { describe, expect, test } from '@jest/globals';
import sqlite3 from 'sqlite3';
import request from 'supertest';
import { emptyPlan } from '#core/plan';
import { copyOf, positionDocument } from '#core/catalogue';
import { StoredKind } from '#api';
import { builtInLibrary } from '#library';
import { finestBreath } from '../tests/support/examples';
import { testServer } from '../tests/support/test-server';
import { createApp } from './app';
import { loadDemo } from './demo';
import { forgetPerson } from './store/forget';
import { addEntry } from './store/custom-entries';
import { openStore } from './store/store';

/** The demo data, and an entry of its own. */
const server = testServer(async (store) => {
  await loadDemo(store);
  const own = copyOf(positionDocument(builtInLibrary.position('sphinx')!), 'own-sphinx');
  await store.write((tables) => addEntry(tables, own, store.now()));
});
const { api } = server;
const get = async (path: string) => (await api().get(path).expect(200)).body;

/** Writes into the database as another program would. */
const outside = (sql: string, ...values: string[]): Promise<void> =>
  new Promise((done, fail) => {
    const database = new sqlite3.Database(server.file);
    database.run(sql, values, (error) => database.close(() => (error ? fail(error) : done())));
  });
const damages = {
  'of a newer version': (text: string) => text.replace(/"version":\d+/, '"version":99'),
  'cut off': (text: string) => text.slice(0, text.length / 2),
  'no document at all': () => '{"hello":"there"}',
};
const KINDS = {
  plan: { table: 'plans', list: '/api/v1/plans', total: '/api/v1/plans' },
  run: { table: 'runs', list: '/api/v1/runs?limit=100' },
  entry: { table: 'entries', list: '/api/v1/entries' },
  person: { table: 'people', list: '/api/v1/people' },
  group: { table: 'groups', list: '/api/v1/groups' },
  place: { table: 'places', list: '/api/v1/places' },
  course: { table: 'courses', list: '/api/v1/courses' },
  journal: { table: 'journal', list: '/api/v1/journal' },
} as const;
type Kind = keyof typeof KINDS;

async function rowOf(table: string): Promise<{ id: string; document: string }> {
  const [rows] = await server.store.plans.sequelize!.query(`SELECT id, document FROM "${table}" ORDER BY id LIMIT 1`);
  return (rows as { id: string; document: string }[])[0]!;
}
async function damage(kind: Kind, how: keyof typeof damages): Promise<{ id: string; text: string }> {
  const { table } = KINDS[kind];
  const { id, document } = await rowOf(table);
  const text = damages[how](document);
  await outside(`UPDATE "${table}" SET document = ? WHERE id = ?`, text, id);
  return { id, text };
}

describe('one row that cannot be read', () => {
  const cases = (Object.keys(KINDS) as Kind[]).flatMap((kind) =>
    (Object.keys(damages) as (keyof typeof damages)[]).map((how) => [kind, how] as const),
  );
  test.each(cases)('a %s %s: costs itself only, is counted, said, and can be kept as a file', async (kind, how) => {
    const { list } = KINDS[kind];
    const before = (await get(list)).items.map(({ id }: { id: string }) => id);
    const { id, text } = await damage(kind, how);
    const after = await get(list);
    expect(after.items.map((one: { id: string }) => one.id)).toEqual(before.filter((one: string) => one !== id));
    expect(after.unreadable).toBe(1);
    const { rows } = await get('/api/v1/unreadable');
    expect(rows).toMatchObject([{ kind, id, deletable: true }]);
    expect(rows[0].reason.length).toBeGreaterThan(10);
    const file = await api().get(`/api/v1/unreadable/${kind}/${id}`).expect(200);
    expect(file.headers['content-disposition']).toContain(`${kind}.txt`);
    expect(file.text.split('\n')[0]).toBe(text);
    // Everything else is as it was.
    for (const path of [
      '/api/v1/practised',
      '/api/v1/pace',
      '/api/v1/bin',
      '/api/v1/settings',
      ...Object.values(KINDS).map((one) => one.list),
    ])
      await get(path);
    expect(server.logged).toEqual([]);
  });

  test.each(['plan', 'run', 'person', 'group', 'place', 'course', 'journal'] as const)(
    'a %s that is opened says so, and is not overwritten',
    async (kind) => {
      const { id, text } = await damage(kind, 'of a newer version');
      const at = `${KINDS[kind].list.split('?')[0]}/${id}`;
      const { body } = await api().get(at).expect(422);
      expect(body).toMatchObject({ title: 'Not readable', detail: expect.stringContaining('It was left as it is.') });
      expect(body.detail).toContain('version 99');
      const { document } = await rowOf(KINDS[kind].table);
      expect(document).toBe(text);
      await api().delete(at).expect(204);
      expect((await get('/api/v1/unreadable')).rows).toEqual([]);
      expect((await get('/api/v1/bin')).items).toMatchObject([{ kind, id }]);
    },
  );
});

test('an event that cannot be read: the session shows the others and says so; trends and forecasts do without it', async () => {
  const [runs, practised, pace] = [
    await get('/api/v1/runs'),
    await get('/api/v1/practised'),
    await get('/api/v1/pace'),
  ];
  const runId: string = runs.items[0].id;
  const { events } = await get(`/api/v1/runs/${runId}`);
  await outside('UPDATE run_events SET event = \'{"kind":"danced"}\' WHERE id = ?', events[3].id);
  const run = await get(`/api/v1/runs/${runId}`);
  expect(run.events).toEqual(events.filter((_: unknown, i: number) => i !== 3));
  expect(run.unreadable).toBe(1);
  const listed = await get('/api/v1/runs');
  expect(listed.items.find(({ id }: { id: string }) => id === runId).summary.unreadable).toBe(1);
  const [without, withoutPace] = [await get('/api/v1/practised'), await get('/api/v1/pace')];
  expect(without.practised).toHaveLength(practised.practised.length - 1);
  expect([without.unreadable, withoutPace.unreadable]).toEqual([1, 1]);
  expect(withoutPace.runs.length).toBe(pace.runs.length - 1);
  await get(`/api/v1/runs/${runId}/events?after=2`);
  expect((await get('/api/v1/unreadable')).rows).toMatchObject([{ kind: 'run', id: runId }]);
  const file = await api().get(`/api/v1/unreadable/run/${runId}`).expect(200);
  expect(file.text).toContain('{"kind":"danced"}');
});

test('a stored session that is finer than can be led keeps nobody waiting: it counts as one that cannot be read', async () => {
  const { id, document } = await rowOf('runs');
  const plan = JSON.parse(document) as object;
  const steps = Array.from({ length: 200 }, (_, i) => finestBreath(`fine-${i}`));
  await outside('UPDATE runs SET document = ? WHERE id = ?', JSON.stringify({ ...plan, steps }), id);
  expect((await get('/api/v1/runs?limit=100')).unreadable).toBe(1);
  expect((await get('/api/v1/practised')).unreadable).toBe(1);
  const [row] = (await get('/api/v1/unreadable')).rows;
  expect(row).toMatchObject({ kind: 'run', id });
  expect(row.reason).toContain('at most 12,000 can be led');
});

test('what is kept beside a plan, and the settings, say so and are listed as well', async () => {
  const { id } = await rowOf('class_people');
  await api()
    .put('/api/v1/settings')
    .send({ revision: 0, document: (await get('/api/v1/settings')).document })
    .expect(200);
  await outside("UPDATE class_people SET document = '{' WHERE id = ?", id);
  await outside("UPDATE house SET document = '[]'");
  await api().get(`/api/v1/plans/${id}/decisions`).expect(422);
  await api().get('/api/v1/settings').expect(422);
  expect((await get('/api/v1/unreadable')).rows.map(({ kind }: { kind: string }) => kind)).toEqual([
    'class',
    'settings',
  ]);
});

test('with damage in every table the server starts, and forgets people all the same', async () => {
  for (const table of [
    'plans',
    'runs',
    'entries',
    'people',
    'groups',
    'places',
    'courses',
    'journal',
    'class_people',
  ]) {
    await outside(`UPDATE "${table}" SET document = substr(document, 1, length(document) - 2)`);
  }
  await outside('UPDATE run_events SET event = substr(event, 1, length(event) - 2)');
  await server.store.close();
  server.store = await openStore(server.file, () => server.clock);
  for (const { list } of Object.values(KINDS)) await get(list);
  await get('/api/v1/practised');
  await get('/api/v1/pace');
  await server.store.write((tables) => forgetPerson(tables, 'demo-bryony', server.clock));
  for (const table of ['groups', 'journal', 'class_people'] as const) {
    const [rows] = await server.store.plans.sequelize!.query(`SELECT document FROM "${table}"`);
    expect(JSON.stringify(rows)).not.toContain('"demo-bryony\\"');
  }
  await server.days(40);
  expect(server.logged).toEqual([]);
});

test('while people are locked, nothing of it is given out', async () => {
  const app = createApp(server.store);
  await request(app).put('/api/v1/lock').send({ passphrase: 'herring under the quay', minutes: 10 }).expect(204);
  await request(app).get('/api/v1/unreadable').expect(423);
  for (const kind of StoredKind.options) await request(app).get(`/api/v1/unreadable/${kind}/x`).expect(423);
});

test('a plan that is cut off keeps no other from being found by its group, its date or its tag', async () => {
  const document = { ...emptyPlan('Still found'), groupId: 'whole', tags: ['whole'], startsAt: '2026-12-03T18:30' };
  await api().post('/api/v1/plans').send({ id: 'zz-still-found', document }).expect(201);
  await damage('plan', 'cut off');
  for (const query of ['groupId=whole', 'tag=whole', 'startsFrom=2026-12-03T00:00&search=still', 'sort=date']) {
    const { items } = await get(`/api/v1/plans?limit=100&${query}`);
    const found = (items as { summary: { title: string } }[]).map(({ summary }) => summary.title);
    expect([query, found]).toEqual([query, expect.arrayContaining(['Still found'])]);
  }
  expect((await get('/api/v1/plan-tags')).items).toContainEqual({ tag: 'whole', plans: 1 });
});

test('tags that this Zovrin cannot read are not offered, and the others still are', async () => {
  const document = { ...emptyPlan('Of another time'), tags: ['kept'] };
  await api().post('/api/v1/plans').send({ id: 'aa-other-time', document }).expect(201);
  await api()
    .post('/api/v1/plans')
    .send({ id: 'zz-of-now', document: { ...document, title: 'Of now' } })
    .expect(201);
  const newer = JSON.stringify({ ...document, version: 99, tags: [7, { colour: 'red' }, 'x'.repeat(90)] });
  await outside('UPDATE plans SET document = ? WHERE id = ?', newer, 'aa-other-time');
  const { items } = await get('/api/v1/plan-tags');
  expect(items.map(({ tag }: { tag: string }) => tag)).toContain('kept');
  expect(items.every(({ tag }: { tag: unknown }) => typeof tag === 'string' && tag.length <= 40)).toBe(true);
  expect((await get('/api/v1/plans?tag=kept')).items).toMatchObject([{ id: 'zz-of-now' }]);
});
