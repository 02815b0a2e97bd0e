import { describe, expect, test } from '@jest/globals';
import { newCourse } from '#core/course';
import { newPlace } from '#core/cupboard';
import { newJournalEntry } from '#core/journal';
import { newGroup, newPerson } from '#core/people';
import { emptyPlan, talkStep } from '#core/plan';
import { copyOf, positionDocument, type CustomEntry } from '#core/catalogue';
import { builtInLibrary } from '#library';
import { testServer } from '../tests/support/test-server';

const server = testServer();
const { api } = server;

/** Signs that are changed or lost on the way through addresses, text columns or logs. */
const BAD_IDS = [
  'a\u0000b',
  'new\nline',
  '\ud800',
  'half \udc00 pair',
  'a b',
  '',
  'x'.repeat(65),
  'ähnlich',
  '../up',
  '%00',
  'a"b',
];
const plan = { ...emptyPlan('Evening'), steps: [talkStep('t', 'Arrive', 60)] };
const T0 = 1_790_000_000_000;
const event = (more: object) => ({ events: [{ id: 'event-no-1', atMs: T0, kind: 'started', ...more }] });
const fold: CustomEntry = copyOf(positionDocument(builtInLibrary.position('butterfly-fold')!), 'own-fold');

/** Every request that takes an id, with the id in its place. */
const REQUESTS: Record<
  string,
  (id: string) => { method: 'get' | 'post' | 'put' | 'delete'; path: string; body?: object }
> = {
  'a plan': (id) => ({ method: 'post', path: '/api/v1/plans', body: { id, document: plan } }),
  'a step': (id) => ({
    method: 'post',
    path: '/api/v1/plans',
    body: { document: { ...plan, steps: [talkStep(id, 'A', 60)] } },
  }),
  'a group of a plan': (groupId) => ({
    method: 'post',
    path: '/api/v1/plans',
    body: { document: { ...plan, groupId } },
  }),
  'a place of a plan': (cupboard) => ({
    method: 'post',
    path: '/api/v1/plans',
    body: { document: { ...plan, cupboard } },
  }),
  'an order of steps': (before) => ({
    method: 'post',
    path: '/api/v1/plans',
    body: { document: { ...plan, orderPairs: [{ before, after: 't' }] } },
  }),
  'an entry that plans use': (uses) => ({
    method: 'get',
    path: `/api/v1/plans?uses=${encodeURIComponent(wellFormed(uses))}`,
  }),
  'a run': (id) => ({ method: 'post', path: '/api/v1/runs', body: { id, planId: 'p', planRevision: 1 } }),
  'a plan of a run': (planId) => ({
    method: 'post',
    path: '/api/v1/runs',
    body: { id: 'r2', planId, planRevision: 1 },
  }),
  'an event': (id) => ({
    method: 'post',
    path: '/api/v1/runs/r/events',
    body: event({ id: id && id + id + 'longer' }),
  }),
  'an event taken back': (undone) => ({
    method: 'post',
    path: '/api/v1/runs/r/events',
    body: event({ kind: 'undone', event: undone }),
  }),
  'somebody present': (id) => ({
    method: 'post',
    path: '/api/v1/runs/r/events',
    body: event({ kind: 'present', people: [id], others: 0 }),
  }),
  'a step that was rated': (stepId) => ({
    method: 'post',
    path: '/api/v1/runs/r/events',
    body: event({ kind: 'rated', stepId, side: 'left', strength: 1 }),
  }),
  'a person': (id) => ({ method: 'post', path: '/api/v1/people', body: { id, document: newPerson('Mara') } }),
  'a group': (id) => ({ method: 'post', path: '/api/v1/groups', body: { id, document: newGroup('Nurses') } }),
  'a member of a group': (id) => ({
    method: 'post',
    path: '/api/v1/groups',
    body: { id: 'g', document: { ...newGroup('Nurses'), members: [id] } },
  }),
  'a place': (id) => ({ method: 'post', path: '/api/v1/places', body: { id, document: newPlace('Hall', 'hall') } }),
  'a course': (id) => ({
    method: 'post',
    path: '/api/v1/courses',
    body: { id, document: newCourse('Evenings', emptyPlan('Evening'), null, 6) },
  }),
  'a journal entry': (id) => ({
    method: 'post',
    path: '/api/v1/journal',
    body: { id, document: newJournalEntry('2026-11-02T06:40') },
  }),
  'somebody in the journal': (id) => ({
    method: 'post',
    path: '/api/v1/journal',
    body: { id: 'j', document: { ...newJournalEntry('2026-11-02T06:40'), people: [id] } },
  }),
  'an entry of the library': (id) => ({
    method: 'post',
    path: '/api/v1/entries',
    body: { document: { ...fold, entry: { ...fold.entry, id } } },
  }),
  'a plan whose session phones may view': (planId) => ({ method: 'put', path: '/api/v1/audience', body: { planId } }),
};
/** As an address can carry it: a half of a pair has no way to be written in one. */
const wellFormed = (id: string): string => (/[\ud800-\udfff]/.test(id) ? '\ufffd' : id);
const READ_BY_ID = [
  '/api/v1/plans/ID',
  '/api/v1/plans/ID/revisions',
  '/api/v1/plans/ID/variants',
  '/api/v1/runs/ID',
  '/api/v1/runs/ID/events',
  '/api/v1/entries/ID',
  '/api/v1/people/ID',
  '/api/v1/people/ID/file',
  '/api/v1/groups/ID',
  '/api/v1/plans/ID/decisions',
  '/api/v1/places/ID',
  '/api/v1/courses/ID',
  '/api/v1/journal/ID',
];
const LISTS = [
  '/api/v1/plans',
  '/api/v1/runs',
  '/api/v1/entries',
  '/api/v1/people',
  '/api/v1/groups',
  '/api/v1/places',
  '/api/v1/courses',
  '/api/v1/journal',
  '/api/v1/practised',
  '/api/v1/pace',
  '/api/v1/bin',
];

describe('ids with signs that would be lost on the way', () => {
  test.each(Object.keys(REQUESTS))(
    '%s: refused with its reason, nothing is stored, and every list still reads',
    async (what) => {
      await api().post('/api/v1/plans').send({ id: 'p', document: plan }).expect(201);
      await api().post('/api/v1/runs').send({ id: 'r', planId: 'p', planRevision: 1 }).expect(201);
      for (const id of BAD_IDS) {
        const { method, path, body } = REQUESTS[what]!(id);
        const answer = await api()
          [method](path)
          .set('content-type', 'application/json')
          .send(body && JSON.stringify(body));
        const isPhones = path === '/api/v1/audience';
        expect([id, answer.status]).toEqual([id, isPhones ? 404 : 422]);
        if (!isPhones) expect(answer.body.errors[0].reason).toMatch(/^An id /);
      }
      for (const path of LISTS) expect([path, (await api().get(path)).status]).toEqual([path, 200]);
      expect(await server.store.plans.count()).toBe(1);
      expect(await server.store.events.count()).toBe(0);
      expect(server.logged).toEqual([]);
    },
  );

  test.each(READ_BY_ID)('%s: never a fault of the server', async (path) => {
    for (const id of BAD_IDS.map(wellFormed).filter((one) => one !== '' && one !== '../up')) {
      const at = path.replace('ID', encodeURIComponent(id));
      for (const method of ['get', 'delete'] as const) {
        const { status } = await api()[method](at);
        expect([at, status >= 400 && status < 500]).toEqual([at, true]);
      }
    }
    expect(server.logged).toEqual([]);
  });
});

describe('making a plan twice', () => {
  const other = { ...fold, entry: { ...fold.entry, names: { ...fold.entry.names, english: 'Another fold' } } };
  const hold = { ...plan, entries: [fold] };
  const make = (id: string, document: unknown) => api().post('/api/v1/plans').send({ id, document });

  test('the same request again is the same plan and the same answer, also after it was changed', async () => {
    const first = await make('p', plan).expect(201);
    expect((await make('p', plan).expect(201)).body).toEqual(first.body);
    expect((await api().get('/api/v1/plans')).body.total).toBe(1);
    await api()
      .put('/api/v1/plans/p')
      .send({ revision: 1, document: { ...plan, title: 'Later' } })
      .expect(200);
    expect((await make('p', plan).expect(201)).body).toMatchObject({ id: 'p', revision: 2 });
    expect((await api().get('/api/v1/plans')).body.total).toBe(1);
  });

  test('with entries of its own that meet others of the same id: no entry comes twice', async () => {
    await api().post('/api/v1/entries').send({ document: other }).expect(201);
    const first = await make('p', hold).expect(201);
    expect((await make('p', hold).expect(201)).body).toEqual(first.body);
    expect(await server.store.entries.count()).toBe(2);
  });

  test('another plan under the same id is refused, and one in the bin is not brought back by it', async () => {
    await make('p', plan).expect(201);
    await make('p', { ...plan, title: 'Another' }).expect(409);
    await api().delete('/api/v1/plans/p').expect(204);
    await make('p', plan).expect(409);
  });
});
