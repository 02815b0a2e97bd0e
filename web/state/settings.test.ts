import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { DEFAULT_SETTINGS, type Settings } from '#core/settings';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { useSettings } from './settings';

let browser: FakeBrowser;
let server: FakeServer;
const stored = () => server.stored('/settings') as { revision: number; document: Settings };
const patient = (share: number): Settings => ({
  ...DEFAULT_SETTINGS,
  breath: { ...DEFAULT_SETTINGS.breath, growth: { share, counts: 1 } },
});
beforeEach(() => {
  setActivePinia(createPinia());
  browser = fakeBrowser();
  server = fakeServer();
  browser.answer = server.answer;
});

describe('house rules', () => {
  test('are saved as they are changed; a change that does not fit is refused and nothing is sent', async () => {
    const settings = useSettings();
    await settings.ready();
    expect(settings.change('growth', patient(0.05))).toBeUndefined();
    await settle();
    expect(stored()).toMatchObject({ revision: 1, document: { breath: { growth: { share: 0.05 } } } });
    expect(settings.change('growth', patient(7))).toBe('At most 100 %.');
    await settle();
    expect(stored().revision).toBe(1);
  });

  test('changes made while a save is under way are sent after it, the last one last', async () => {
    const settings = useSettings();
    await settings.ready();
    for (const share of [0.01, 0.02, 0.03]) settings.change('growth', patient(share));
    await settle();
    expect(stored().document.breath.growth.share).toBe(0.03);
    expect(settings.isSaving).toBe(false);
  });

  test('are undone and redone, and that is saved too', async () => {
    const settings = useSettings();
    await settings.ready();
    settings.change('growth', patient(0.05));
    await settle();
    settings.undo();
    await settle();
    expect(stored().document).toEqual(DEFAULT_SETTINGS);
    settings.redo();
    await settle();
    expect(stored().document.breath.growth.share).toBe(0.05);
  });

  test('changed in another window: both are there until one is chosen', async () => {
    const settings = useSettings();
    await settings.ready();
    server.put('/settings', patient(0.2), 3);
    settings.change('growth', patient(0.05));
    await settle();
    expect(settings.conflict?.document.breath.growth.share).toBe(0.2);
    expect(settings.current.breath.growth.share).toBe(0.05);
    void settings.resolve('mine');
    await settle();
    expect(stored()).toMatchObject({ revision: 4, document: { breath: { growth: { share: 0.05 } } } });
  });

  test('the other version is used, and undo brings back the one from here', async () => {
    const settings = useSettings();
    await settings.ready();
    server.put('/settings', patient(0.2), 3);
    settings.change('growth', patient(0.05));
    await settle();
    await settings.resolve('theirs');
    expect(settings.current.breath.growth.share).toBe(0.2);
    settings.undo();
    await settle();
    expect(stored().document.breath.growth.share).toBe(0.05);
  });

  test('a change that was never acknowledged is there again after a reload, and is sent', async () => {
    const settings = useSettings();
    await settings.ready();
    browser.answer = () => 'unreachable';
    settings.change('growth', patient(0.05));
    await settings.close();
    setActivePinia(createPinia());
    browser.answer = server.answer;
    const again = useSettings();
    await again.ready();
    await settle();
    expect(again.current.breath.growth.share).toBe(0.05);
    expect(stored()).toMatchObject({ revision: 1, document: { breath: { growth: { share: 0.05 } } } });
    setActivePinia(createPinia());
    await useSettings().ready();
    await settle();
    expect(stored().revision).toBe(1);
  });

  test('without the server the change stays, is told, and is sent again', async () => {
    const settings = useSettings();
    await settings.ready();
    browser.answer = () => 'unreachable';
    settings.change('growth', patient(0.05));
    await settle();
    expect(settings.trouble).toBe('The server cannot be reached.');
    browser.answer = server.answer;
    await settings.save();
    expect([settings.trouble, stored().revision]).toEqual(['', 1]);
  });
});
