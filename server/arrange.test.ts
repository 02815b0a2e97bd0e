import { describe, expect, test } from '@jest/globals';
import { emptyPlan, holdFrom, Plan, restStep, type Step } from '#core/plan';
import { ORDER_RULES } from '#core/order';
import { builtInLibrary } from '#library';
import { loadDemo } from './demo';
import { testServer } from '../tests/support/test-server';

const server = testServer();
const hold = (id: string, position: string): Step => holdFrom(builtInLibrary.position(position)!, 'yin', id);
const document = Plan.parse({
  ...emptyPlan('Evening', 'yin'),
  classSeconds: 1800,
  steps: [
    hold('a', 'butterfly-fold'),
    hold('b', 'reclined-twist'),
    hold('c', 'seated-fold'),
    restStep('r', 'Last rest', 420),
  ],
});
const post = (path: string, body: object) => server.api().post(`/api/v1/${path}`).send(body);

describe('fitting, ordering and forecasting for scripts', () => {
  test('a plan is fitted to its class, and comes back with its new lengths', async () => {
    const { status, body } = await post('fit', { document });
    expect(status).toBe(200);
    expect(body.fit.kind).toBe('fits');
    expect(body.fit.totalMs).toBeLessThanOrEqual(1800_000);
    expect(body.fit.totalMs).toBeGreaterThan(1770_000);
    expect(Plan.safeParse(body.document).success).toBe(true);
    expect(body.says).toMatch(/with \d lengths? changed/);
  });

  test('one that cannot be met says what would do, and the plan comes back as it is', async () => {
    const options = {
      target: { kind: 'length', seconds: 300 },
      gridSeconds: 15,
      lastRestSeconds: null,
      talkSeconds: 0,
    };
    const { status, body } = await post('fit', { document, options });
    expect([status, body.fit.kind]).toEqual([200, 'tooLong']);
    expect(body.says).toMatch(/^It cannot be that short/);
    expect(body.document).toEqual(JSON.parse(JSON.stringify(document)));
  });

  test('it is put into a quieter order, by the rules of the house or those that are sent', async () => {
    const { status, body } = await post('order', { document });
    expect(status).toBe(200);
    expect(body.order.after.cost).toBeLessThanOrEqual(body.order.before.cost);
    expect(body.document.steps.at(-1).id).toBe('r');
    const weights = { family: 0, propMove: 0, wall: 0, side: 0 };
    const still = await post('order', {
      document,
      rules: { ...ORDER_RULES, weights, answer: false, longSeconds: null },
    });
    expect(still.body.document.steps.map(({ id }: Step) => id)).toEqual(['a', 'b', 'c', 'r']);
  });

  test('its end is forecast from the runs that are kept: none, then those of the demo', async () => {
    const none = await post('forecast', { document, evenings: 500 });
    expect(none.body.forecast.runs).toBe(0);
    server.clock = Date.parse('2026-11-24T12:00:00Z');
    await loadDemo(server.store, '2026-11-25');
    const some = await post('forecast', { document, evenings: 500, seed: 9 });
    expect(some.body.forecast.runs).toBeGreaterThan(8);
    expect(some.body.says).toMatch(/^Planned .*; your sessions run .*; 90 % likely to end by /);
    expect((await post('forecast', { document, evenings: 500, seed: 9 })).body).toEqual(some.body);
    const { body } = await server.api().get('/api/v1/pace');
    expect(body.runs).toHaveLength(some.body.forecast.runs);
  });

  test.each<[string, string, object, string, RegExp]>([
    [
      'a target of nothing',
      'fit',
      { options: { target: { kind: 'length', seconds: 0 }, gridSeconds: 15, lastRestSeconds: null, talkSeconds: 0 } },
      'options.target.seconds',
      /longer than nothing/,
    ],
    [
      'a grid of seven',
      'fit',
      { options: { target: { kind: 'length', seconds: 60 }, gridSeconds: 7, lastRestSeconds: null, talkSeconds: 0 } },
      'options.gridSeconds',
      /1, 5, 15, 30 or 60/,
    ],
    [
      'weights below nothing',
      'order',
      { rules: { ...ORDER_RULES, weights: { ...ORDER_RULES.weights, wall: -1 } } },
      'rules.weights.wall',
      /0 or more/,
    ],
    ['a million evenings', 'forecast', { evenings: 1_000_000 }, 'evenings', /At most 20000/],
  ])('%s is answered at its field', async (_, path, sent, field, reason) => {
    const { status, body } = await post(path, { document, ...sent });
    expect(status).toBe(422);
    expect(body.errors).toContainEqual({ field, reason: expect.stringMatching(reason) });
  });

  test('a range upside down, a circle, and too many steps that may move', async () => {
    const upside = { ...document, steps: [{ ...document.steps[0], range: { min: 300, max: 60 } }] };
    expect((await post('fit', { document: upside })).body.errors[0]).toEqual({
      field: 'document.steps.0.range',
      reason: 'The shorter end of a range comes first.',
    });
    const orderPairs = [
      { before: 'a', after: 'b' },
      { before: 'b', after: 'a' },
    ];
    expect((await post('order', { document: { ...document, orderPairs } })).body.errors[0].reason).toMatch(
      /go in a circle/,
    );
    const many = Array.from({ length: 200 }, (_, i) => hold(`s${i}`, 'butterfly-fold'));
    expect((await post('order', { document: { ...document, steps: many } })).body.errors[0].reason).toMatch(
      /200 steps may move/,
    );
    expect(server.logged).toEqual([]);
  });
});

describe('variants beside a plan', () => {
  const variants = (id: string) => `/api/v1/plans/${id}/variants`;
  const named = (name: string) => ({
    format: 'zovrin-variants',
    version: 1,
    variants: [{ id: 'one', name, madeAt: '2026-11-25T15:00:00.000Z', plan: document }],
  });
  const make = async (): Promise<string> => (await post('plans', { document })).body.id;
  const put = (id: string, revision: number, body: object) =>
    server.api().put(variants(id)).send({ revision, document: body });

  test('none to begin with; kept with a revision, the same one twice is one', async () => {
    const id = await make();
    expect((await server.api().get(variants(id))).body).toMatchObject({ revision: 0, document: { variants: [] } });
    expect((await put(id, 0, named('Short'))).body.revision).toBe(1);
    expect((await put(id, 0, named('Short'))).body.revision).toBe(1);
    expect((await server.api().get(variants(id))).body.document.variants[0].plan.title).toBe('Evening');
  });

  test('a stale write is answered with both; what does not fit with its field; nothing is kept beside nothing', async () => {
    const id = await make();
    await put(id, 0, named('Short'));
    const stale = await put(id, 0, named('Other'));
    expect([stale.status, stale.body.current.document.variants[0].name, stale.body.yours.variants[0].name]).toEqual([
      409,
      'Short',
      'Other',
    ]);
    const wrong = await put(id, 1, named(' '));
    expect([wrong.status, wrong.body.errors[0].field]).toEqual([422, 'document.variants.0.name']);
    expect((await put('nowhere', 0, named('Short'))).status).toBe(404);
    expect((await server.api().get(variants('nowhere'))).status).toBe(404);
  });

  test('they go for good with their plan', async () => {
    const id = await make();
    await put(id, 0, named('Short'));
    await server.api().delete(`/api/v1/plans/${id}`);
    await server.days(31);
    expect(await server.store.variants.count()).toBe(0);
  });
});
