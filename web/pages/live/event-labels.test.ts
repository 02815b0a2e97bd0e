import { describe, expect, test } from '@jest/globals';
import { comingUp, foldRun, type RunEvent } from '#core/run';
import { editedPlan, setOtherSetUp, type HoldStep } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { noLibrary, planOf, propRow, talk, workedHold } from '../../../tests/support/examples';
import { eventInWords } from './event-labels';
import { comingDetail, nextStageInWords } from './words';

const block = propRow('block', 'sacrum', { state: 'edge' });
const staged: HoldStep = {
  ...workedHold,
  name: 'Bridge',
  sides: { kind: 'together', seconds: 300 },
  setUp: [block],
  stages: [
    {
      id: 'a',
      name: 'raised',
      length: { kind: 'fixed', seconds: 120 },
      breathSeconds: null,
      position: null,
      setUp: null,
    },
    { id: 'b', name: 'low', length: { kind: 'share', weight: 1 }, breathSeconds: null, position: null, setUp: [] },
  ],
};
const plan = { ...planOf(staged, talk('close', 60)), groupSize: 12 };
const timeline = compileTimeline(plan, noLibrary);
const started: RunEvent = { id: 'event-start', atMs: 0, kind: 'started' };
const run = foldRun(timeline, [started]);

type Body = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'atMs'> : never) : never;
const inWords = (body: Body): string => eventInWords({ ...body, id: 'event-1', atMs: 1000 } as RunEvent, plan, run);

describe('what was just done, in words', () => {
  test.each<[Body, string]>([
    [{ kind: 'paused' }, 'Paused'],
    [{ kind: 'resumed' }, 'Resumed'],
    [{ kind: 'stretched', byMs: 30_000 }, '0:30 more'],
    [{ kind: 'stretched', byMs: -15_000 }, '0:15 less'],
    [{ kind: 'rounds', by: 1 }, '1 round more'],
    [{ kind: 'rounds', by: -2 }, '2 rounds less'],
    [{ kind: 'cut' }, 'Ended by hand'],
    [{ kind: 'matched' }, 'The second side gets the same length'],
    [{ kind: 'opened', open: true }, 'Holding until you end it'],
    [{ kind: 'opened', open: false }, 'Back to its planned time'],
    [{ kind: 'swapped', steps: [1, 2] }, 'The next two steps are swapped'],
    [{ kind: 'restAdded', ms: 60_000 }, 'A rest of 1:00 is added'],
    [{ kind: 'refitted', lengths: [] }, 'Refitted to finish on time'],
    [{ kind: 'missed', fromMs: 0 }, 'Resumed from where it was'],
    [{ kind: 'noted', text: 'cold' }, ''],
  ])('%j', (body, words) => expect(inWords(body)).toBe(words));

  test('a jump names the step it went to', () => {
    const close = timeline.phases.findIndex(({ stepIndex }) => stepIndex === 1);
    expect(inWords({ kind: 'jumped', phase: close })).toBe('Moved to Talk');
    expect(inWords({ kind: 'jumped', phase: 999 })).toBe('Moved to another step');
  });
});

describe('props while teaching', () => {
  const held = timeline.phases.filter(({ kind }) => kind === 'hold');

  test('what a stage takes away is told all through the one before; the last has nothing after it', () => {
    expect(nextStageInWords(timeline, held[0]!)).toBe('then low: block away');
    expect(nextStageInWords(timeline, held[1]!)).toBe('');
    expect(nextStageInWords(timeline, timeline.phases[0]!)).toBe('');
  });

  test('what some have instead is told with what is coming, also while it is set up', () => {
    const split = editedPlan(plan, setOtherSetUp('worked', { people: 4, setUp: [propRow('cushion', 'sacrum')] }));
    const [coming] = comingUp(foldRun(compileTimeline(split, noLibrary), [started]), 0, 1);
    for (const sameStep of [false, true])
      expect(comingDetail(split, coming!, sameStep, noLibrary)).toContain('4 of 12 instead: cushion, under the sacrum');
    expect(comingDetail(plan, comingUp(run, 0, 1)[0]!, false, noLibrary)).not.toContain('instead');
  });
});
