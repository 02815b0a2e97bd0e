import { describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { breathFrom, breathMovesOf, emptyPlan, holdFrom, type Plan } from '#core/plan';
import { builtInLibrary } from '#library';
import { ListPlansResponse } from '#api';
import { testServer } from '../tests/support/test-server';
import { createApp } from './app';

const server = testServer();
const app = () => createApp(server.store, { log: (error) => server.logged.push(error) });
const make = async (title: string, patch: Partial<Plan> = {}): Promise<void> => {
  server.clock += 1000;
  const document = { ...emptyPlan(title), ...patch };
  await request(app()).post('/api/v1/plans').send({ document }).expect(201);
};
const titles = async (query: string): Promise<string[]> => {
  const { body } = await request(app()).get(`/api/v1/plans?${query}`).expect(200);
  return ListPlansResponse.parse(body).items.map(({ summary }) => summary.title);
};

test('plans of a group, of a place and still to come are found among many, however old they are', async () => {
  await make('Potters, long ago', { groupId: 'potters', cupboard: 'hall', startsAt: '2026-12-03T18:30' });
  await make('Choir, later', { groupId: 'choir', startsAt: '2026-12-10T10:00' });
  await make('Choir, past', { groupId: 'choir', cupboard: 'hall', startsAt: '2026-11-01T10:00' });
  for (let i = 0; i < 60; i++) await make(`Filler ${i}`);
  expect(await titles('groupId=potters')).toEqual(['Potters, long ago']);
  expect((await titles('cupboard=hall')).toSorted()).toEqual(['Choir, past', 'Potters, long ago']);
  expect(await titles('startsFrom=2026-11-29T00:00')).toEqual(['Potters, long ago', 'Choir, later']);
  expect(await titles('startsFrom=2026-11-29T00:00&limit=1')).toEqual(['Potters, long ago']);
  expect(await titles('groupId=nobody')).toEqual([]);
  await request(app()).get('/api/v1/plans?startsFrom=soon').expect(422);
});

describe('plans in order', () => {
  const taught = async (planId: string): Promise<void> => {
    await request(app())
      .post('/api/v1/runs')
      .send({ id: `run-${planId}`, planId, planRevision: 1 })
      .expect(201);
  };
  test('by title, date, class length, or when they were last taught; what has none of it comes last', async () => {
    const named = (title: string, patch: Partial<Plan>) => make(title, { group: 'ordered', ...patch });
    await named('Émile’s evening', { classSeconds: 3600, startsAt: '2026-12-03T18:30' });
    await named('dawn', { classSeconds: 1800 });
    await named('Zenith', { classSeconds: 5400, startsAt: '2026-12-10T10:00' });
    const { body } = await request(app()).get('/api/v1/plans?search=ordered').expect(200);
    const zenith = ListPlansResponse.parse(body).items.find(({ summary }) => summary.title === 'Zenith')!;
    await taught(zenith.id);
    const inOrder = (sort: string) => titles(`search=ordered&sort=${sort}`);
    expect(await inOrder('changed')).toEqual(['Zenith', 'dawn', 'Émile’s evening']);
    expect(await inOrder('title')).toEqual(['dawn', 'Émile’s evening', 'Zenith']);
    expect(await inOrder('date')).toEqual(['Zenith', 'Émile’s evening', 'dawn']);
    expect(await inOrder('length')).toEqual(['dawn', 'Émile’s evening', 'Zenith']);
    expect(await inOrder('taught')).toEqual(['Zenith', 'dawn', 'Émile’s evening']);
    await request(app()).get('/api/v1/plans?sort=colour').expect(422);
  });
});

describe('tags and the archive', () => {
  test('a plan is found by its tags, in whatever capitals; the tags in use are counted, the archived not with them', async () => {
    await make('Tagged one', { tags: ['Winter term', 'knees'] });
    await make('Tagged two', { tags: ['winter Term'] });
    await make('Put away', { tags: ['knees', 'old'], archived: true });
    expect(await titles('tag=WINTER%20TERM')).toEqual(['Tagged two', 'Tagged one']);
    expect(await titles('tag=winter')).toEqual([]);
    expect(await titles('search=winter')).toEqual(['Tagged two', 'Tagged one']);
    expect(await titles('tag=knees')).toEqual(['Put away', 'Tagged one']);
    expect(await titles('tag=knees&archived=false')).toEqual(['Tagged one']);
    expect(await titles('archived=true')).toEqual(['Put away']);
    const { body } = await request(app()).get('/api/v1/plan-tags').expect(200);
    expect(body).toEqual({
      items: [
        { tag: 'knees', plans: 1 },
        { tag: 'winter Term', plans: 2 },
      ],
      archived: 1,
    });
  });

  test('a tag is a few words, given once', async () => {
    const refused = async (tags: unknown): Promise<string[]> => {
      const answer = await request(app())
        .post('/api/v1/plans')
        .send({ document: { ...emptyPlan('Never made'), tags } });
      expect(answer.status).toBe(422);
      return (answer.body as { errors: { reason: string }[] }).errors.map(({ reason }) => reason);
    };
    expect(await refused(['knees', 'Knees'])).toEqual(['The plan has the tag “Knees” already.']);
    expect(await refused(['  knees'])).toEqual([
      'A tag is a word or a short phrase, with no spaces before or after it.',
    ]);
    expect(await refused(['x'.repeat(41)])).toEqual(['A tag has at most 40 characters.']);
    expect(await refused(Array.from({ length: 13 }, (_, i) => `t${i}`))).toEqual(['A plan has at most 12 tags.']);
    expect(await refused('knees')).not.toEqual([]);
  });
});

describe('entries used lately', () => {
  test('are those of the plans changed last, in holds, breaths and stages; not of the bin or the archive', async () => {
    const hold = (id: string) => holdFrom(builtInLibrary.position(id)!, 'yin', id);
    const breath = (id: string) => breathFrom(builtInLibrary.technique(id)!, id);
    const moved = { ...breath('equal-breath'), id: 'moved', moves: breathMovesOf(builtInLibrary.position('locust')!) };
    await make('Early', { steps: [hold('hanging-fold')] });
    for (let i = 0; i < 17; i++) await make(`Filler ${i}`);
    await make('Late', { steps: [hold('butterfly-fold'), breath('humming'), moved] });
    await make('Put away', { archived: true, steps: [hold('camel')] });
    const used = async () => (await request(app()).get('/api/v1/used-entries').expect(200)).body as unknown;
    expect(await used()).toEqual({
      plans: 19,
      items: ['butterfly-fold', 'equal-breath', 'hanging-fold', 'humming', 'locust'],
    });
    await make('One more', { steps: [hold('butterfly-fold')] });
    await make('And one more');
    // Twenty plans later than the first one.
    expect(await used()).toEqual({ plans: 20, items: ['butterfly-fold', 'equal-breath', 'humming', 'locust'] });
  });
});
