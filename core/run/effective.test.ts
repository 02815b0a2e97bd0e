import { describe, expect, test } from '@jest/globals';
import { runLog, compareRun } from '#core/review';
import { effectiveEvents, foldRun, stateAt, type RunEvent } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
const MINUTE = 60;
const evening = compileTimeline(planOf(workedHold, talk('end', 60)), noLibrary);
let made = 0;
const at = (seconds: number, body: object): RunEvent =>
  ({ ...body, id: `event-${made++}`, atMs: T0 + seconds * 1000 }) as RunEvent;
const started = at(0, { kind: 'started', window: 'first' });
const firstLeads = at(1, { kind: 'led', by: 'first', window: 'first' });
const status = (...events: RunEvent[]): string =>
  stateAt(foldRun(evening, [started, firstLeads, ...events]), T0 + 200_000).status;
const ids = (events: readonly RunEvent[]): string[] => events.map(({ id }) => id);

describe('which events of a session count', () => {
  test('an undo that a former leader sends after the lead has gone does not apply', () => {
    const pause = at(100, { kind: 'paused', window: 'first' });
    const handover = at(110, { kind: 'led', by: 'second', window: 'second' });
    expect(status(pause, handover, at(112, { kind: 'undone', event: pause.id, window: 'first' }))).toBe('paused');
    expect(status(pause, handover, at(112, { kind: 'undone', event: pause.id, window: 'second' }))).toBe('running');
  });

  test('a lead that is taken back is heard at once, whatever the other clock said', () => {
    const ahead = at(5 * MINUTE, { kind: 'led', by: 'ahead', window: 'ahead' });
    const back = at(20, { kind: 'led', by: 'first', window: 'first' });
    expect(status(ahead, back, at(21, { kind: 'paused', window: 'first' }))).toBe('paused');
    // What comes late from the clock that is ahead is still late.
    expect(status(ahead, back, at(5 * MINUTE + 5, { kind: 'paused', window: 'ahead' }))).toBe('running');
    // Sessions stored before events had a window.
    const old = [at(5 * MINUTE, { kind: 'led', by: 'ahead' }), at(20, { kind: 'led', by: 'first' })];
    expect(status(...old, at(21, { kind: 'paused' }))).toBe('paused');
  });

  test('an undo can itself be undone, and that once more', () => {
    const pause = at(100, { kind: 'paused' });
    const undo = at(101, { kind: 'undone', event: pause.id });
    const redo = at(102, { kind: 'undone', event: undo.id });
    expect(status(pause, undo)).toBe('running');
    expect(status(pause, undo, redo)).toBe('paused');
    expect(status(pause, undo, redo, at(103, { kind: 'undone', event: redo.id }))).toBe('running');
  });

  test('what is noted afterwards counts from whoever looks back, and so does its undo', () => {
    const handover = at(110, { kind: 'led', by: 'second', window: 'second' });
    const wrong = at(900, { kind: 'corrected', lengths: [], endedAtMs: T0 + 500_000, why: '', window: 'desk' });
    const events = [started, firstLeads, handover, at(670, { kind: 'ended', window: 'second' }), wrong];
    expect(compareRun(evening, events).endedAtMs).toBe(T0 + 500_000);
    const undone = at(901, { kind: 'undone', event: wrong.id, window: 'desk' });
    expect(compareRun(evening, [...events, undone]).endedAtMs).toBe(T0 + 670_000);
  });

  test('neither a start nor a handover is undone', () => {
    const undone = [started, firstLeads].map(({ id }) => at(50, { kind: 'undone', event: id, window: 'first' }));
    expect(ids(effectiveEvents([started, firstLeads, ...undone])).slice(0, 2)).toEqual([started.id, firstLeads.id]);
  });

  test('the record lists what the session did, and nothing that changed nothing', () => {
    const handover = at(110, { kind: 'led', by: 'second', window: 'second' });
    const pause = at(150, { kind: 'paused', window: 'second' });
    const events = [
      at(-5, { kind: 'stretched', byMs: 5000, window: 'first' }),
      started,
      firstLeads,
      handover,
      at(100, { kind: 'cut', window: 'first' }),
      pause,
      at(155, { kind: 'paused', window: 'second' }),
      at(160, { kind: 'resumed', window: 'second' }),
      at(170, { kind: 'matched', window: 'second' }),
      at(900, { kind: 'ended', window: 'second' }),
      at(910, { kind: 'stretched', byMs: 5000, window: 'second' }),
    ];
    expect(runLog(evening, events).map(({ event }) => event.id)).toEqual([pause.id]);
  });
});
