import { describe, expect, test } from '@jest/globals';
import { cycleOf, LADDER, ratioInWords, ratiosOfPractice, setOf, type BreathPractice } from '#core/breath';
import { closedGates, easySessions, ladderGates, practisedOfRun, sessionsOfGroup, type Practised } from '#core/review';
import type { BreathReview, RunEvent } from '#core/run';
import { compileTimeline } from '#core/timeline';
import { breathStep, noLibrary, planOf, talk } from '../../tests/support/examples';

const T0 = Date.UTC(2026, 10, 2, 18);
type Counts = readonly [number, number, number, number];
const practised = (...all: Counts[]): BreathPractice => ({
  countSeconds: 1,
  sets: all.map((counts, i) => setOf(`set-${i}`, [cycleOf(counts)], 2)),
});
const ratio = ([breathIn, holdFull, out, holdEmpty]: Counts) => ({ in: breathIn, holdFull, out, holdEmpty });
const EVEN: Counts = [1, 0, 1, 0];
let made = 0;

/** A class in which a breath was practised and reviewed; with `skipped` it was left out. */
function taught(
  counts: readonly Counts[],
  breath: Partial<BreathReview> | undefined,
  { people = [], skipped = false }: { people?: string[]; skipped?: boolean } = {},
): Practised {
  const step = breathStep(practised(...counts).sets, { id: 'breath' });
  const plan = planOf(step, talk('end', 60));
  const timeline = compileTimeline(plan, noLibrary);
  const at = (seconds: number, body: object): RunEvent =>
    ({ ...body, id: `easy-event-${made++}`, atMs: T0 + seconds * 1000 }) as RunEvent;
  const reviewed = breath && { inOut: null, holds: null, effortFor: [], ...breath };
  const events = [
    at(0, { kind: 'started' }),
    at(0, { kind: 'present', people, others: 0 }),
    ...(skipped ? [at(0, { kind: 'jumped', phase: timeline.steps[1]!.firstPhase })] : []),
    at(timeline.totals.totalMs / 1000, { kind: 'ended' }),
    at(9000, {
      kind: 'reviewed',
      review: {
        steps: [{ stepId: 'breath', tighter: null, props: null, ...(reviewed && { breath: reviewed }) }],
        change: '',
        note: '',
      },
    }),
  ];
  return practisedOfRun({ id: `run-${made}`, planId: 'p', plan, timeline, events }, noLibrary)!;
}

describe('which sessions count as easy', () => {
  test('one whose in- and out-breath were easy; not an effort, not one that nobody noted', () => {
    const all = [
      taught([[4, 0, 4, 0]], { inOut: 'easy' }),
      taught([[5, 0, 5, 0]], { inOut: 'easy' }),
      taught([[4, 0, 4, 0]], { inOut: 'effort' }),
      taught([[4, 0, 4, 0]], { inOut: null }),
      taught([[4, 0, 4, 0]], undefined),
      taught([[4, 0, 6, 0]], { inOut: 'easy' }),
    ];
    expect(easySessions(all, ratio(EVEN))).toBe(2);
    expect(easySessions(all, ratio([2, 0, 3, 0]))).toBe(1);
    expect(easySessions(all, ratio([4, 0, 6, 0]))).toBe(1);
    expect(easySessions(all, ratio([1, 0, 2, 0]))).toBe(0);
  });

  test('with a retention only where that was easy as well', () => {
    const held = (holds: BreathReview['holds']) => taught([[4, 4, 8, 0]], { inOut: 'easy', holds });
    expect(easySessions([held('easy')], ratio([1, 1, 2, 0]))).toBe(1);
    expect(easySessions([held('effort')], ratio([1, 1, 2, 0]))).toBe(0);
    expect(easySessions([held(null)], ratio([1, 1, 2, 0]))).toBe(0);
    const both = taught(
      [
        [4, 0, 4, 0],
        [4, 4, 8, 0],
      ],
      { inOut: 'easy', holds: 'effort' },
    );
    expect(easySessions([both], ratio(EVEN))).toBe(1);
    expect(easySessions([both], ratio([1, 1, 2, 0]))).toBe(0);
  });

  test('a session counts once, however often its breath came; a breath that was left out does not', () => {
    expect(
      easySessions(
        [
          taught(
            [
              [4, 0, 4, 0],
              [5, 0, 5, 0],
            ],
            { inOut: 'easy' },
          ),
        ],
        ratio(EVEN),
      ),
    ).toBe(1);
    expect(easySessions([taught([[4, 0, 4, 0]], { inOut: 'easy' }, { skipped: true })], ratio(EVEN))).toBe(0);
  });

  test('for a person: where they were, and did not find it an effort', () => {
    const all = [
      taught([[4, 0, 4, 0]], { inOut: 'easy', effortFor: ['ben'] }, { people: ['ada', 'ben'] }),
      taught([[4, 0, 4, 0]], { inOut: 'easy' }, { people: ['ben'] }),
      taught([[4, 0, 4, 0]], { inOut: 'easy' }),
    ];
    expect(easySessions(all, ratio(EVEN))).toBe(3);
    expect(easySessions(all, ratio(EVEN), 'ada')).toBe(1);
    expect(easySessions(all, ratio(EVEN), 'ben')).toBe(1);
    expect(easySessions(all, ratio(EVEN), 'cleo')).toBe(0);
  });
});

test('a breath that grows over the rounds has the ratio it begins with and the one it comes to', () => {
  const [set] = practised([4, 0, 4, 0]).sets;
  const grows = { countSeconds: 1, sets: [{ ...set!, ramp: { of: 'out', to: 8, steps: 'counts' } as const }] };
  expect(ratiosOfPractice(grows).map(ratioInWords)).toEqual(['1 : 0 : 1', '1 : 0 : 2']);
  expect(ratiosOfPractice(practised([4, 0, 4, 0], [6, 0, 6, 0], [4.5, 0, 6, 0])).map(ratioInWords)).toEqual([
    '1 : 0 : 1',
  ]);
});

test('the sessions of a group are found by its id, or by its name where none was chosen', () => {
  const all = [
    { group: 'Choir', groupId: 'choir' },
    { group: 'Altos', groupId: 'choir' },
    { group: 'Choir', groupId: null },
    { group: '', groupId: null },
  ];
  expect(sessionsOfGroup(all, { group: 'Choir', groupId: 'choir' })).toEqual(all.slice(0, 2));
  expect(sessionsOfGroup(all, { group: 'Choir', groupId: null })).toEqual([all[0], all[2]]);
  expect(sessionsOfGroup(all, { group: '', groupId: null })).toEqual([]);
});

describe('gates', () => {
  const ladder = [
    { ratio: ratio(EVEN), gate: 0 },
    { ratio: ratio([2, 0, 3, 0]), gate: 2 },
    { ratio: ratio([1, 0, 2, 0]), gate: 1 },
  ];
  const easyEven = taught([[4, 0, 4, 0]], { inOut: 'easy' });

  test('open with as many easy sessions at the ratio before as they ask for', () => {
    const open = (times: number) =>
      ladderGates(
        ladder,
        Array.from({ length: times }, () => easyEven),
      ).map((rung) => rung.open);
    expect(open(0)).toEqual([true, false, false]);
    expect(open(1)).toEqual([true, false, false]);
    expect(open(2)).toEqual([true, true, false]);
    expect(ladderGates(ladder, [easyEven])[1]).toMatchObject({ gate: 2, easyBefore: 1, easyHere: 0 });
  });

  test('what a practice asks that is not open yet; a ratio that is not on the ladder asks nothing', () => {
    const gates = ladderGates(ladder, [easyEven]);
    const closed = (...counts: Counts[]) =>
      closedGates(ratiosOfPractice(practised(...counts)), gates).map((rung) => ratioInWords(rung.ratio));
    expect(closed([4, 0, 4, 0])).toEqual([]);
    expect(closed([4, 0, 6, 0])).toEqual(['2 : 0 : 3']);
    expect(closed([4, 0, 8, 0], [4, 0, 6, 0])).toEqual(['2 : 0 : 3', '1 : 0 : 2']);
    expect(closed([5, 0, 7, 0])).toEqual([]);
  });

  test('without a record only the first of the ladder is open', () => {
    expect(ladderGates(LADDER, []).filter(({ open }) => open)).toHaveLength(1);
  });
});
