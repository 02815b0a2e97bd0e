import { describe, expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import type { Router } from 'express';
import { openApi, OPERATIONS, type Operation } from '#api/openapi';
import { createApp } from '../../server/app';
import { createAudienceServer } from '../../server/audience/audience-server';
import { loadDemo } from '../../server/demo';
import { addEntry } from '../../server/store/custom-entries';
import { copyOf, positionDocument } from '#core/catalogue';
import { POSITIONS } from '#library';
import { testServer } from '../support/test-server';

const server = testServer(async (store) => {
  await loadDemo(store, '2026-11-25');
  const own = copyOf(positionDocument(POSITIONS[0]!), 'own-position');
  await store.write((tables) => addEntry(tables, own, store.now()));
});
const description = openApi() as {
  paths: Record<
    string,
    Record<string, { operationId: string; responses: Record<string, { content?: Record<string, { schema: object }> }> }>
  >;
  components: { schemas: { Problem: object } };
};
const keyOf = ({ method, path }: Pick<Operation, 'method' | 'path'>): string => `${method} ${path}`;

interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle: { stack?: Layer[] };
  /** What of a path it matches; false where it does not. */
  match(path: string): { path: string } | false;
}

/** Every route that a router answers, found by trying where the described operations would be. */
function routesOf(router: { stack?: Layer[] }, at: string, tried: readonly string[]): string[] {
  return (router.stack ?? []).flatMap((layer): string[] => {
    if (layer.route) {
      const { path, methods } = layer.route;
      return Object.keys(methods).map((method) => `${method} ${at}${path === '/' ? '' : path}`);
    }
    if (!layer.handle.stack) return [];
    const prefixes = new Set(
      tried.flatMap((path) => {
        const matched = layer.match(path);
        return matched ? [matched.path] : [];
      }),
    );
    // A router that no described operation leads to would be one that nobody has described.
    if (prefixes.size === 0) return [`a router below ${at || '/'} that is not described`];
    return [...prefixes].flatMap((prefix) =>
      routesOf(
        layer.handle,
        at + prefix,
        tried.filter((path) => path.startsWith(prefix)).map((path) => path.slice(prefix.length) || '/'),
      ),
    );
  });
}

describe('the description of the API', () => {
  test('names every route there is, and no other', () => {
    const audience = createAudienceServer(server.store, { port: 0, log: () => undefined });
    const app = createApp(server.store, { audience, log: () => undefined });
    const own = OPERATIONS.filter(({ door }) => door !== 'phones');
    const paths = own.map(({ path }) => `/api/v1${path}`);
    const found = new Set(routesOf(app.router as unknown as Router & { stack: Layer[] }, '', paths));
    // Calendars read the feed, at an address that the API gives out.
    expect([...found].filter((route) => route !== 'get /calendar/:name').sort()).toEqual(
      own.map(({ method, path }) => `${method} /api/v1${path}`).sort(),
    );
  });

  test('is OpenAPI 3.1: each operation has an id of its own, and each schema is one', () => {
    const ajv = new Ajv2020({
      strict: false,
      multipleOfPrecision: 9,
      formats: { 'date-time': true, regex: true, uuid: true },
    });
    const operations = Object.values(description.paths).flatMap((methods) => Object.values(methods));
    expect(new Set(operations.map(({ operationId }) => operationId)).size).toBe(OPERATIONS.length);
    const schemas = new Set<string>();
    for (const { responses } of operations) {
      for (const { content = {} } of Object.values(responses)) {
        for (const { schema } of Object.values(content)) {
          if (!('$ref' in schema)) schemas.add(JSON.stringify(schema));
        }
      }
    }
    for (const schema of schemas) expect(ajv.validateSchema(JSON.parse(schema) as object)).toBe(true);
    expect(schemas.size).toBeGreaterThan(25);
  });
});

/** What each operation is asked with, where it needs more than the ids of the demo. */
const IDS: Record<string, string> = {};
async function firstId(list: string): Promise<string> {
  IDS[list] ??= (await server.api().get(`/api/v1${list}?limit=1`)).body.items[0].id as string;
  return IDS[list];
}

describe('what is answered is what is described', () => {
  const ajv = new Ajv2020({
    strict: false,
    multipleOfPrecision: 9,
    formats: { 'date-time': true, regex: true, uuid: true },
  });
  const problem = ajv.compile(description.components.schemas.Problem);
  const undescribed = OPERATIONS.filter(
    ({ method, door, path }) =>
      method === 'get' &&
      door === undefined &&
      path !== '/unreadable/:kind/:id' &&
      path !== '/outbox/:id/file' &&
      path !== '/audience',
  );

  test.each(undescribed.map((operation) => [keyOf(operation), operation] as const))('%s', async (_key, operation) => {
    const list = `/${operation.path.split('/')[1]}`;
    const path = operation.path.includes(':id')
      ? operation.path.replace(':id', await firstId(list)).replace(':revision', '1')
      : operation.path;
    const answer = await server.api().get(`/api/v1${path}`).expect(operation.status);
    const described = description.paths[operation.path.replace(/:(\w+)/g, '{$1}')]!.get!.responses[operation.status]!;
    const schema = described.content?.['application/json']?.schema;
    if (!schema) return;
    const isRight = ajv.compile(schema);
    expect([isRight(answer.body), isRight.errors]).toEqual([true, null]);
  });

  test.each(undescribed.filter(({ path }) => path.includes(':id')).map(({ path }) => [path] as const))(
    '%s of something that is not there is a problem that is described',
    async (path) => {
      const answer = await server
        .api()
        .get(`/api/v1${path.replace(':id', 'nothing').replace(':revision', '1')}`)
        .expect(404);
      expect([problem(answer.body), problem.errors]).toEqual([true, null]);
    },
  );

  test('a plan is made, saved by its tag, and a stale save answers with both versions', async () => {
    const document = {
      ...(await server.api().get(`/api/v1/plans/${await firstId('/plans')}`)).body.document,
      title: 'By the API',
    };
    const made = await server.api().post('/api/v1/plans').send({ document }).expect(201);
    expect(made.headers.location).toBe(`/api/v1/plans/${made.body.id}`);
    expect(made.headers.etag).toBe('"1"');
    const again = await server.api().post('/api/v1/plans').send({ id: made.body.id, document }).expect(201);
    expect(again.body.id).toBe(made.body.id);
    const saved = await server
      .api()
      .put(made.headers.location!)
      .set('If-Match', '"1"')
      .send({ document: { ...document, title: 'Saved by its tag' } })
      .expect(200);
    expect([saved.headers.etag, saved.body.revision]).toEqual(['"2"', 2]);
    const stale = await server.api().put(made.headers.location!).send({ revision: 1, document }).expect(409);
    expect([stale.body.current.document.title, stale.body.yours.title]).toEqual(['Saved by its tag', 'By the API']);
    await server.api().put(made.headers.location!).send({ document }).expect(422);
  });
});
