import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { DEFAULT_HOUSE, type House } from '#core/settings';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../tests/support/browser';
import { useHouse } from './house';

let browser: FakeBrowser;
let stored: { revision: number; document: House };
const patient = (share: number): House => ({
  ...DEFAULT_HOUSE,
  breath: { ...DEFAULT_HOUSE.breath, growth: { share, counts: 1 } },
});
function server(call: Call) {
  if (call.method === 'GET') return { status: 200, body: stored };
  const sent = call.body as { revision: number; document: House };
  if (sent.revision !== stored.revision) {
    const problem = { type: 'about:blank', title: 'Changed elsewhere', status: 409, detail: 'Changed elsewhere.' };
    return { status: 409, body: { ...problem, current: stored, yours: sent.document } };
  }
  stored = { revision: stored.revision + 1, document: sent.document };
  return { status: 200, body: stored };
}

beforeEach(() => {
  setActivePinia(createPinia());
  browser = fakeBrowser();
  stored = { revision: 0, document: DEFAULT_HOUSE };
  browser.answer = server;
});

describe('house rules', () => {
  test('are saved as they are changed; a change that does not fit is refused and nothing is sent', async () => {
    const house = useHouse();
    await house.ready();
    expect(house.change('growth', patient(0.05))).toBeUndefined();
    await settle();
    expect(stored).toMatchObject({ revision: 1, document: { breath: { growth: { share: 0.05 } } } });
    expect(house.change('growth', patient(7))).toBe('At most 100 %.');
    await settle();
    expect(stored.revision).toBe(1);
  });

  test('changes made while a save is under way are sent after it, the last one last', async () => {
    const house = useHouse();
    await house.ready();
    for (const share of [0.01, 0.02, 0.03]) house.change('growth', patient(share));
    await settle();
    expect(stored.document.breath.growth.share).toBe(0.03);
    expect(house.saving).toBe(false);
  });

  test('are undone and redone, and that is saved too', async () => {
    const house = useHouse();
    await house.ready();
    house.change('growth', patient(0.05));
    await settle();
    house.undo();
    await settle();
    expect(stored.document).toEqual(DEFAULT_HOUSE);
    house.redo();
    await settle();
    expect(stored.document.breath.growth.share).toBe(0.05);
  });

  test('changed in another window: both are there until one is chosen', async () => {
    const house = useHouse();
    await house.ready();
    stored = { revision: 3, document: patient(0.2) };
    house.change('growth', patient(0.05));
    await settle();
    expect(house.theirs?.document.breath.growth.share).toBe(0.2);
    expect(house.rules.breath.growth.share).toBe(0.05);
    house.settle(true);
    await settle();
    expect(stored).toMatchObject({ revision: 4, document: { breath: { growth: { share: 0.05 } } } });
  });

  test('the others’ rules are taken, and one’s own can be had back', async () => {
    const house = useHouse();
    await house.ready();
    stored = { revision: 3, document: patient(0.2) };
    house.change('growth', patient(0.05));
    await settle();
    house.settle(false);
    expect(house.rules.breath.growth.share).toBe(0.2);
    house.undo();
    await settle();
    expect(stored.document.breath.growth.share).toBe(0.05);
  });

  test('a change that was never acknowledged is there again after a reload, and is sent', async () => {
    const house = useHouse();
    await house.ready();
    browser.answer = () => 'unreachable';
    house.change('growth', patient(0.05));
    await settle();
    setActivePinia(createPinia());
    browser.answer = server;
    const again = useHouse();
    await again.ready();
    await settle();
    expect(again.rules.breath.growth.share).toBe(0.05);
    expect(stored).toMatchObject({ revision: 1, document: { breath: { growth: { share: 0.05 } } } });
    setActivePinia(createPinia());
    await useHouse().ready();
    await settle();
    expect(stored.revision).toBe(1);
  });

  test('without the server the change stays, is told, and is sent again', async () => {
    const house = useHouse();
    await house.ready();
    browser.answer = () => 'unreachable';
    house.change('growth', patient(0.05));
    await settle();
    expect(house.trouble).toBe('The server cannot be reached.');
    browser.answer = server;
    await house.save();
    expect([house.trouble, stored.revision]).toEqual(['', 1]);
  });
});
