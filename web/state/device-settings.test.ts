/** @jest-environment ./tests/support/jsdom.js */
import { beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { DEFAULT_RULES } from '#core/timeline';
import { useDeviceSettings } from './device-settings';

let dark = false;
beforeEach(() => {
  localStorage.clear();
  dark = false;
  window.matchMedia = ((media: string) => ({
    media,
    matches: media.includes('dark') && dark,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as unknown as typeof window.matchMedia;
});
/** The settings as a page finds them that is opened now. */
const opened = () => {
  setActivePinia(createPinia());
  return useDeviceSettings();
};

test('without a choice the theme is that of the device; once chosen it stays', async () => {
  dark = true;
  const settings = opened();
  expect(settings.night).toBe(true);
  settings.toggleTheme();
  await nextTick();
  expect([settings.night, opened().night]).toEqual([false, false]);
});

test('what an older visit stored gets the kinds of bell that have come since', () => {
  localStorage.setItem('zovrin.bells', JSON.stringify({ start: false }));
  expect(opened().bells).toEqual({ ...DEFAULT_RULES.bells, start: false });
});

test('a tone is heard by its group: both holds are one, pumps and pulses are one', async () => {
  const settings = opened();
  settings.tones = { ...settings.tones, hold: false, strokes: true };
  await nextTick();
  const heard = (['in', 'out', 'holdFull', 'holdEmpty', 'stroke', 'pulse'] as const).filter((kind) =>
    settings.hears(kind),
  );
  expect(heard).toEqual(['in', 'out', 'stroke', 'pulse']);
});

test('what an older visit stored of tones hears counts as well', () => {
  localStorage.setItem('zovrin.tones', JSON.stringify({ in: false, out: true, hold: true, strokes: true }));
  expect([opened().hears('in'), opened().hears('count')]).toEqual([false, true]);
});

test('what is stored in another shape does no harm', () => {
  localStorage.setItem('zovrin.volume', 'loud');
  localStorage.setItem('zovrin.shakes', '???');
  const settings = opened();
  expect(typeof settings.volume).toBe('number');
  expect(typeof settings.shakes).toBe('boolean');
});
