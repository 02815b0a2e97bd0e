import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { breathFrom, holdFrom, holdNamed, restStep, type HoldStep } from '#core/plan';
import { ownPaceOf, setOf } from '#core/breath';
import { libraryOf, type Position, type Technique } from '#core/catalogue';
import { cuesAhead, foldRun } from '#core/run';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { noLibrary, planOf, workedHold } from '../../tests/support/examples';
import { positionScript } from './entry';
import { scriptOf } from './script';

const scripted = (plan: ReturnType<typeof planOf>, library = builtInLibrary) =>
  scriptOf(plan, compileTimeline(plan, library), library).map(({ atMs, part, text }) => [atMs / 1000, part, text]);

const twist: Position = {
  ...POSITIONS[0]!,
  id: 'twist',
  sides: 'each',
  leftMeans: 'the knees lie to the left',
  waysIn: ['Lie on the back with both knees bent.', 'Let the knees go to the left.'],
  waysOut: ['Bring the knees up.'],
};
const scan: Technique = {
  ...TECHNIQUES[0]!,
  id: 'scan',
  taught: ['With a hand: feel it rise.', 'Then without it.'],
  practice: { countSeconds: 1, sets: [setOf('scan', [ownPaceOf(10, 6)], 1)] },
  spoken: [{ text: 'Feel the left foot.' }, { text: 'Feel the right foot.' }, { text: 'Feel the whole body.' }],
};
const library = libraryOf([twist], [scan]);

describe('the script of a hold', () => {
  const hold: HoldStep = {
    ...workedHold,
    name: 'Twist',
    note: 'Mind the draught.',
    position: 'twist',
    prompts: [{ id: 'p', at: { kind: 'half' }, text: 'let the left shoulder sink', on: 'every' }],
  };

  test('by hand: a side of 3:40 after 40 s of set-up and 25 s of getting in', () => {
    expect(scripted(planOf(hold), library)).toEqual([
      [0, 'name', 'Twist, 3 minutes 40 seconds on each side. First the left: the knees lie to the left.'],
      [0, 'note', 'Mind the draught.'],
      // Eight words take 4 s and seven 3.5 s; the other 17.5 s are two pauses of 8.75 s.
      [40, 'in', 'Lie on the back with both knees bent.'],
      [52, 'in', 'Let the knees go to the left.'],
      [175, 'hold', 'Let the left shoulder sink.'],
      [285, 'out', 'Bring the knees up.'],
      [305, 'side', 'Change sides.'],
      [320, 'side', 'The right: the knees lie to the right.'],
      [320, 'in', 'Lie on the back with both knees bent.'],
      [332, 'in', 'Let the knees go to the right.'],
      [455, 'hold', 'Let the right shoulder sink.'],
      [565, 'out', 'Bring the knees up.'],
      [585, 'release', 'Shake the legs.'],
    ]);
  });

  test('announces sides of different lengths, one side alone, and no side', () => {
    const nameOf = (sides: HoldStep['sides']) => scripted(planOf({ ...hold, note: '', sides }), library)[0]?.[2];
    expect(nameOf({ kind: 'each', first: 'right', length: { kind: 'perSide', left: 60, right: 90 } })).toBe(
      'Twist, 1 minute 30 seconds on the right, 1 minute on the left. First the right: the knees lie to the right.',
    );
    expect(nameOf({ kind: 'one', side: 'left', seconds: 60 })).toBe(
      'Twist, 1 minute. Only the left: the knees lie to the left.',
    );
    expect(nameOf({ kind: 'together', seconds: 120 })).toBe('Twist, 2 minutes.');
    expect(scripted(planOf({ ...holdNamed('My own', 'own'), sides: hold.sides }), noLibrary)[0]?.[2]).toBe(
      'My own, 3 minutes 40 seconds on each side. First the left.',
    );
  });
});

describe('the script of a breath', () => {
  const step = { ...breathFrom(scan, 'scan'), setupSeconds: 30, afterSeconds: 20 };

  test('by hand: taught while it is set up, led through while it is practised, and let go', () => {
    expect(scripted(planOf(step, restStep('r', 'Rest', 60)), library)).toEqual([
      [0, 'name', `${scan.names.english}, 1 minute 20 seconds.`],
      [0, 'breath', 'With a hand. Feel it rise.'],
      // Six words, three words: 4.5 s of speaking in 30, two pauses of 12.75 s.
      [15, 'breath', 'Then without it.'],
      // Three times two seconds of speaking in 60, three pauses of 18 s.
      [30, 'hold', 'Feel the left foot.'],
      [50, 'hold', 'Feel the right foot.'],
      [70, 'hold', 'Feel the whole body.'],
      [90, 'breath', 'Let the breath come and go as it likes.'],
      [110, 'name', 'Rest, 1 minute.'],
    ]);
  });

  test('what is read aloud is said while it is led, in a practice and in a breath inside a hold', () => {
    const lying: HoldStep = {
      ...holdNamed('Rest on the back', 'lying'),
      sides: { kind: 'together', seconds: 90 },
      setupSeconds: 0,
      enterSeconds: 0,
      leaveSeconds: 0,
      breath: { technique: 'scan', name: 'Scan', practice: scan.practice, settleSeconds: 30, fill: false },
    };
    const heard = (plan: ReturnType<typeof planOf>) => {
      const run = foldRun(compileTimeline(plan, library), [{ id: 'event-started', atMs: 0, kind: 'started' }]);
      return cuesAhead(DEFAULT_RULES, run, 0, 200_000).flatMap((cue) =>
        cue.kind === 'prompt' ? [[cue.atMs / 1000, cue.text]] : [],
      );
    };
    const lines = [30, 50, 70].map((at, i) => [at, scan.spoken?.[i]?.text]);
    expect(heard(planOf(step))).toEqual(lines);
    expect(heard(planOf(lying))).toEqual(lines);
  });
});

test('any plan: in order, within its step, no empty line, every prompt and every way in and out in it', () => {
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const timeline = compileTimeline(plan, builtInLibrary);
      const lines = scriptOf(plan, timeline, builtInLibrary);
      for (const { atMs, stepIndex, text } of lines) {
        const span = timeline.steps[stepIndex]!;
        expect(atMs >= span.startMs && atMs <= span.endMs).toBe(true);
        expect(text.trim()).not.toBe('');
      }
      for (const { stepIndex } of timeline.steps) {
        const moments = lines.filter((line) => line.stepIndex === stepIndex).map(({ atMs }) => atMs);
        expect(moments).toEqual([...moments].sort((a, b) => a - b));
      }
      expect(lines.filter(({ part }) => part === 'name')).toHaveLength(plan.steps.length);
      const spoken = timeline.prompts.filter(({ text }) => text.trim() !== '').length;
      expect(lines.filter(({ part }) => part === 'hold').length).toBeGreaterThanOrEqual(spoken);
    }),
    { numRuns: 60 },
  );
});

test('every entry that ships has a script: its name, getting in, something to say, coming out', () => {
  for (const position of POSITIONS) {
    const parts = new Set(scripted(planOf(holdFrom(position, 'yin', 'a'))).map(([, part]) => part));
    for (const part of ['name', 'in', 'hold', 'out'])
      expect([position.id, part, parts.has(part)]).toEqual([position.id, part, true]);
  }
  for (const technique of TECHNIQUES) {
    const parts = scripted(planOf(breathFrom(technique, 'a'))).map(([, part]) => part);
    expect([technique.id, parts.filter((part) => part === 'breath').length >= 2]).toEqual([technique.id, true]);
  }
});

test('a position alone: one side as it is usually held, from getting in to coming out', () => {
  const yin: Position = {
    ...twist,
    defaults: { yin: { seconds: 180, minSeconds: 60, maxSeconds: 300, strength: 3 } },
    enterSeconds: 25,
    leaveSeconds: 10,
    setUps: [{ id: 'bare', name: 'Without props', home: false, items: [] }],
    stages: [],
    prompts: [{ at: { kind: 'beforeEnd', seconds: 30 }, text: 'Half a minute more.' }],
  };
  const heard = (side: 'left' | 'right') =>
    positionScript(yin, side)
      .filter(({ part }) => part !== 'name')
      .map(({ atMs, part, text }) => [atMs / 1000, part, text]);
  expect(heard('left')).toEqual([
    [0, 'in', 'Lie on the back with both knees bent.'],
    [12, 'in', 'Let the knees go to the left.'],
    [175, 'hold', 'Half a minute more.'],
    [205, 'out', 'Bring the knees up.'],
    ...(yin.rebound.when === 'none' ? [] : [expect.anything()]),
  ]);
  expect(heard('right')[1]).toEqual([12, 'in', 'Let the knees go to the right.']);
});
