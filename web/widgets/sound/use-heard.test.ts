/** @jest-environment ./tests/support/jsdom.js */
import { beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { fakeBrowser } from '../../../tests/support/browser';
import { fakeServer } from '../../../tests/support/fake-server';
import { useDeviceSettings } from '../../state/device-settings';
import { useSettings } from '../../state/settings';
import { useHeard } from './use-heard';

beforeEach(() => {
  const browser = fakeBrowser();
  browser.answer = fakeServer().answer;
  setActivePinia(createPinia());
});

test('counts are heard only where counting goes by a metronome, and can be switched off', async () => {
  const heard = useHeard();
  const settings = useSettings();
  await settings.ready();
  expect([heard('count'), heard('in')]).toEqual([false, true]);
  settings.change('counting', {
    ...settings.current,
    school: { ...settings.current.school, counting: 'metronome' },
  });
  expect(heard('count')).toBe(true);
  const device = useDeviceSettings();
  device.tones = { ...device.tones, counts: false };
  await nextTick();
  expect([heard('count'), heard('in')]).toEqual([false, true]);
});
