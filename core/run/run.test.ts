import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { cycleOf, setOf } from '#core/breath';
import type { RunEvent } from '#core/run';
import {
  comingUp,
  cuesAhead,
  foldRun,
  ledSpans,
  matchedSteps,
  nextStop,
  previousStop,
  runAt,
  runState,
  secondSideGapMs,
  stateAt,
  stepsToCome,
  stops,
} from '#core/run';
import { compareRun } from '#core/review';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { plan } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, talk, workedHold } from '../../tests/support/examples';

const T0 = 1_790_000_000_000;
const s = (seconds: number): number => T0 + seconds * 1000;

type EventBody = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'atMs'> : never) : never;
let made = 0;
const at = (seconds: number, body: EventBody): RunEvent =>
  ({ ...body, id: `event-${made++}`, atMs: s(seconds) }) as RunEvent;
const started = at(0, { kind: 'started' });

const prompts = [{ id: 'p', at: { kind: 'half' as const }, text: 'turn the head', on: 'every' as const }];
const hold = { ...workedHold, prompts };
const evening = compileTimeline(planOf(hold, talk('end', 60)), noLibrary);
const state = (seconds: number, ...events: RunEvent[]) => runState(evening, [started, ...events], s(seconds));

describe('a session as a function of its events and the clock', () => {
  test('before the start nothing runs', () => {
    expect(runState(evening, [], s(100))).toMatchObject({
      status: 'ready',
      plannedAtMs: 0,
      lateMs: 0,
      moreMs: 670_000,
    });
  });

  test('follows the plan when nothing happens', () => {
    expect(state(65)).toMatchObject({
      status: 'running',
      intoMs: 0,
      groupMs: 220_000,
      groupMoreMs: 220_000,
      lateMs: 0,
    });
    expect(state(65).phase).toMatchObject({ kind: 'hold', side: 'left' });
    expect(state(200)).toMatchObject({
      groupMoreMs: 85_000,
      plannedAtMs: 200_000,
      moreMs: 470_000,
      expectedEndMs: s(670),
    });
    expect(state(670)).toMatchObject({ status: 'over', phase: null, moreMs: 0, lateMs: 0 });
    expect(state(900)).toMatchObject({ status: 'over', lateMs: 0, expectedEndMs: s(670) });
  });

  test('a pause stops the time and makes it late', () => {
    const pause = at(100, { kind: 'paused' });
    expect(state(150, pause)).toMatchObject({ status: 'paused', intoMs: 35_000, lateMs: 50_000 });
    expect(state(200, pause, at(160, { kind: 'resumed' }))).toMatchObject({
      status: 'running',
      intoMs: 75_000,
      lateMs: 60_000,
    });
  });

  test('half a minute more and less', () => {
    expect(state(100, at(100, { kind: 'stretched', byMs: 30_000 }))).toMatchObject({
      groupMs: 250_000,
      lateMs: 30_000,
    });
    expect(state(100, at(100, { kind: 'stretched', byMs: -30_000 }))).toMatchObject({
      groupMs: 190_000,
      lateMs: -30_000,
    });
    const over = at(280, { kind: 'stretched', byMs: -30_000 });
    expect(state(280, over).phase).toMatchObject({ kind: 'leave', side: 'left' });
  });

  test('ending a hold goes to the way out', () => {
    const cut = at(165, { kind: 'cut' });
    expect(state(165, cut).phase).toMatchObject({ kind: 'leave', side: 'left' });
    expect(state(165, cut).lateMs).toBe(-120_000);
  });

  test('the second side is matched to what the first side really had', () => {
    const events = [at(165, { kind: 'cut' }), at(170, { kind: 'matched' })];
    const run = foldRun(evening, [started, ...events]);
    const second = run.queue.filter(
      ({ phase }) => evening.phases[phase]?.kind === 'hold' && evening.phases[phase].side === 'right',
    );
    expect(second.map(({ ms }) => ms)).toEqual([100_000]);
  });

  test('matching is offered from the way out of the first side until the second is over, and changes nothing else', () => {
    const gap = (seconds: number, ...events: RunEvent[]) => {
      const run = foldRun(evening, [started, ...events, at(seconds, { kind: 'prompted', text: '' })]);
      return secondSideGapMs(run, run.cursor.at);
    };
    const cut = at(165, { kind: 'cut' });
    expect([gap(30), gap(100), gap(164)]).toEqual([0, 0, 0]);
    expect([gap(170, cut), gap(190, cut), gap(240, cut)]).toEqual([-120_000, -120_000, -120_000]);
    expect(gap(180, cut, at(175, { kind: 'matched' }))).toBe(0);
    expect(gap(455, cut)).toBe(0);
    const plain = foldRun(evening, [started, at(100, { kind: 'matched' })]);
    expect(plain.queue).toEqual(foldRun(evening, [started]).queue);
  });

  test('jumping forward leaves out, jumping back does again', () => {
    const talkPhase = evening.phases.at(-1)?.index ?? 0;
    expect(state(100, at(90, { kind: 'jumped', phase: talkPhase }))).toMatchObject({
      intoMs: 10_000,
      expectedEndMs: s(150),
    });
    const back = [at(400, { kind: 'jumped', phase: 2 })];
    expect(state(410, ...back)).toMatchObject({ intoMs: 10_000, groupMoreMs: 210_000 });
  });

  test('a clock that goes backwards leads nothing and loses nothing', () => {
    expect(state(50, at(100, { kind: 'paused' }), at(90, { kind: 'resumed' }))).toMatchObject({
      status: 'running',
      intoMs: 35_000,
    });
  });

  test('nothing happens after the end, and a second start changes nothing', () => {
    const ended = at(300, { kind: 'ended' });
    const finished = foldRun(evening, [started, ended]);
    expect(foldRun(evening, [started, ended, at(310, { kind: 'resumed' }), at(320, { kind: 'cut' })])).toEqual(
      finished,
    );
    expect(finished).toMatchObject({ status: 'ended', endedAtMs: s(300) });
    expect(foldRun(evening, [started, at(10, { kind: 'started' })]).startedAtMs).toBe(T0);
  });

  test('asking in between never changes what comes later', () => {
    fc.assert(
      fc.property(plan, fc.array(fc.nat({ max: 900 }), { maxLength: 6 }), (any, gaps) => {
        const timeline = compileTimeline(any, noLibrary);
        const kinds = ['paused', 'resumed', 'cut', 'matched', 'resumed'] as const;
        let seconds = 0;
        const events = gaps.map((gap, i) => at((seconds += gap), { kind: kinds[i % kinds.length] ?? 'cut' }));
        const all = [started, ...events];
        const { queue, spans, cursor } = foldRun(timeline, all);
        const led = spans.reduce((ms, span) => ms + span.activeMs, 0) + (queue[cursor.at] ? cursor.intoMs : 0);
        const pausedMs = foldRun(timeline, all).pausedMs;
        if (cursor.at < queue.length) expect(led + pausedMs).toBe(cursor.clockMs - T0);
        for (const span of spans) expect(span.activeMs).toBeLessThanOrEqual(span.toMs - span.fromMs);
        const now = runState(timeline, all, s(seconds + 30));
        expect(now.moreMs).toBeGreaterThanOrEqual(0);
        expect(runState(timeline, all, s(seconds + 30))).toEqual(now);
      }),
    );
  });
});

describe('breath rounds', () => {
  const part = (inThrough: 'left' | 'right', outThrough: 'left' | 'right') =>
    cycleOf([4, 0, 4, 0], { inThrough, outThrough });
  const step = breathStep([setOf('a', [part('left', 'right'), part('right', 'left')], 9)], {
    setupSeconds: 10,
    afterSeconds: 20,
  });
  const practice = compileTimeline(planOf(step), noLibrary);
  const now = (seconds: number, ...events: RunEvent[]) => runState(practice, [started, ...events], s(seconds));

  test('says which round it is', () => {
    expect(now(10).round).toEqual({ number: 1, of: 9 });
    expect(now(25.999).round).toEqual({ number: 1, of: 9 });
    expect(now(26)).toMatchObject({ round: { number: 2, of: 9 }, groupMs: 164_000 });
  });

  test('one round more and one less, at the end of the set', () => {
    const more = at(30, { kind: 'rounds', by: 1 });
    expect(now(30, more)).toMatchObject({ round: { number: 2, of: 10 }, lateMs: 16_000 });
    expect(now(160, more).round).toEqual({ number: 10, of: 10 });
    expect(now(30, at(30, { kind: 'rounds', by: -2 }))).toMatchObject({ round: { number: 2, of: 7 }, lateMs: -32_000 });
    expect(now(30, at(30, { kind: 'rounds', by: -50 })).round).toEqual({ number: 2, of: 2 });
  });

  test('ending the practice goes past its quiet breathing', () => {
    expect(now(40, at(30, { kind: 'cut' })).status).toBe('over');
  });
});

describe('bells and prompts ahead', () => {
  const ahead = (seconds: number, horizon: number, ...events: RunEvent[]) =>
    cuesAhead(DEFAULT_RULES, foldRun(evening, [started, ...events]), s(seconds), horizon * 1000).flatMap((cue) =>
      cue.kind === 'tone' ? [] : [[(cue.atMs - T0) / 1000, cue.kind === 'bell' ? cue.bell : cue.text]],
    );

  test('are those of the plan when nothing happens', () => {
    expect(ahead(0, 700)).toEqual(
      [
        ...evening.bells.map(({ atMs, kind }) => [atMs / 1000, kind]),
        ...evening.prompts.map(({ atMs, text }) => [atMs / 1000, text]),
      ].sort((a, b) => Number(a[0]) - Number(b[0])),
    );
  });

  test('move with a hold that was stretched', () => {
    expect(ahead(100, 120, at(100, { kind: 'stretched', byMs: 30_000 }))).toEqual([
      [190, 'half'],
      [190, 'turn the head'],
    ]);
  });

  test('only the horizon, and none while paused', () => {
    expect(ahead(284, 2)).toEqual([[285, 'switch']]);
    expect(ahead(100, 700, at(90, { kind: 'paused' }))).toEqual([]);
  });
});

test('next and back stop at steps and sides', () => {
  const ready = foldRun(evening, []);
  expect(stops(ready)).toEqual([0, 4, 9]);
  expect(nextStop(ready, 2)).toBe(4);
  expect(nextStop(ready, 9)).toBeUndefined();
  expect(previousStop(ready, 6, false)).toBe(4);
  expect(previousStop(ready, 4, true)).toBe(0);
  expect(previousStop(ready, 0, true)).toBe(0);
});

describe('in hand', () => {
  const two = compileTimeline(planOf(hold, talk('a', 60), talk('b', 120), talk('c', 30)), noLibrary);
  const order = (...events: RunEvent[]) => {
    const { queue, timeline } = foldRun(two, [started, ...events]);
    return [...new Set(queue.map(({ phase }) => timeline.phases[phase]!.stepIndex))];
  };

  test('a hold goes on until it is ended: nothing rings its end, and what comes later waits', () => {
    const open = at(100, { kind: 'opened', open: true });
    expect(state(400, open)).toMatchObject({ open: true, groupIntoMs: 335_000, groupMoreMs: 0, phaseMs: 220_000 });
    expect(state(400, open).lateMs).toBe(115_000);
    const run = foldRun(evening, [started, open]);
    expect(cuesAhead(DEFAULT_RULES, run, s(100), 600_000).map((cue) => cue.kind === 'bell' && cue.bell)).not.toContain(
      'switch',
    );
    expect(state(402, open, at(400, { kind: 'cut' })).phase?.kind).toBe('leave');
    expect(state(400, open, at(150, { kind: 'opened', open: false }))).toMatchObject({ open: false });
    expect(state(250, open, at(150, { kind: 'opened', open: false })).groupMoreMs).toBe(35_000);
  });

  test('two steps to come are exchanged; one under way, one led or one that is not there is not', () => {
    expect(order(at(10, { kind: 'swapped', steps: [1, 2] }))).toEqual([0, 2, 1, 3]);
    expect(order(at(10, { kind: 'swapped', steps: [3, 1] }))).toEqual([0, 3, 2, 1]);
    for (const steps of [
      [0, 1],
      [1, 1],
      [1, 9],
    ] as [number, number][])
      expect(order(at(10, { kind: 'swapped', steps }))).toEqual([0, 1, 2, 3]);
    expect(order(at(640, { kind: 'swapped', steps: [0, 2] }))).toEqual([0, 1, 2, 3]);
    const run = foldRun(two, [started, at(10, { kind: 'swapped', steps: [1, 2] })]);
    const names = comingUp(run, 0, 9).map(({ phase }) => phase.stepIndex);
    expect(names.slice(-3)).toEqual([2, 1, 3]);
    expect(stateAt(run, s(10)).expectedEndMs).toBe(stateAt(foldRun(two, [started]), s(10)).expectedEndMs);
  });

  test('a rest is added after the hold under way; next and back stop at it; the record tells it apart', () => {
    const rest = at(100, { kind: 'restAdded', ms: 60_000 });
    const run = foldRun(evening, [started, rest]);
    expect(stateAt(run, s(100))).toMatchObject({ lateMs: 60_000 });
    const there = stateAt(run, s(290));
    expect(there).toMatchObject({ phase: { kind: 'rest', stepIndex: 0 }, groupMs: 60_000, groupMoreMs: 55_000 });
    expect(nextStop(run, 2)).toBe(there.at);
    expect(compareRun(evening, [started, rest, at(400, { kind: 'ended' })]).addedMs).toBe(60_000);
  });

  test('what was taken back counts as if it had not happened; a start cannot be taken back', () => {
    const cut = at(100, { kind: 'cut' });
    const back = at(105, { kind: 'undone', event: cut.id });
    expect(state(105, cut, back)).toEqual(state(105));
    expect(state(105, at(105, { kind: 'undone', event: started.id }))).toEqual(state(105));
    const pause = at(120, { kind: 'paused' });
    expect(state(200, pause, at(125, { kind: 'undone', event: pause.id }))).toEqual(state(200));
  });

  test('time that passed unseen does not count once it is said so', () => {
    const asleep = at(500, { kind: 'missed', fromMs: s(150) });
    expect(state(500, asleep)).toMatchObject({ intoMs: 85_000, lateMs: 350_000 });
    expect(state(520, asleep).intoMs).toBe(105_000);
    expect(foldRun(evening, [started, asleep]).pausedMs).toBe(350_000);
    // The last event shows that somebody was awake: the gap begins there.
    const noted = at(200, { kind: 'noted', text: 'here' });
    expect(state(500, noted, asleep)).toMatchObject({ intoMs: 135_000, lateMs: 300_000 });
    expect(state(500, { ...noted, atMs: s(150) + 1 }, asleep)).toMatchObject({ intoMs: 85_001, lateMs: 349_999 });
  });

  test('who took the lead is known; what the other did before that but sent later changes nothing, its notes stay', () => {
    const first = at(1, { kind: 'led', by: 'first' });
    const second = at(120, { kind: 'led', by: 'second' });
    const late = at(90, { kind: 'stretched', byMs: 60_000 });
    const run = foldRun(evening, [started, first, second, late, at(95, { kind: 'noted', text: 'cold' })]);
    expect(run.ledBy).toBe('second');
    expect(run.queue).toEqual(foldRun(evening, [started, first, second]).queue);
    expect(run.notes).toHaveLength(1);
    expect(foldRun(evening, [started, first, late, second]).queue).not.toEqual(run.queue);
    const inTime = foldRun(evening, [started, first, second, at(130, { kind: 'stretched', byMs: 60_000 })]);
    expect(inTime.queue).not.toEqual(run.queue);
  });

  test('steps to come in the order they have by now', () => {
    const three = compileTimeline(planOf(talk('a', 60), talk('b', 60), talk('c', 60)), noLibrary);
    const run = foldRun(three, [started]);
    expect(stepsToCome(run, 0)).toEqual([1, 2]);
    expect(stepsToCome(foldRun(three, [started, at(5, { kind: 'swapped', steps: [1, 2] })]), 0)).toEqual([2, 1]);
    expect(stepsToCome(run, 2)).toEqual([]);
  });

  test('a first side that was stretched and ran to its end is known at once, without another event', () => {
    const run = foldRun(evening, [started, at(100, { kind: 'stretched', byMs: 60_000 })]);
    const inSecond = 65 + 280 + 60 + 10;
    expect(secondSideGapMs(runAt(run, s(inSecond)), stateAt(run, s(inSecond)).at)).toBe(60_000);
    expect(runAt(run, s(inSecond)).queue).toBe(run.queue);
    const matched = foldRun(evening, [
      started,
      at(100, { kind: 'stretched', byMs: 60_000 }),
      at(350, { kind: 'matched' }),
    ]);
    expect(matchedSteps(evening, [started, at(350, { kind: 'matched' })])).toEqual(new Set([0]));
    expect(secondSideGapMs(runAt(matched, s(inSecond)), stateAt(matched, s(inSecond)).at)).toBe(0);
  });

  test('whatever is done, in whatever order: time only goes on, and nothing led is lost', () => {
    const body: fc.Arbitrary<EventBody> = fc.oneof(
      fc.constantFrom<EventBody>({ kind: 'paused' }, { kind: 'resumed' }, { kind: 'cut' }, { kind: 'matched' }),
      fc.record({ kind: fc.constant('opened' as const), open: fc.boolean() }),
      fc.record({ kind: fc.constant('stretched' as const), byMs: fc.integer({ min: -90_000, max: 90_000 }) }),
      fc.record({ kind: fc.constant('restAdded' as const), ms: fc.integer({ min: 1000, max: 90_000 }) }),
      fc.record({
        kind: fc.constant('swapped' as const),
        steps: fc.tuple(fc.nat({ max: 6 }), fc.nat({ max: 6 })),
      }),
      fc.record({ kind: fc.constant('jumped' as const), phase: fc.nat({ max: 40 }) }),
    );
    fc.assert(
      fc.property(plan, fc.array(fc.tuple(fc.nat({ max: 300 }), body), { maxLength: 12 }), (document, happened) => {
        const timeline = compileTimeline(document, noLibrary);
        let clock = 0;
        const events = happened.map(([wait, what]) => at((clock += wait), what));
        const run = foldRun(timeline, [started, ...events]);
        expect(run.cursor.clockMs).toBe(s(clock));
        const active = ledSpans(run).reduce((sum, { activeMs }) => sum + activeMs, 0);
        const over = run.queue[run.cursor.at] ? 0 : run.cursor.intoMs;
        // What passes after everything was led is nobody's; going back from there leaves it.
        const wasOver = events.some(
          ({ atMs }, i) => stateAt(foldRun(timeline, [started, ...events.slice(0, i)]), atMs).status === 'over',
        );
        if (!wasOver) expect(active + run.pausedMs + over).toBe(clock * 1000);
        else expect(active + run.pausedMs).toBeLessThanOrEqual(clock * 1000);
        expect(run.queue.every(({ ms, phase }) => ms >= 0 && run.timeline.phases[phase] !== undefined)).toBe(true);
        const now = stateAt(run, s(clock + 60));
        expect(now.moreMs).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 200 },
    );
  });
});
