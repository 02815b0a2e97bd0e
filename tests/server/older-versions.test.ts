import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { readEntry } from '#core/catalogue';
import { readClassPeople } from '#core/caution';
import { readPerson } from '#core/people';
import { readPlan } from '#core/plan';
import { EVENT_VERSION, readStoredEvent } from '#core/run';
import { readSettings } from '#core/settings';
import { testServer } from '../support/test-server';

const folder = new URL('../samples/', import.meta.url);
const sample = (name: string): unknown => JSON.parse(readFileSync(new URL(`${name}.json`, folder), 'utf8'));
const names = readdirSync(folder).map((name) => name.replace('.json', ''));
const of = (kind: string): string[] => names.filter((name) => name.startsWith(`${kind}.v`)).sort();

/** Where a kind of sample is stored, and its list where there is one. */
const KINDS = {
  plan: { table: 'plans', list: '/plans' },
  person: { table: 'people', list: '/people' },
  group: { table: 'groups', list: '/groups' },
  place: { table: 'places', list: '/places' },
  course: { table: 'courses', list: '/courses' },
  journal: { table: 'journal', list: '/journal' },
  entry: { table: 'entries', list: '/entries' },
} as const;
const NOW = 1_790_000_000_000;

/** The session with the events of each version. */
const RUNS: Readonly<Record<string, string>> = {
  'events.v0': 'run-v0',
  'events.v1': 'run-v1',
  'events.v2': 'run-v2',
};
const eventsIn = (name: string) => sample(name) as { id: string; kind: string }[];

/** Rows as an older version left them: each text as it was, in a database of today. */
const server = testServer(async (store) => {
  await store.write(async (tables) => {
    const row = (id: string, name: string) => ({
      id,
      revision: 1,
      title: name,
      document: JSON.stringify(sample(name)),
      createdMs: NOW,
      updatedMs: NOW,
      deletedMs: null,
    });
    const put = async (
      table: 'people' | 'groups' | 'places' | 'courses' | 'journal' | 'entries' | 'house' | 'variants' | 'classPeople',
      id: string,
      name: string,
    ) => {
      await tables[table].create(row(id, name));
    };
    for (const name of of('plan')) {
      const id = name.replace('.', '-');
      await tables.plans.create({ ...row(id, name), searchable: name });
      await tables.revisions.create({ planId: id, revision: 1, document: JSON.stringify(sample(name)), savedMs: NOW });
    }
    for (const kind of ['person', 'group', 'place', 'course', 'journal', 'entry'] as const) {
      for (const name of of(kind)) await put(KINDS[kind].table as 'people', name.replace('.', '-'), name);
    }
    await put('entries', 'own-position', 'entry-position.v2');
    await put('house', 'house', 'settings.v1');
    await put('variants', 'plan-v1', 'variants.v1');
    await put('classPeople', 'plan-v1', 'class.v1');
    for (const [name, runId] of Object.entries(RUNS)) {
      const taught = { planId: 'plan-v1', planRevision: 1, title: 'Older', createdMs: NOW, deletedMs: null };
      await tables.runs.create({ ...taught, id: runId, document: JSON.stringify(sample('plan.v1')) });
      for (const [seq, event] of eventsIn(name).entries())
        await tables.events.create({ id: event.id, runId, seq, event: JSON.stringify(event) });
    }
  });
});
const { api } = server;
const get = async (path: string) => (await api().get(`/api/v1${path}`).expect(200)).body;

test('there is a sample of every version that was ever stored', () => {
  const versions = (kind: string): number[] => of(kind).map((name) => Number(name.split('.v')[1]));
  expect(versions('plan')).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
  expect(versions('class')).toEqual([1, 2, 3, 4]);
  expect(versions('course')).toEqual([1]);
  expect(versions('person')).toEqual([1, 2, 3]);
  expect(versions('entry')).toEqual([1, 2, 3, 4, 5]);
  expect(versions('settings')).toEqual([1, 2, 3, 4, 5, 6]);
  expect([EVENT_VERSION, versions('events')]).toEqual([2, [0, 1, 2]]);
});

test('all versions of a kind say the same', () => {
  const value = (read: (any: unknown) => { ok: boolean }, kind: string) => of(kind).map((name) => read(sample(name)));
  for (const [kind, read] of [
    ['plan', readPlan],
    ['person', readPerson],
    ['entry', readEntry],
    ['settings', readSettings],
    ['class', readClassPeople],
  ] as const) {
    const all = value(read, kind);
    for (const one of all) expect(one).toEqual(all.at(-1));
    expect(all.at(-1)!.ok).toBe(true);
  }
});

describe('what an older version stored', () => {
  test.each(Object.entries(KINDS))('every %s is listed, read, saved and exported', async (kind, { list }) => {
    const ids = of(kind).map((name) => name.replace('.', '-'));
    const { items, unreadable } = await get(`${list}?limit=100`);
    expect(items.map(({ id }: { id: string }) => id)).toEqual(expect.arrayContaining(ids));
    expect(unreadable).toBe(0);
    for (const id of ids) {
      const { revision, document } = await get(`${list}/${id}`);
      if (kind !== 'entry') {
        await api().put(`/api/v1${list}/${id}`).send({ revision, document }).expect(200);
      }
      if (kind === 'person') expect(await get(`${list}/${id}/file`)).toMatchObject({ person: { name: 'Mara Quill' } });
      if (kind === 'plan') {
        expect((await get(`/plans/${id}/revisions`)).items[0]).toMatchObject({ title: 'Estuary evening' });
        await get(`/plans/${id}/variants`);
        await get(`/plans/${id}/decisions`);
        await api()
          .post('/api/v1/timeline')
          .send({ document: sample(id.replace('-v', '.v')) })
          .expect(200);
      }
    }
  });

  test('settings, variants, decisions and sessions too, and nothing is unreadable', async () => {
    expect(await get('/settings')).toMatchObject({ revision: 1, document: { version: 6 } });
    expect((await get('/plans/plan-v1/variants')).document.variants).toHaveLength(1);
    expect((await get('/plans/plan-v1/decisions')).document.seen).toHaveLength(1);
    expect(Object.keys(RUNS)).toEqual(of('events'));
    for (const [name, id] of Object.entries(RUNS)) {
      const { events } = (await get(`/runs/${id}`)) as { events: { kind: string }[] };
      expect(events.map(({ kind }) => kind)).toEqual(eventsIn(name).map(({ kind }) => kind));
    }
    const { items } = await get('/runs');
    expect(items).toHaveLength(Object.keys(RUNS).length);
    for (const { summary } of items) expect(summary.unreadable).toBe(0);
    expect((await get('/practised')).unreadable).toBe(0);
    await get('/pace');
    expect((await get('/unreadable')).rows).toEqual([]);
    expect(server.logged).toEqual([]);
  });

  test('someone who was there is forgotten in all of it, and one more without a name was there', async () => {
    await api().delete('/api/v1/people/person-v1/forever').expect(200);
    for (const id of Object.values(RUNS)) {
      expect((await get(`/runs/${id}`)).events).toContainEqual(
        expect.objectContaining({ kind: 'present', people: [], others: 4 }),
      );
    }
    expect((await get('/groups/group-v1')).document.members).toEqual([]);
    expect((await get('/plans/plan-v1/decisions')).document.seen).toEqual([]);
    const [rows] = await server.store.plans.sequelize!.query(
      "SELECT event FROM run_events WHERE event LIKE '%present%'",
    );
    expect(readStoredEvent(JSON.parse((rows as { event: string }[])[0]!.event)).ok).toBe(true);
  });
});

describe('an event', () => {
  test('is stored with its version; one of a newer version is said to be', async () => {
    const event = { id: 'event-no-9', atMs: NOW, kind: 'noted', text: 'warm' };
    await api()
      .post('/api/v1/runs/run-v1/events')
      .send({ events: [event] })
      .expect(200);
    const [rows] = await server.store.plans.sequelize!.query("SELECT event FROM run_events WHERE id = 'event-no-9'");
    const stored = JSON.parse((rows as { event: string }[])[0]!.event) as unknown;
    expect(stored).toEqual({ ...event, version: EVENT_VERSION });
    expect(readStoredEvent(stored)).toEqual({ ok: true, value: event });
    expect(readStoredEvent({ ...event, version: 9 })).toMatchObject({
      ok: false,
      issues: [{ reason: 'This event has version 9; this Zovrin reads up to version 2.' }],
    });
  });

  test.each([null, 'paused', [], { version: 'one' }, { version: -1 }, {}])('%j is none', (value) => {
    expect(readStoredEvent(value).ok).toBe(false);
  });
});
