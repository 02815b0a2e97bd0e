/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { useDeviceSettings } from '../state/device-settings';
import { clockTime, shortDayOf, weekOf } from '../ui/dates';
import { mayBeShortcut } from '../ui/keys';
import { heightInWords } from '../ui/lengths';
import { mounted, type Mounted } from '../../tests/support/mounted';
import { followDisplaySettings } from './display-style';

const WHEN = new Date(2026, 10, 28, 18, 30).getTime();
let page: Mounted<void>;
beforeEach(() => {
  localStorage.clear();
  // The device of these tests is an American one.
  Object.defineProperty(navigator, 'language', { value: 'en-US', configurable: true });
  setActivePinia(createPinia());
  page = mounted(followDisplaySettings);
});
afterEach(() => page.unmount());
const shown = (): string[] => [shortDayOf(WHEN), clockTime(WHEN), weekOf(WHEN), heightInWords(168)];

test('as the device is set, until something else is chosen; and then again', () => {
  const settings = useDeviceSettings();
  expect(shown()).toEqual(['Nov 28', '6:30 PM', '2026-11-22', '5 ft 6 in']);
  [settings.dates, settings.clock, settings.weekStart, settings.lengths] = ['dayFirst', '24', 'saturday', 'cm'];
  expect(shown()).toEqual(['28 Nov', '18:30', '2026-11-28', '168 cm']);
  [settings.dates, settings.clock, settings.weekStart, settings.lengths] = Array(4).fill('device');
  expect(shown()).toEqual(['Nov 28', '6:30 PM', '2026-11-22', '5 ft 6 in']);
});

test('single letters are shortcuts until they are switched off', () => {
  const letter = new KeyboardEvent('keydown', { key: 'a' });
  expect(mayBeShortcut(letter)).toBe(true);
  useDeviceSettings().singleKeys = false;
  expect(mayBeShortcut(letter)).toBe(false);
  useDeviceSettings().singleKeys = true;
});
