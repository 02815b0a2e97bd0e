import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { breathCost, cycleOf, setOf } from '#core/breath';
import { builtInLibrary } from '#library';
import type { JournalEntry } from '#core/journal';
import { newJournalEntry, readJournalEntry } from '#core/journal';
import { holdFrom, type Step } from '#core/plan';
import {
  areasByWeek,
  areasInWords,
  transitionTimes,
  transitionTimesInWords,
  breathBySession,
  breathTrendInWords,
  correlation,
  EVERYTHING,
  filterPractised,
  plannedAndDone,
  plannedInWords,
  practisedOfEntry,
  practisedOfRun,
  sidesByWeek,
  sidesInWords,
  strengthAgainstLength,
  strengthInWords,
  type Practised,
} from '#core/review';
import type { RunEvent } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { practice as anyPractice } from '../../tests/support/arbitraries';
import { breathStep, noLibrary, planOf, talk } from '../../tests/support/examples';

const T0 = Date.UTC(2026, 10, 2, 18);
const DAY = 86_400_000;
const weekOf = (ms: number): string => `week ${Math.floor((ms - T0 + DAY) / (7 * DAY))}`;
const ofLibrary = (id: string, patch: Partial<Extract<Step, { kind: 'hold' }>> = {}): Step => ({
  ...holdFrom(builtInLibrary.position(id)!, 'yin', id),
  ...patch,
});
const TWIST = 'reclined-twist';
const even = (seconds: number) => ({
  sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds } } as const,
});
let made = 0;
function run(
  id: string,
  beganAtMs: number,
  steps: Step[],
  more: (at: (s: number, body: object) => RunEvent) => RunEvent[],
) {
  const plan = { ...planOf(...steps), title: id, group: id.startsWith('choir') ? 'Choir' : 'Potters' };
  const timeline = compileTimeline(plan, builtInLibrary);
  const at = (seconds: number, body: object): RunEvent =>
    ({ ...body, id: `weeks-event-${made++}`, atMs: beganAtMs + seconds * 1000 }) as RunEvent;
  const events = [at(0, { kind: 'started' }), ...more(at)];
  events.push(at(timeline.totals.totalMs / 1000 + 600, { kind: 'ended' }));
  return practisedOfRun({ id, planId: `plan ${id}`, plan, timeline, events }, builtInLibrary)!;
}

describe('what was practised', () => {
  test('a run: its holds by side with the parts of the body, its changes and talk as often as they were', () => {
    const one = run('a', T0, [ofLibrary(TWIST, even(180)), talk('t', 60)], (at) => [
      at(5, { kind: 'stretched', byMs: 20_000 }),
      at(DAY / 1000, { kind: 'rated', stepId: TWIST, side: 'left', strength: 4 }),
      at(1, { kind: 'present', people: ['mara'], others: 2 }),
    ]);
    expect(one.holds.map(({ side, doneMs, strength }) => [side, doneMs, strength])).toEqual([
      ['left', 180_000, 4],
      ['right', 180_000, null],
    ]);
    expect(one.holds[0]?.areas).toEqual(builtInLibrary.position(TWIST)?.areas);
    expect(one.people).toEqual(['mara']);
    expect(one.talk).toMatchObject({ doneMs: 60_000, differenceMs: 0, times: 1 });
    expect(one.setUp.differenceMs).toBe(20_000);
    expect(one.setUp.times).toBeGreaterThan(0);
  });

  test('a breath: rounds, the rate and the longest hold as they were led', () => {
    const practice = [breathStep([setOf('s', [cycleOf([4, 8, 8, 0])], 6)])];
    const one = run('b', T0, practice, () => []);
    expect(one.breaths).toMatchObject([{ rounds: 6, breathsPerMinute: 3, longestRetentionMs: 8000 }]);
    const cut = run('b', T0, practice, (at) => [at(50, { kind: 'cut' })]);
    expect(cut.breaths[0]?.rounds).toBe(3);
    const more = run('b', T0, practice, (at) => [at(50, { kind: 'rounds', by: 2 })]);
    expect(more.breaths).toMatchObject([{ rounds: 8, breathsPerMinute: 3 }]);
  });

  test('a run that never began was not practised; a journal entry was as long as it says', () => {
    const plan = planOf(talk('t', 60));
    const timeline = compileTimeline(plan, builtInLibrary);
    expect(practisedOfRun({ id: 'x', planId: 'p', plan, timeline, events: [] }, builtInLibrary)).toBeNull();
    const entry: JournalEntry = {
      ...newJournalEntry('2026-11-02T06:40'),
      seconds: 1200,
      holds: [{ id: 'h', position: TWIST, name: 'Twist', left: 200, right: 180, both: 0, strength: 3 }],
      breaths: [
        {
          id: 'b',
          technique: null,
          name: 'Long out',
          seconds: 300,
          rounds: 20,
          breathsPerMinute: 4,
          longestRetention: null,
        },
      ],
    };
    expect(readJournalEntry(entry)).toEqual({ ok: true, value: entry });
    const one = practisedOfEntry('e', entry, T0, builtInLibrary);
    expect(one.holds.map(({ side, doneMs }) => [side, doneMs])).toEqual([
      ['left', 200_000],
      ['right', 180_000],
    ]);
    expect(one).toMatchObject({ kind: 'entry', total: { doneMs: 1_200_000 }, breaths: [{ longestRetentionMs: null }] });
  });

  test('an entry that makes no sense is refused at its field', () => {
    const wrong = { ...newJournalEntry('yesterday'), title: ' ', seconds: -1 };
    const read = readJournalEntry(wrong);
    expect(read.ok ? [] : read.issues.map(({ field }) => field)).toEqual(['title', 'beganAt', 'seconds']);
  });
});

const flat = { plannedMs: 0, doneMs: 0, differenceMs: 0 };
const practised = (id: string, beganAtMs: number, patch: Partial<Practised>): Practised => ({
  id,
  kind: 'run',
  beganAtMs,
  title: id,
  planId: 'p',
  group: 'Potters',
  groupId: null,
  people: [],
  total: { plannedMs: 3_600_000, doneMs: 3_600_000, differenceMs: 0 },
  ended: true,
  holds: [],
  breaths: [],
  easyBreaths: [],
  setUp: { ...flat, times: 0 },
  entries: { ...flat, times: 0 },
  talk: { ...flat, times: 0 },
  ...patch,
});
const held = (side: 'left' | 'right' | 'both', minutes: number, more: object = {}) => ({
  position: TWIST,
  name: 'Reclined twist',
  areas: ['low back', 'sides'] as const,
  side,
  paired: side !== 'both',
  strength: null,
  plannedMs: minutes * 60_000,
  doneMs: minutes * 60_000,
  differenceMs: 0,
  ...more,
});

describe('over weeks', () => {
  const first = practised('1', T0, { holds: [held('left', 10), held('right', 6)] });
  const second = practised('2', T0 + 8 * DAY, {
    holds: [held('left', 10), held('right', 8), held('both', 5, { areas: ['chest'], position: 'x' })],
    group: 'Choir',
    people: ['mara'],
  });
  const third = practised('3', T0 + 15 * DAY, { holds: [held('left', 10), held('right', 10)], planId: 'q' });
  const all = [third, first, second];

  test('minutes by part of the body and week; a hold counts for each of its parts', () => {
    const found = areasByWeek(all, weekOf);
    expect(found.weeks).toEqual(['week 0', 'week 1', 'week 2']);
    expect(found.areas).toEqual([
      { area: 'low back', weekMs: [960_000, 1_080_000, 1_200_000], totalMs: 3_240_000 },
      { area: 'sides', weekMs: [960_000, 1_080_000, 1_200_000], totalMs: 3_240_000 },
      { area: 'chest', weekMs: [0, 300_000, 0], totalMs: 300_000 },
    ]);
    expect(areasInWords(found)).toBe('Most time went to low back, 54 minutes in 3 weeks; least to chest, 5 minutes.');
  });

  test('by something else than parts of the body: a hold counts for each, and without any nothing is counted', () => {
    const byName = areasByWeek(all, weekOf, ({ name }) => (name === 'nothing' ? [] : ['one', name]));
    expect(byName.areas.find(({ area }) => area === 'one')?.totalMs).toBe(3_240_000 + 300_000);
    expect(
      areasInWords(
        areasByWeek(all, weekOf, () => []),
        'None of it.',
      ),
    ).toBe('None of it.');
    expect(
      areasInWords(
        areasByWeek([first], weekOf, () => ['heart']),
        '',
        (name) => `the ${name} line`,
      ),
    ).toBe('Most time went to the heart line, 16 minutes in 1 week.');
  });

  test('left against right, and that they come closer', () => {
    expect(sidesInWords(sidesByWeek(all, weekOf))).toBe(
      'Right sides had 20 % less than left ones, 6:00 in total; they are coming closer.',
    );
    expect(sidesInWords(sidesByWeek([third], weekOf))).toBe('Left and right are even: within 0:00 of each other.');
    expect(sidesInWords([])).toBe('No two-sided holds completed in this period.');
  });

  test('planned against done leaves the journal out', () => {
    const late = practised('l', T0, { total: { plannedMs: 3_600_000, doneMs: 3_780_000, differenceMs: 180_000 } });
    const entry = practised('e', T0, { kind: 'entry' });
    expect(plannedInWords(plannedAndDone([late, entry]))).toBe('1 session ran 5 % over the plan, 3:00 on average.');
    expect(plannedAndDone([practised('open', T0, { ended: false })])).toEqual([]);
    expect(plannedInWords(plannedAndDone([first]))).toBe('1 session took as long as planned, within a per cent.');
    expect(plannedInWords(plannedAndDone([entry]))).toBe('No planned sessions in this period.');
  });

  test('the mean set-up, not the mean of means', () => {
    const setUp = (times: number, plannedMs: number, doneMs: number) => ({
      setUp: { times, plannedMs, doneMs, differenceMs: doneMs - plannedMs },
    });
    const parts = transitionTimes([
      practised('a', T0, setUp(1, 30_000, 60_000)),
      practised('b', T0, setUp(3, 90_000, 120_000)),
    ]);
    expect(parts).toEqual([{ what: 'setUp', times: 4, plannedMs: 30_000, doneMs: 45_000 }]);
    expect(transitionTimesInWords(parts)).toBe('Setting up or changing takes 0:45 (planned 0:30).');
  });

  test('strength against length by position', () => {
    const strong = [3, 4, 5].map((minutes, i) =>
      practised(`s${i}`, T0 + i * DAY, { holds: [held('left', minutes, { strength: minutes - 1 }), held('right', 1)] }),
    );
    const [one] = strengthAgainstLength(strong);
    expect(one?.points).toHaveLength(3);
    expect(strengthInWords(one!)).toBe(
      'Reclined twist: 3.0 of 10 on average over 3 holds; longer holds felt more intense.',
    );
    expect(strengthInWords({ ...one!, points: one!.points.slice(0, 2) })).toContain('too few differences yet');
  });

  test('the breath from the first session to the last', () => {
    const breath = (longestRetentionMs: number | null, breathsPerMinute: number, rounds: number) => ({
      breaths: [{ name: 'b', plannedMs: 1, doneMs: 1, differenceMs: 0, rounds, breathsPerMinute, longestRetentionMs }],
    });
    const sessions = breathBySession([
      practised('a', T0, breath(8000, 6, 10)),
      practised('b', T0 + DAY, breath(16_000, 4.25, 9)),
    ]);
    expect(breathTrendInWords(sessions)).toBe(
      'The longest retention went from 8 s to 16 s; the slowest breathing went from 6.0 to 4.3 a minute; 19 rounds in total.',
    );
    expect(breathTrendInWords([])).toBe('No breath practised in this period.');
  });

  test('filters: by plan, group, person, position and dates; nothing asked lets all through, in order', () => {
    const ids = (filter: object) => filterPractised(all, { ...EVERYTHING, ...filter }).map(({ id }) => id);
    expect(ids({})).toEqual(['1', '2', '3']);
    expect(ids({ planId: 'q' })).toEqual(['3']);
    expect(ids({ group: 'Choir' })).toEqual(['2']);
    expect(ids({ person: 'mara' })).toEqual(['2']);
    expect(ids({ position: 'x' })).toEqual(['2']);
    expect(ids({ fromMs: T0 + DAY, untilMs: T0 + 15 * DAY })).toEqual(['2']);
    expect(filterPractised(all, { ...EVERYTHING, position: 'x' })[0]?.holds).toHaveLength(1);
  });

  test('the correlation lies between −1 and 1, and is that of a line for points on a line', () => {
    const point = fc.tuple(fc.integer({ min: -100, max: 100 }), fc.integer({ min: -100, max: 100 }));
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 20 }), (points) => {
        const r = correlation(points);
        if (r !== null) expect(Math.abs(r)).toBeLessThanOrEqual(1 + 1e-9);
        const line = correlation(points.map(([x]) => [x, 3 * x + 2]));
        if (line !== null) expect(line).toBeCloseTo(1, 9);
      }),
    );
  });
});

test('a practice led as planned has as many breaths a minute in the record as in the plan, whatever it is', () => {
  fc.assert(
    fc.property(anyPractice, (practice) => {
      const plan = planOf(breathStep([], { practice }));
      const timeline = compileTimeline(plan, noLibrary);
      const over = timeline.totals.totalMs;
      const events = [
        { id: 'event-started', atMs: 0, kind: 'started' },
        { id: 'event-ended', atMs: over, kind: 'ended' },
      ] as RunEvent[];
      const { breaths } = practisedOfRun({ id: 'r', planId: 'p', plan, timeline, events }, noLibrary)!;
      const { meanRate } = breathCost(practice);
      expect(breaths[0]?.breathsPerMinute ?? null).toEqual(meanRate === null ? null : expect.closeTo(meanRate, 6));
    }),
  );
});
