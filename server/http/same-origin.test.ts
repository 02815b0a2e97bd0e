import { describe, expect, test } from '@jest/globals';
import { once } from 'node:events';
import { request as send, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { emptyPlan } from '#core/plan';
import { newPerson } from '#core/people';
import { testServer } from '../../tests/support/test-server';
import { createApp } from '../app';
import { originsIn } from './same-origin';

const server = testServer();

/** Sends a request with exactly these headers, as no browser and no fetch would let one. */
async function raw(
  port: number,
  method: string,
  path: string,
  headers: Record<string, string>,
  body?: unknown,
): Promise<{ status: number; text: string }> {
  const response = send({ port, host: '127.0.0.1', method, path, headers, setHost: false });
  response.end(body === undefined ? undefined : JSON.stringify(body));
  const [answer] = (await once(response, 'response')) as [IncomingMessage];
  let text = '';
  for await (const piece of answer) text += String(piece);
  return { status: answer.statusCode ?? 0, text };
}

async function serving<T>(work: (port: number) => Promise<T>, origins: string[] = []): Promise<T> {
  const app = createApp(server.store, { log: (error) => server.logged.push(error), origins });
  const listening: Server = app.listen(0, '127.0.0.1');
  await once(listening, 'listening');
  try {
    return await work((listening.address() as AddressInfo).port);
  } finally {
    listening.closeAllConnections();
    listening.close();
  }
}
const json = { 'content-type': 'application/json' };

describe('requests under a name that is not ours', () => {
  test.each([
    ['another site’s', 'tide-tables.example'],
    ['another site’s with our port', 'tide-tables.example:PORT'],
    ['ours with another port', '127.0.0.1:1'],
    ['one that only begins like ours', 'localhost.tide-tables.example:PORT'],
    ['one that only ends like ours', 'tide-tables.example@localhost:PORT'],
    ['ours without the port', 'localhost'],
    ['an empty one', ''],
  ])('%s: nothing is read, written or locked', async (_what, host) => {
    await server
      .api()
      .post('/api/v1/people')
      .send({ id: 'mara', document: newPerson('Mara Quill') });
    await serving(async (port) => {
      const forged = { host: host.replace('PORT', String(port)) };
      for (const path of ['/api/v1/people', '/api/v1/health', '/', '/api/v1/plans']) {
        const { status, text } = await raw(port, 'GET', path, forged);
        expect([path, status, text.includes('Quill')]).toEqual([path, 421, false]);
      }
      const headers = { ...forged, ...json };
      const person = { id: 'planted', document: newPerson('Planted') };
      expect((await raw(port, 'POST', '/api/v1/people', headers, person)).status).toBe(421);
      const passphrase = { passphrase: 'now it is my own house', minutes: 5 };
      expect((await raw(port, 'PUT', '/api/v1/lock', headers, passphrase)).status).toBe(421);
    });
    expect(await server.store.people.count()).toBe(1);
    expect((await server.api().get('/api/v1/lock')).body.set).toBe(false);
  });

  test('a request without a Host is refused as well', async () => {
    await serving(async (port) => {
      expect((await raw(port, 'GET', '/api/v1/people', {})).status).toBeGreaterThanOrEqual(400);
    });
  });

  test.each(['127.0.0.1', 'localhost', 'LOCALHOST', '[::1]'])('%s with our port is ours', async (name) => {
    await serving(async (port) => {
      expect((await raw(port, 'GET', '/api/v1/health', { host: `${name}:${port}` })).status).toBe(200);
    });
  });

  test('a studio’s own names are taken from a list of origins', async () => {
    await serving(async (port) => {
      const studio = { host: 'zovrin.studio.example', ...json };
      expect((await raw(port, 'GET', '/api/v1/health', studio)).status).toBe(200);
      const plan = { document: emptyPlan('From the studio') };
      const from = (origin: string) => raw(port, 'POST', '/api/v1/plans', { ...studio, origin }, plan);
      expect((await from('https://zovrin.studio.example')).status).toBe(201);
      expect((await from('http://zovrin.studio.example')).status).toBe(403);
      expect((await from(`http://127.0.0.1:${port}`)).status).toBe(403);
    }, originsIn('https://zovrin.studio.example, http://10.0.0.5:4780'));
    for (const wrong of ['studio.example', 'ftp://studio.example', 'https://studio.example/zovrin']) {
      expect(() => originsIn(wrong)).toThrow('is not an origin');
    }
  });
});

describe('changes that another site asks for', () => {
  const foreign: [string, Record<string, string>][] = [
    ['Origin of another site', { origin: 'https://tide-tables.example' }],
    ['Origin of a page without one', { origin: 'null' }],
    ['Origin of another port here', { origin: 'http://127.0.0.1:1' }],
    ['Origin with another scheme', { origin: 'https://127.0.0.1:PORT' }],
    ['Sec-Fetch-Site: cross-site', { 'sec-fetch-site': 'cross-site' }],
    ['Sec-Fetch-Site: same-site', { 'sec-fetch-site': 'same-site' }],
    ['our Origin, but Sec-Fetch-Site: cross-site', { origin: 'http://127.0.0.1:PORT', 'sec-fetch-site': 'cross-site' }],
  ];
  test.each(foreign)('%s: refused, with a body and without one', async (_what, headers) => {
    await server
      .api()
      .post('/api/v1/plans')
      .send({ id: 'p', document: emptyPlan('Evening') });
    await server.api().delete('/api/v1/plans/p').expect(204);
    await serving(async (port) => {
      const sent = Object.fromEntries(
        Object.entries({ host: `127.0.0.1:${port}`, ...headers }).map(([name, value]) => [
          name,
          value.replace('PORT', String(port)),
        ]),
      );
      // Without a body a page of another site can send it without asking first.
      expect((await raw(port, 'POST', '/api/v1/bin/plan/p/restore', sent)).status).toBe(403);
      expect((await raw(port, 'DELETE', '/api/v1/people/mara/forever', sent)).status).toBe(403);
      const form = { ...sent, 'content-type': 'text/plain' };
      expect((await raw(port, 'POST', '/api/v1/plans', form, { document: emptyPlan('Planted') })).status).toBe(403);
      // What only reads is answered: the browser keeps the answer from a page of another site.
      expect((await raw(port, 'GET', '/api/v1/health', sent)).status).toBe(200);
    });
    expect((await server.api().get('/api/v1/plans')).body.total).toBe(0);
    expect((await server.api().get('/api/v1/bin')).body.items).toHaveLength(1);
  });

  test('our own pages and scripts that are no page may', async () => {
    await serving(async (port) => {
      const host = `127.0.0.1:${port}`;
      const allowed: Record<string, string>[] = [
        {},
        { origin: `http://${host}`, 'sec-fetch-site': 'same-origin' },
        { 'sec-fetch-site': 'none' },
      ];
      for (const headers of allowed) {
        const { status } = await raw(
          port,
          'POST',
          '/api/v1/plans',
          { host, ...json, ...headers },
          { document: emptyPlan('Ours') },
        );
        expect(status).toBe(201);
      }
    });
  });
});

describe('what every answer carries', () => {
  test('nothing of the API is kept by the browser or on its disk', async () => {
    for (const path of ['/api/v1/people', '/api/v1/plans', '/api/v1/lock', '/api/v1/nowhere']) {
      expect([path, (await server.api().get(path)).headers['cache-control']]).toEqual([path, 'no-store']);
    }
  });

  test('the content security policy leaves no other base, no other target for a form, and no frame', async () => {
    const policy = (await server.api().get('/api/v1/health')).headers['content-security-policy'];
    for (const rule of ["base-uri 'none'", "form-action 'self'", "object-src 'none'", "frame-ancestors 'none'"]) {
      expect(policy).toContain(rule);
    }
    expect(policy).not.toContain('unsafe-eval');
  });
});
