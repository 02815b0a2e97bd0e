import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { copyOf, positionDocument, techniqueDocument, type CustomEntry } from '#core/catalogue';
import { breathFrom, emptyPlan, holdFrom, holdNamed, planFile, type Plan } from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { planOf } from '../tests/support/examples';
import { testServer } from '../tests/support/test-server';

const server = testServer();
const { api } = server;
const seat = POSITIONS[0]!;
const named = (english: string, id = 'own-seat'): CustomEntry =>
  positionDocument({ ...seat, id, names: { ...seat.names, english }, enterSeconds: 33 });
const create = (document: unknown) => api().post('/api/v1/entries').send({ document });
const save = (revision: number, document: CustomEntry, id = 'own-seat') =>
  api().put(`/api/v1/entries/${id}`).send({ revision, document });
const list = async () => (await api().get('/api/v1/entries').expect(200)).body.items;
const holdOf = (document: CustomEntry): Plan =>
  planOf(holdFrom(document.kind === 'position' ? document.entry : seat, 'yin', 'a'));

describe('entries of one’s own', () => {
  test('are made, listed, read and saved with a revision', async () => {
    expect((await create(named('My seat')).expect(201)).body).toMatchObject({
      id: 'own-seat',
      revision: 1,
      deletedAt: null,
      document: { kind: 'position', entry: { names: { english: 'My seat' } } },
    });
    await create(copyOf(techniqueDocument(TECHNIQUES[0]!), 'own-breath')).expect(201);
    expect((await save(1, named('My better seat')).expect(200)).body.revision).toBe(2);
    expect((await list()).map(({ id }: { id: string }) => id)).toEqual(['own-breath', 'own-seat'].sort());
    expect((await api().get('/api/v1/entries/own-seat').expect(200)).body.document).toEqual(named('My better seat'));
    await api().get('/api/v1/entries/own-nothing').expect(404);
  });

  test('the same one sent again, its answer lost, is the same; another under its id is refused', async () => {
    await create(named('My seat')).expect(201);
    expect((await create(named('My seat')).expect(201)).body.revision).toBe(1);
    expect((await create(named('Another')).expect(409)).body).toMatchObject({
      current: { document: named('My seat') },
    });
    await save(1, named('Saved')).expect(200);
    expect((await save(1, named('Saved')).expect(200)).body.revision).toBe(2);
  });

  test('a stale write is answered with both and changes nothing', async () => {
    await create(named('My seat'));
    await save(1, named('Mine')).expect(200);
    expect((await save(1, named('Yours')).expect(409)).body).toMatchObject({
      current: { revision: 2, document: { entry: { names: { english: 'Mine' } } } },
      yours: { entry: { names: { english: 'Yours' } } },
    });
    expect((await list())[0].document).toEqual(named('Mine'));
  });

  test('what ships with Zovrin is copied, not changed', async () => {
    const problem = (await create(named('Cross-legged seat', seat.id)).expect(409)).body.detail;
    expect(problem).toContain('Make a copy');
    await save(1, named('Mine', seat.id), seat.id).expect(409);
    await api().delete(`/api/v1/entries/${seat.id}`).expect(409);
    await api().get(`/api/v1/entries/${seat.id}`).expect(404);
    expect(await list()).toEqual([]);
  });

  test('one with the name of another is taken: names need not differ', async () => {
    await create(named(seat.names.english)).expect(201);
    await create(named(seat.names.english, 'own-seat-2')).expect(201);
  });

  test.each([
    ['a name missing', { names: { ...seat.names, english: ' ' } }, 'names.english', 'A name is needed.'],
    [
      'a range upside down',
      { defaults: { yin: { seconds: 120, minSeconds: 300, maxSeconds: 60, strength: 4 } } },
      'defaults.yin.maxSeconds',
      'The longest is shorter than the shortest.',
    ],
    [
      'an angle outside the joint’s limits',
      {
        figure: {
          ...seat.figure,
          pose: { ...seat.figure.pose, spine: { ...seat.figure.pose.spine, lumbar: [0, 0, 44] } },
        },
      },
      'figure.pose.spine.lumbar.2',
      'Low back, turn goes from -30° to 30°, not to 44°.',
    ],
    [
      'an unknown prop',
      { setUps: [{ ...seat.setUps[0], items: [{ ...seat.setUps[0]!.items[0], kind: 'throne' }] }] },
      'setUps.0.items.0.kind',
      'A prop is one of: ',
    ],
    ['an id that is no address', { id: 'a/b' }, 'id', 'letters, digits'],
  ])('%s is refused at the field, and nothing is stored', async (_, patch, field, reason) => {
    const own = named('My seat');
    const { body } = await create({ ...own, entry: { ...own.entry, ...patch } }).expect(422);
    expect(body.errors).toContainEqual({
      field: `document.entry.${field}`,
      reason: expect.stringContaining(reason),
    });
    expect(await list()).toEqual([]);
  });

  test('anything at all is answered with a 4xx and a reason', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(
          fc.jsonValue(),
          fc.record({
            format: fc.constant('zovrin-entry'),
            version: fc.jsonValue(),
            kind: fc.constantFrom('position', 'technique'),
            entry: fc.jsonValue(),
          }),
        ),
        async (document) => {
          const { status, body } = await create(document);
          expect(status).toBe(422);
          expect(body.errors[0].reason).toBeTruthy();
        },
      ),
      { numRuns: 60 },
    );
    expect(server.logged).toEqual([]);
    expect(await list()).toEqual([]);
  });
});

describe('plans and entries', () => {
  const file = (own: CustomEntry, plan = holdOf(own)) => planFile(plan, builtInLibrary, [own]);
  const bring = async (document: unknown) => (await api().post('/api/v1/plans').send({ document }).expect(201)).body;

  test('a file brings the entries it uses; brought twice they are here once', async () => {
    await bring(file(named('My seat')));
    await bring(file(named('My seat')));
    expect((await list()).map(({ document }: { document: CustomEntry }) => document)).toEqual([named('My seat')]);
  });

  test('one whose id stands for something else here comes under a new id, and the plan uses that', async () => {
    await create(named('Mine')).expect(201);
    const { document } = await bring(file(named('Theirs')));
    const entries = await list();
    expect(entries).toHaveLength(2);
    const theirs = entries.find(({ document: own }: { document: CustomEntry }) => own.entry.names.english === 'Theirs');
    expect(document.steps[0].position).toBe(theirs.id);
    expect(theirs.id).not.toBe('own-seat');
  });

  test('a file with a wrong entry stores nothing, neither plan nor entry', async () => {
    const own = named('My seat');
    const { body } = await api()
      .post('/api/v1/plans')
      .send({ document: { ...file(own), entries: [own, { ...own, entry: { ...own.entry, short: '' } }] } })
      .expect(422);
    expect(body.errors).toEqual([{ field: 'document.entries.1.entry.short', reason: 'A short name is needed.' }]);
    expect([await list(), (await api().get('/api/v1/plans')).body.total]).toEqual([[], 0]);
  });

  test('the arithmetic knows them: those of the library and those a script sends along', async () => {
    const own = named('My seat');
    const enterMs = async (document: unknown) =>
      (await api().post('/api/v1/timeline').send({ document }).expect(200)).body.phases.find(
        ({ kind }: { kind: string }) => kind === 'enter',
      ).endMs;
    const unknown = await enterMs(holdOf(own));
    const sent = await enterMs({ ...holdOf(own), entries: [own] });
    await create(own);
    expect([sent !== unknown, await enterMs(holdOf(own))]).toEqual([true, sent]);
  });

  test('a run keeps the times its positions had', async () => {
    const own = named('My seat');
    await create(own);
    await api()
      .post('/api/v1/plans')
      .send({ id: 'p', document: holdOf(own) })
      .expect(201);
    const run = await api().post('/api/v1/runs').send({ id: 'r', planId: 'p', planRevision: 1 }).expect(201);
    expect(run.body.plan.steps[0].enterSeconds).toBe(33);
  });

  test('the plans that use an entry can be asked for', async () => {
    const like = planOf({ ...holdNamed('own_seat', 'a'), position: 'own_seat', note: '"position":"own-seat"' });
    const breath = planOf(breathFrom(TECHNIQUES[0]!, 'a'));
    for (const [id, document] of Object.entries({
      like,
      breath,
      held: holdOf(named('My seat')),
      empty: emptyPlan('x'),
    })) {
      await api().post('/api/v1/plans').send({ id, document }).expect(201);
    }
    const using = async (uses: string) =>
      (await api().get('/api/v1/plans').query({ uses }).expect(200)).body.items.map(({ id }: { id: string }) => id);
    expect(await using('own-seat')).toEqual(['held']);
    expect(await using(TECHNIQUES[0]!.id)).toEqual(['breath']);
    await api().get('/api/v1/plans').query({ uses: '%' }).expect(422);
  });
});

describe('deleted entries', () => {
  test('lie in the bin, are still listed for the plans that use them, and come back', async () => {
    await create(named('My seat'));
    await api().delete('/api/v1/entries/own-seat').expect(204);
    await api().delete('/api/v1/entries/own-seat').expect(204);
    expect((await list())[0].deletedAt).toBe(new Date(server.clock).toISOString());
    expect((await api().get('/api/v1/bin')).body.items).toMatchObject([
      { kind: 'entry', id: 'own-seat', title: 'My seat' },
    ]);
    await api().post('/api/v1/bin/entry/own-seat/restore').expect(204);
    expect((await list())[0].deletedAt).toBeNull();
    await api().delete('/api/v1/entries/own-nothing').expect(404);
  });

  test('are gone after thirty days, unless a plan stands on them', async () => {
    const [used, unused] = [named('Used', 'own-used'), named('Unused', 'own-unused')];
    for (const own of [used, unused]) {
      await create(own).expect(201);
      await api().delete(`/api/v1/entries/${own.entry.id}`).expect(204);
    }
    await api()
      .post('/api/v1/plans')
      .send({ id: 'p', document: holdOf(used) })
      .expect(201);
    await server.days(31);
    expect((await list()).map(({ id }: { id: string }) => id)).toEqual(['own-used']);
    await api().delete('/api/v1/plans/p').expect(204);
    await server.days(31);
    expect(await list()).toEqual([]);
  });
});
