import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { comingUp, foldRun, ledPhases, type RunEvent } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { plan } from '../../tests/support/arbitraries';
import { noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
let made = 0;
const at = (seconds: number, body: object): RunEvent =>
  ({ ...body, id: `event-${made++}-lie`, atMs: T0 + seconds * 1000 }) as RunEvent;
const started = at(0, { kind: 'started' });
const evening = compileTimeline(planOf(workedHold, talk('end', 60)), noLibrary);
const lie = (...events: RunEvent[]) =>
  ledPhases(foldRun(evening, [started, ...events])).map(({ kind, startMs, endMs }) => [
    kind,
    startMs / 1000,
    endMs / 1000,
  ]);

describe('a session as it lies in time', () => {
  test('before anything happened, and while nothing goes otherwise, it is the plan', () => {
    expect(ledPhases(foldRun(evening, []))).toEqual(evening.phases);
    fc.assert(
      fc.property(plan, fc.nat({ max: 3000 }), (any, seconds) => {
        const timeline = compileTimeline(any, noLibrary);
        const run = foldRun(timeline, [started, at(seconds, { kind: 'prompted', text: '' })]);
        const merged = ledPhases(run).reduce<{ index: number; startMs: number; endMs: number }[]>(
          (list, { index, startMs, endMs }) => {
            const last = list.at(-1);
            if (last?.index === index) last.endMs = endMs;
            else list.push({ index, startMs, endMs });
            return list;
          },
          [],
        );
        expect(merged).toEqual(timeline.phases.map(({ index, startMs, endMs }) => ({ index, startMs, endMs })));
      }),
    );
  });

  test('a stretched hold pushes what comes after it; a cut one draws it nearer', () => {
    expect(lie(at(100, { kind: 'stretched', byMs: 30_000 })).slice(2, 5)).toEqual([
      ['hold', 65, 100],
      ['hold', 100, 315],
      ['leave', 315, 335],
    ]);
    expect(lie(at(100, { kind: 'cut' })).slice(2, 4)).toEqual([
      ['hold', 65, 100],
      ['leave', 100, 120],
    ]);
  });

  test('a pause lies inside the stretch it interrupted', () => {
    const spans = lie(at(100, { kind: 'paused' }), at(160, { kind: 'resumed' }), at(400, { kind: 'ended' }));
    expect(spans.slice(2, 4)).toEqual([
      ['hold', 65, 345],
      ['leave', 345, 365],
    ]);
    expect(spans.at(-1)?.[2]).toBe(400);
  });
});

describe('what is coming', () => {
  const comingAt = (item: number) =>
    comingUp(foldRun(evening, [started]), item, 4).map(({ phase, lengthMs, afterMs }) => [
      phase.kind,
      phase.side,
      lengthMs / 1000,
      afterMs / 1000,
    ]);

  test('from the first side: the second after the way out, the change and the way in; then the talk', () => {
    expect(comingAt(2)).toEqual([
      ['hold', 'right', 220, 60],
      ['talk', 'none', 60, 45],
    ]);
  });

  test('from the set-up: the first side after its way in', () => {
    expect(comingAt(0)[0]).toEqual(['hold', 'left', 220, 25]);
  });

  test('nothing after the last, and the moves belong to what they lead to', () => {
    expect(comingAt(evening.phases.length - 1)).toEqual([]);
    const row = {
      id: 'r',
      kind: 'block',
      state: 'flat',
      lie: 'lengthwise',
      place: 'head',
      side: 'left',
      count: 1,
      mirror: true,
      optional: false,
      why: '',
    } as const;
    const propped = compileTimeline(planOf({ ...workedHold, setUp: [row] }), noLibrary);
    const coming = comingUp(foldRun(propped, [started]), 2, 1);
    expect(coming[0]?.moves.map(({ action }) => action)).toEqual(['move']);
    const first = comingUp(foldRun(propped, [started]), 0, 1);
    expect(first[0]?.moves.map(({ action }) => action)).toEqual(['putDown']);
  });
});
