import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import request from 'supertest';
import { testServer } from '../tests/support/test-server';
import { createApp } from './app';

const server = testServer();
let webFolder: string;

beforeAll(async () => {
  webFolder = await mkdtemp(join(tmpdir(), 'zovrin-web-'));
  await mkdir(join(webFolder, 'assets'));
  await writeFile(join(webFolder, 'index.html'), '<title>Zovrin</title>');
  await writeFile(join(webFolder, 'assets', 'index-abc.js'), 'export {};');
});
afterAll(() => rm(webFolder, { recursive: true }));
const web = () => request(createApp(server.store, { webFolder, log: (error) => server.logged.push(error) }));

test('every address of the interface is its one page; the API keeps its own', async () => {
  for (const path of ['/', '/plans/some-plan', '/people/groups/g?view=groups']) {
    const { status, text } = await web().get(path);
    expect([path, status, text]).toEqual([path, 200, '<title>Zovrin</title>']);
  }
  expect((await web().get('/api/v1/nothing')).body).toMatchObject({ status: 404, title: 'Not found' });
});

test('what is built is kept for good by the browser; a part of an older build that is gone is not the page', async () => {
  const built = await web().get('/assets/index-abc.js');
  expect([built.status, built.headers['cache-control']]).toEqual([200, 'public, max-age=31536000, immutable']);
  const gone = await web().get('/assets/index-old.js');
  expect([gone.status, gone.text.includes('<title>')]).toEqual([404, false]);
});

test('nothing outside of the folder is given out', async () => {
  for (const path of ['/assets/../../etc/passwd', '/assets/%2e%2e/%2e%2e/etc/passwd', '/..%2f..%2fetc%2fpasswd']) {
    const { text } = await web().get(path);
    expect([path, text.includes('root:')]).toEqual([path, false]);
  }
});

test('pages and answers say what a browser may do with them', async () => {
  for (const path of ['/', '/api/v1/health']) {
    const { headers } = await web().get(path);
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['strict-transport-security']).toBeUndefined();
  }
});

test('without a built interface only the API is there', async () => {
  const api = request(createApp(server.store, { webFolder: join(webFolder, 'none'), log: () => undefined }));
  expect((await api.get('/')).status).toBe(404);
  expect((await api.get('/api/v1/health')).body).toEqual({ ok: true });
});
