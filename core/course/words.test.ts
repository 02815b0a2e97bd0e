import { describe, expect, test } from '@jest/globals';
import { emptyPlan, holdFrom, type Step } from '#core/plan';
import { builtInLibrary as library } from '#library';
import type { ThreadWeeks } from './derive';
import type { Thread } from './thread';
import { outcomeInWords, threadName, valueInWords } from './words';

const counts = (breathIn: number, holdFull: number, out: number, holdEmpty = 0) => ({
  in: breathIn,
  holdFull,
  out,
  holdEmpty,
});
const longer: Thread = {
  ...{ id: 'a', kind: 'length', of: { kind: 'step', step: 's' } },
  ...{ from: 180, to: 300, grid: 15, mostAWeek: 15, byWeek: 6 },
};
const breath: Thread = {
  ...{ id: 'b', kind: 'breath', step: 's', from: counts(4, 4, 4, 4), to: counts(4, 8, 8), easyAWeek: 2, byWeek: 12 },
};
const sentence = (thread: Thread, outcome: ThreadWeeks['outcome']) =>
  outcomeInWords({ thread, outcome, levels: new Map() });

describe('what grows, in words', () => {
  test('is called by its step, its family or what it is', () => {
    const plan = { ...emptyPlan('Evening'), steps: [holdFrom(library.position('last-rest')!, 'yin', 's')] };
    const names = (thread: Thread) => threadName(thread, plan, library);
    expect(names(longer)).toBe('Last rest');
    expect(names({ ...longer, of: { kind: 'family', family: 'sideLying' } } as Thread)).toBe('All side lying holds');
    expect(names({ id: 'n', kind: 'new', entry: 'sphinx', week: 2, after: null, needs: [] })).toBe('Sphinx');
    expect(names({ ...breath, step: 'gone' })).toBe('A step that is gone');
    const [rest] = plan.steps;
    const stage = { id: 'a', name: '', length: { kind: 'fixed', seconds: 60 }, breathSeconds: null } as const;
    const staged = { ...plan, steps: [{ ...rest!, stages: [{ ...stage, position: null, setUp: null }] } as Step] };
    const of = (id: string): Thread => ({ ...longer, of: { kind: 'stage', step: 's', stage: id } }) as Thread;
    expect(threadName(of('a'), staged, library)).toBe('Last rest, stage 1');
    expect(threadName(of('b'), staged, library)).toBe('Last rest, a stage that is gone');
  });

  test('has values with their units', () => {
    expect(valueInWords(longer, 210)).toBe('3:30');
    expect(valueInWords(breath, counts(4, 5, 8))).toBe('4 : 5 : 8');
    const props: Thread = { id: 'p', kind: 'props', step: 's', row: 'r', from: 2, to: 1, byWeek: 4 };
    expect([2, 1].map((value) => valueInWords(props, value))).toEqual(['2 pieces', '1 piece']);
    expect(valueInWords({ id: 't', kind: 'talk', from: 10, to: 4, byWeek: 4 }, 6)).toBe('6 % of the class');
  });

  test('says what stands in the way of an aim, how long that takes, and what can be', () => {
    expect(sentence(longer, { kind: 'inTime' })).toBeUndefined();
    expect(sentence(longer, { kind: 'late', week: 9, binds: { kind: 'step' } })).toBe(
      '5:00 is not possible by week 6: the weekly limit puts it off until week 9.',
    );
    const gate = { kind: 'gate', rung: counts(1, 2, 2), before: counts(1, 1, 1, 1), gate: 14 } as const;
    expect(sentence(breath, { kind: 'never', nearest: counts(4, 5, 8), moreWeeks: 3, binds: gate })).toBe(
      '4 : 8 : 8 is not possible by week 12: the gate of 14 easy sessions at 1 : 1 : 1 : 1 needs 3 more weeks; 4 : 5 : 8 is.',
    );
    expect(sentence(breath, { kind: 'never', nearest: counts(4, 4, 4, 4), moreWeeks: null, binds: gate })).toBe(
      '4 : 8 : 8 is not possible by week 12, nor later: the gate of 14 easy sessions at 1 : 1 : 1 : 1 stands in the way; 4 : 4 : 4 : 4 is.',
    );
  });
});
