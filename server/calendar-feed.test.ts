import { describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { demoPeople } from '#library/demo';
import { testServer } from '../tests/support/test-server';
import { loadDemo } from './demo';

const server = testServer((store) => loadDemo(store, '2026-11-26'));
const { api } = server;

async function newAddress(): Promise<string> {
  return (await api().post('/api/v1/calendar-feed').expect(200)).body.path as string;
}
async function eventsAt(path: string): Promise<Map<string, ICAL.Component>> {
  const { text } = await api()
    .get(path)
    .expect(200)
    .expect('content-type', /^text\/calendar/);
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
  return new Map(events.map((event) => [event.getFirstPropertyValue('uid') as string, event]));
}
const valueOf = (event: ICAL.Component | undefined, name: string): string => String(event?.getFirstPropertyValue(name));
async function edit(id: string, patch: object): Promise<void> {
  const { revision, document } = (await api().get(`/api/v1/plans/${id}`)).body;
  await api()
    .put(`/api/v1/plans/${id}`)
    .send({ revision, document: { ...document, ...patch } })
    .expect(200);
}

describe('the calendar feed', () => {
  test('is at no address before there is one, and at no other address than that', async () => {
    expect((await api().get('/api/v1/calendar-feed').expect(200)).body).toEqual({ path: null });
    await api().get('/calendar/.ics').expect(404);
    const path = await newAddress();
    // 22 signs of six bits.
    expect(path).toMatch(/^\/calendar\/[\w-]{22}\.ics$/);
    expect((await api().get('/api/v1/calendar-feed')).body).toEqual({ path });
    await api().get(path.replace('.ics', '')).expect(404);
    await api()
      .get(`/calendar/${'A'.repeat(22)}.ics`)
      .expect(404);
    expect((await eventsAt(path)).size).toBeGreaterThan(2);
  });

  test('a renewed address is another one, and the old one answers no more; without one there is no feed', async () => {
    const [first, second] = [await newAddress(), await newAddress()];
    expect(second).not.toBe(first);
    await api().get(first).expect(404);
    await api().get(second).expect(200);
    await api().delete('/api/v1/calendar-feed').expect(204);
    await api().get(second).expect(404);
  });

  test('cannot be written to', async () => {
    const path = await newAddress();
    for (const method of ['post', 'put', 'delete'] as const) expect((await api()[method](path)).status).toBe(404);
    expect((await eventsAt(path)).size).toBeGreaterThan(2);
  });

  test('answers 304 until a class is changed', async () => {
    const path = await newAddress();
    const { etag } = (await api().get(path).expect(200)).headers as { etag: string };
    const again = await api().get(path).set('if-none-match', `"other", W/${etag}`).expect(304);
    expect(again.text).toBe('');
    await edit('demo-hour', { startsAt: '2026-12-09T17:45' });
    const changed = await api().get(path).set('if-none-match', etag).expect(200);
    expect(changed.headers.etag).not.toBe(etag);
  });

  test('a class keeps its UID when it is moved and when its plan is deleted, and every change has a higher number', async () => {
    const path = await newAddress();
    const uid = 'demo-nurses@zovrin';
    const sequence = async (): Promise<number> => Number(valueOf((await eventsAt(path)).get(uid), 'sequence'));
    const first = await sequence();
    await edit('demo-nurses', { startsAt: '2026-12-09T17:45' });
    const moved = (await eventsAt(path)).get(uid);
    expect(valueOf(moved, 'dtstart')).toBe('2026-12-09T17:45:00');
    expect(valueOf(moved, 'status')).toBe('CONFIRMED');
    expect(await sequence()).toBeGreaterThan(first);
    const before = await sequence();
    await api().delete('/api/v1/plans/demo-nurses').expect(204);
    expect(valueOf((await eventsAt(path)).get(uid), 'status')).toBe('CANCELLED');
    expect(await sequence()).toBeGreaterThan(before);
    await edit('demo-potters', { startsAt: null });
    expect((await eventsAt(path)).has('demo-potters@zovrin')).toBe(false);
  });

  test('a class is on the clock of its place', async () => {
    const path = await newAddress();
    const place = (await api().get('/api/v1/places/demo-low-room')).body;
    await api()
      .put('/api/v1/places/demo-low-room')
      .send({ revision: place.revision, document: { ...place.document, zone: 'Pacific/Auckland' } })
      .expect(200);
    await edit('demo-hour', { startsAt: '2026-12-09T17:45', cupboard: 'demo-low-room' });
    const start = (await eventsAt(path)).get('demo-hour@zovrin')?.getFirstProperty('dtstart');
    expect(start?.getFirstParameter('tzid')).toBe('Pacific/Auckland');
  });

  test('says nothing about people, also while they are locked', async () => {
    const path = await newAddress();
    await api().put('/api/v1/lock').send({ passphrase: 'seven wet herons waiting', minutes: 10 }).expect(204);
    const text = (await api().get(path).expect(200)).text.replace(/\r\n /g, '');
    for (const { person } of demoPeople) {
      expect(text).not.toContain(person.name);
      for (const { note } of person.conditions) if (note !== '') expect(text).not.toContain(note);
    }
  });

  test('has the classes of courses: those to come as events of the course, those with a plan as that plan', async () => {
    const events = await eventsAt(await newAddress());
    const ofCourse = [...events].filter(([uid]) => uid.startsWith('demo-longer-evenings.class-'));
    // Of eight classes three have a plan, and one was missed.
    expect(ofCourse).toHaveLength(5);
    expect(valueOf(events.get('demo-longer-evenings.class-3@zovrin'), 'status')).toBe('CANCELLED');
    expect(valueOf(events.get('demo-longer-evenings.class-5@zovrin'), 'summary')).toBe('Longer evenings, week 4');
    expect(valueOf(events.get('demo-longer-1@zovrin'), 'summary')).toBe('Longer evenings, week 1');
  });
});
