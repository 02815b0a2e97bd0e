import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { newGroup, newPerson } from '#core/people';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { usePeople } from './people';

let browser: FakeBrowser;
let server: FakeServer;
beforeEach(() => {
  setActivePinia(createPinia());
  browser = fakeBrowser();
  server = fakeServer();
  server.put('/people/ines', newPerson('Ines Quay'));
  server.put('/people/odo', newPerson('Odo Reed'));
  server.put('/groups/choir', { ...newGroup('Choir'), members: ['ines', 'odo'] });
  browser.answer = server.answer;
});
afterEach(() => settle());

test('people and groups are read once, however many pages ask', async () => {
  const people = usePeople();
  await Promise.all([people.ready(), people.ready()]);
  expect(people.people?.map(({ id }) => id)).toEqual(['ines', 'odo']);
  expect(people.group('choir')?.members).toEqual(['ines', 'odo']);
  expect([people.group(null), people.group('nobody')]).toEqual([undefined, undefined]);
  expect(browser.calls.filter(({ path }) => path.startsWith('/people'))).toHaveLength(1);
});

test('some of them come in the order they are asked for; who is not known is left out', async () => {
  const people = usePeople();
  await people.ready();
  expect(people.of(['odo', 'gone', 'ines']).map(({ person }) => person.name)).toEqual(['Odo Reed', 'Ines Quay']);
});

test('outside People they are initials, until names are wanted', async () => {
  const people = usePeople();
  await people.ready();
  expect([people.shown('ines'), people.shown('odo')]).toEqual(['IQ', 'OR']);
  people.showNames = true;
  expect([people.shown('ines'), people.shown('gone')]).toEqual(['Ines Quay', 'someone who could not be found']);
});

test('locked, nothing of them is left in the window', async () => {
  const people = usePeople();
  await people.ready();
  people.lock();
  expect([people.people, people.groups, people.of(['ines'])]).toEqual([undefined, undefined, []]);
  expect(people.shown('ines')).toBe('someone who could not be found');
});

test('where the server is away that is said, and asked again it comes', async () => {
  server.fate = () => 'lostRequest';
  const people = usePeople();
  await people.ready();
  expect(people.trouble).not.toBe('');
  expect(people.people).toBeUndefined();
  server.fate = () => 'arrives';
  await people.load();
  expect([people.trouble, people.people?.length]).toEqual(['', 2]);
});
