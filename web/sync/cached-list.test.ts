import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { newGroup, newPerson } from '#core/people';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { cachedList } from './cached-list';
import { usePeople } from '../state/people';
import { usePlaces } from '../state/places';

/** A server that answers when it is told to: `answers[n]` answers the n-th question. */
function slowly() {
  const answers: { give: (list: string[]) => void; fail: (why: string) => void }[] = [];
  const fetch = () =>
    new Promise<string[]>((give, fail) => answers.push({ give, fail: (why) => fail(new Error(why)) }));
  return { answers, fetch };
}
let channels: { name: string; heard: (() => void) | null; sent: unknown[] }[];

beforeEach(() => {
  fakeBrowser();
  channels = [];
  globalThis.BroadcastChannel = class {
    readonly own: (typeof channels)[number];
    constructor(name: string) {
      this.own = { name, heard: null, sent: [] };
      channels.push(this.own);
    }
    set onmessage(heard: () => void) {
      this.own.heard = heard;
    }
    postMessage(message: unknown): void {
      this.own.sent.push(message);
    }
    close(): void {}
  } as unknown as typeof BroadcastChannel;
});

describe('a list of the server', () => {
  test('is asked for once, however many want it, and again when another window has changed something', async () => {
    const { answers, fetch } = slowly();
    const { list, ready } = cachedList(fetch, 'zovrin.test');
    void ready();
    void ready();
    expect(answers).toHaveLength(1);
    answers[0]!.give(['a']);
    await settle();
    expect(list.value).toEqual(['a']);
    channels[0]!.heard?.();
    answers[1]!.give(['a', 'b']);
    await settle();
    expect(list.value).toEqual(['a', 'b']);
  });

  test('of two answers that overtake each other that of the later question stays', async () => {
    const { answers, fetch } = slowly();
    const { list, trouble, load } = cachedList(fetch);
    void load();
    void load();
    answers[1]!.give(['new']);
    await settle();
    answers[0]!.give(['old']);
    await settle();
    expect(list.value).toEqual(['new']);
    void load();
    void load();
    answers[3]!.give(['newer']);
    await settle();
    answers[2]!.fail('too slow');
    await settle();
    expect([list.value, trouble.value]).toEqual([['newer'], '']);
  });

  test('who waited has something, also where it was asked for again meanwhile', async () => {
    const { answers, fetch } = slowly();
    const { list, ready, load } = cachedList(fetch);
    let had: string[] | undefined;
    void ready().then(() => (had = list.value));
    void load();
    answers[0]!.give(['a']);
    await settle();
    expect(had).toEqual(['a']);
    answers[1]!.give(['a', 'b']);
    await settle();
    expect(list.value).toEqual(['a', 'b']);
  });

  test('what could not be had is told, what was there stays, and the next who wants it asks again', async () => {
    const { answers, fetch } = slowly();
    const { list, trouble, ready, load } = cachedList(fetch);
    void ready();
    answers[0]!.fail('The server cannot be reached.');
    await settle();
    expect([list.value, trouble.value]).toEqual([undefined, 'The server cannot be reached.']);
    void ready();
    answers[1]!.give(['a']);
    await settle();
    expect([list.value, trouble.value]).toEqual([['a'], '']);
    void load();
    answers[2]!.fail('gone');
    await settle();
    expect([list.value, trouble.value]).toEqual([['a'], 'gone']);
  });

  test('forgotten, nothing of it comes back with an answer that was under way', async () => {
    const { answers, fetch } = slowly();
    const { list, load, forget } = cachedList(fetch);
    void load();
    answers[0]!.give(['a']);
    await settle();
    void load();
    forget();
    answers[1]!.give(['a', 'b']);
    await settle();
    expect(list.value).toBeUndefined();
  });

  test('a change made here is told to the other windows and asked for here', async () => {
    const { answers, fetch } = slowly();
    const { changed, tell } = cachedList(fetch, 'zovrin.test');
    changed();
    tell();
    expect([channels[0]!.sent, answers.length]).toEqual([['changed', 'changed'], 1]);
    const silent = cachedList(fetch);
    silent.changed();
    expect(channels).toHaveLength(1);
  });
});

describe('people', () => {
  const moment = '2026-11-20T18:30:00.000Z';
  const row = <T>(id: string, document: T) => ({ id, revision: 1, createdAt: moment, updatedAt: moment, document });
  let browser: FakeBrowser;

  beforeEach(() => {
    setActivePinia(createPinia());
    browser = fakeBrowser();
    browser.answer = ({ path }) => {
      if (path.startsWith('/people?')) {
        const names = ['Mara Quill', 'Odo Maplin', 'Mara Quince'];
        return {
          status: 200,
          body: { total: names.length, unreadable: 0, items: names.map((name, i) => row(`p${i}`, newPerson(name))) },
        };
      }
      if (path.startsWith('/groups?')) {
        return {
          status: 200,
          body: {
            total: 1,
            unreadable: 0,
            items: [row('g', { ...newGroup('Potters'), members: ['p2', 'gone', 'p0'] })],
          },
        };
      }
      return { status: 404 };
    };
  });

  test('by their ids in the order asked for, without those who are gone; groups by theirs', async () => {
    const people = usePeople();
    await people.ready();
    expect(people.of(['p2', 'gone', 'p0']).map(({ person }) => person.name)).toEqual(['Mara Quince', 'Mara Quill']);
    expect([people.group('g')?.name, people.group(null), people.group('other')]).toEqual([
      'Potters',
      undefined,
      undefined,
    ]);
  });

  test('are told by initials that tell them apart, and by name where the teacher wants that', async () => {
    const people = usePeople();
    await people.ready();
    const initials = ['p0', 'p1', 'p2'].map((id) => people.shown(id));
    expect(new Set(initials).size).toBe(3);
    for (const one of initials) expect(one).not.toMatch(/Mara|Odo|Maplin/);
    expect(people.shown('gone')).toBe('someone who could not be found');
    people.showNames = true;
    expect(people.shown('p1')).toBe('Odo Maplin');
  });

  test('locked, nobody is left in the window', async () => {
    const people = usePeople();
    await people.ready();
    people.lock();
    expect([people.people, people.groups, people.byId.size, people.shown('p1')]).toEqual([
      undefined,
      undefined,
      0,
      'someone who could not be found',
    ]);
  });

  test('a server that says no is told; places are told the same way', async () => {
    browser.answer = () => 'unreachable';
    const [people, places] = [usePeople(), usePlaces()];
    await Promise.all([people.ready(), places.ready()]);
    expect([people.trouble, places.trouble]).toEqual([
      'The server cannot be reached.',
      'The server cannot be reached.',
    ]);
    expect([places.place('any'), places.place(null), places.ownKinds]).toEqual([undefined, undefined, []]);
  });
});
