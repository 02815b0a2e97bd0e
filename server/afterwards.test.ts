import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newJournalEntry, type JournalEntry } from '#core/journal';
import { TEMPLATES } from '#library';
import { PractisedResponse } from '#api';
import { loadDemo } from './demo';
import { testServer } from '../tests/support/test-server';

const server = testServer();
const { api } = server;
const T0 = 1_790_000_000_000;
const morning: JournalEntry = {
  ...newJournalEntry('2026-11-02T06:40'),
  seconds: 900,
  holds: [{ id: 'h', position: 'reclined-twist', name: 'Twist', left: 200, right: 180, both: 0, strength: 3 }],
};
const write = (id: string, document: unknown) => api().post('/api/v1/journal').send({ id, document });

async function taughtRun(): Promise<string> {
  const plan = await api().post('/api/v1/plans').send({ document: TEMPLATES[0]!.plan }).expect(201);
  await api().post('/api/v1/runs').send({ id: 'run-1', planId: plan.body.id, planRevision: 1 }).expect(201);
  return plan.body.id as string;
}
const happen = (...events: object[]) => api().post('/api/v1/runs/run-1/events').send({ events });

describe('the journal', () => {
  test('is written without a run, corrected, put into the bin and taken back', async () => {
    await write('j1', morning).expect(201);
    await api()
      .put('/api/v1/journal/j1')
      .send({ revision: 1, document: { ...morning, note: 'warm' } })
      .expect(200);
    await api().put('/api/v1/journal/j1').send({ revision: 1, document: morning }).expect(409);
    await api().delete('/api/v1/journal/j1').expect(204);
    expect((await api().get('/api/v1/journal')).body.items).toEqual([]);
    expect((await api().get('/api/v1/bin')).body.items).toMatchObject([{ kind: 'journal', title: 'Practised alone' }]);
    await api().post('/api/v1/bin/journal/j1/restore').expect(204);
    expect((await api().get('/api/v1/journal')).body.items).toMatchObject([{ document: { note: 'warm' } }]);
  });

  test('what does not fit is refused with its field', async () => {
    const refused = await write('j1', { ...morning, beganAt: '2026-11-02' }).expect(422);
    expect(refused.body.errors).toEqual([{ field: 'document.beganAt', reason: 'A day and a time are needed.' }]);
  });
});

describe('what is said of a run afterwards', () => {
  test('is kept with it, each word once, and days later too', async () => {
    await taughtRun();
    const annotations = [
      { id: 'event-no-1', atMs: T0, kind: 'started' },
      { id: 'event-no-2', atMs: T0 + 1000, kind: 'ended' },
      { id: 'event-no-3', atMs: T0 + 9e7, kind: 'rated', stepId: 'a', side: 'left', strength: 4 },
      {
        id: 'event-no-4',
        atMs: T0 + 9e7,
        kind: 'reviewed',
        review: { steps: [{ stepId: 'a', tighter: 'left', props: 'tooLow' }], change: 'sooner', note: '' },
      },
      { id: 'event-no-5', atMs: T0 + 9e7, kind: 'corrected', lengths: [], endedAtMs: T0 + 500, why: '' },
    ];
    await happen(...annotations).expect(200);
    await happen(...annotations).expect(200);
    expect((await api().get('/api/v1/runs/run-1')).body.events).toEqual(annotations);
  });

  test('a strength of twelve, a side that is none, a length below none are refused', async () => {
    await taughtRun();
    const wrong = async (body: object) =>
      (await happen({ id: 'event-no-1', atMs: T0, ...body }).expect(422)).body.errors[0].field;
    const rated = { kind: 'rated', stepId: 'a', side: 'left', strength: 4 };
    expect(await wrong({ ...rated, strength: 12 })).toBe('events.0.strength');
    expect(await wrong({ ...rated, side: 'none' })).toBe('events.0.side');
    const length = { stepId: 'a', side: 'left', ms: -1 };
    expect(await wrong({ kind: 'corrected', lengths: [length], endedAtMs: null, why: '' })).toBe(
      'events.0.lengths.0.ms',
    );
  });
});

describe('what was practised', () => {
  test('runs and the journal, in the time that was asked for', async () => {
    expect((await api().get('/api/v1/practised').expect(200)).body).toEqual({ practised: [], unreadable: 0 });
    await loadDemo(server.store, '2026-11-25');
    const { practised } = PractisedResponse.parse((await api().get('/api/v1/practised').expect(200)).body);
    expect(practised.filter(({ kind }) => kind === 'run').length).toBeGreaterThan(9);
    expect(practised.some(({ kind }) => kind === 'entry')).toBe(true);
    const from = new Date('2026-11-19T00:00').getTime();
    const until = from + 86_400_000;
    const day = (await api().get(`/api/v1/practised?from=${from}&until=${until}`).expect(200)).body.practised;
    expect(day).toMatchObject([
      { id: 'demo-run-nurses', people: expect.arrayContaining(['demo-bryony', 'demo-nurse-1']) },
    ]);
    await api().get('/api/v1/practised?from=never').expect(422);
  });

  test('of one group, found by its id, or by its name where it has none', async () => {
    await loadDemo(server.store, '2026-11-25');
    const idsOf = async (query: string): Promise<string[]> =>
      PractisedResponse.parse((await api().get(`/api/v1/practised?${query}`).expect(200)).body)
        .practised.map(({ id }) => id)
        .sort();
    const choir = ['demo-run-choir', 'demo-run-choir-1', 'demo-run-choir-2'];
    expect(await idsOf('groupId=demo-group-singers')).toEqual(choir);
    expect(await idsOf('group=Choir+singers')).toEqual(choir);
    expect(await idsOf('groupId=nobody')).toEqual([]);
    expect(await idsOf('group=')).toEqual([]);
  });

  test('a review says how easy a breath was; somebody who is forgotten is forgotten in it too', async () => {
    await loadDemo(server.store, '2026-11-25');
    const easy = async () =>
      PractisedResponse.parse((await api().get('/api/v1/practised?groupId=demo-group-singers')).body)
        .practised.filter(({ id }) => id === 'demo-run-choir')
        .flatMap(({ easyBreaths }) => easyBreaths);
    expect(await easy()).toContainEqual({
      ratio: { in: 1, holdFull: 1, out: 2, holdEmpty: 0 },
      effortFor: ['demo-singer-1'],
    });
    await api().delete('/api/v1/people/demo-singer-1/forever').expect(200);
    expect(JSON.stringify(await easy())).not.toContain('demo-singer-1');
  });
});

test('whatever is said of a run, it is never a fault of the server', async () => {
  await taughtRun();
  await fc.assert(
    fc.asyncProperty(
      fc.jsonValue(),
      fc.constantFrom('rated', 'reviewed', 'corrected', 'present'),
      async (any, kind) => {
        const body = typeof any === 'object' && any !== null && !Array.isArray(any) ? any : { review: any };
        const answer = await happen({ ...body, id: 'event-any', atMs: T0, kind });
        expect([200, 422]).toContain(answer.status);
      },
    ),
    { numRuns: 40 },
  );
  expect(server.logged).toEqual([]);
});
