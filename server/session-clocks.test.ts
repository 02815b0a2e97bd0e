import { expect, test } from '@jest/globals';
import type { RunEvent } from '#core/run';
import { sessionClocks } from './session-clocks';

const event = (kind: string, window: string, more: object = {}): RunEvent =>
  ({ id: `event-${kind}-${window}`, atMs: 0, kind, window, ...more }) as RunEvent;

test('the clock of a session is that of the window that leads it, until another takes over', () => {
  let serverMs = 1_000_000;
  const clocks = sessionClocks(() => serverMs);
  expect(clocks.nowMs('run')).toBeNull();
  clocks.heard('run', [event('started', 'tablet'), event('led', 'tablet', { by: 'tablet' })], serverMs + 300_000);
  serverMs += 10_000;
  expect(clocks.nowMs('run')).toBe(1_310_000);
  // Something late from a window that does not lead.
  clocks.heard('run', [event('noted', 'laptop')], serverMs);
  expect(clocks.nowMs('run')).toBe(1_310_000);
  clocks.heard('run', [event('led', 'laptop', { by: 'laptop' })], serverMs);
  expect(clocks.nowMs('run')).toBe(1_010_000);
  expect(clocks.nowMs('other')).toBeNull();
});

test('fifty sessions are remembered, and the latest are among them', () => {
  const clocks = sessionClocks(() => 0);
  for (let i = 0; i < 60; i++) clocks.heard(`run-${i}`, [event('led', 'w', { by: 'w' })], i);
  expect([clocks.nowMs('run-9'), clocks.nowMs('run-10'), clocks.nowMs('run-59')]).toEqual([null, 10, 59]);
});
