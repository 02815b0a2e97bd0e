import { describe, expect, test } from '@jest/globals';
import { cycleOf, setOf } from '#core/breath';
import { planMetrics } from '#core/jobs';
import { fitHolds, usualFitOptions } from '#core/fit';
import { emptyPlan, holdFrom, Plan, restStep, talkStep } from '#core/plan';
import { builtInLibrary } from '#library';
import { breathStep, noLibrary, workedHold } from '../../../../tests/support/examples';
import { comparedRows } from './compared';
import { fitRows } from './rows';

const uneven = {
  ...workedHold,
  id: 'uneven',
  name: 'Uneven',
  sides: { kind: 'each', first: 'left', length: { kind: 'perSide', left: 200, right: 160 } },
} as const;
const set = (id: string, rounds: number) => setOf(id, [cycleOf([4, 0, 4, 0])], rounds);
const plan = Plan.parse({
  ...emptyPlan('Evening'),
  classSeconds: 1500,
  steps: [
    talkStep('t'),
    workedHold,
    uneven,
    { ...breathStep([set('one', 10), set('two', 1)]), locked: true },
    { ...restStep('r', 'Rest', 240), locked: true },
  ],
});

describe('what a fit gains and loses', () => {
  const fit = fitHolds({ plan, library: noLibrary }, usualFitOptions(plan, noLibrary));
  const rows = fitRows(plan, 'lengths' in fit ? fit.lengths : []);

  test('a row for each length there is, in its own measure; talk has none', () => {
    expect(rows.map(({ step, which, from, free }) => [step.id, which, from, free])).toEqual([
      ['worked', 'each side', '3:40', true],
      ['uneven', 'left', '3:20', true],
      ['uneven', 'right', '2:40', true],
      ['breath', 'set 1', '10 rounds', false],
      ['breath', 'set 2', '1 round', false],
      ['r', '', '4:00', false],
    ]);
  });

  test('what is locked gains nothing, and the rest is told for both sides', () => {
    expect(rows.filter(({ free }) => !free).every(({ gainMs, from, to }) => gainMs === 0 && from === to)).toBe(true);
    const [worked] = rows;
    const seconds = (text: string): number => Number(text.split(':')[0]) * 60 + Number(text.split(':')[1]);
    expect(worked!.gainMs).toBe(2000 * (seconds(worked!.to) - seconds(worked!.from)));
  });

  test('all that is locked is shown as it is', () => {
    const locked = { ...plan, steps: plan.steps.map((step) => ({ ...step, locked: true })) };
    expect(fitRows(locked, []).map(({ from }) => from)).toEqual([
      '3:40',
      '3:20',
      '2:40',
      '10 rounds',
      '1 round',
      '4:00',
    ]);
  });
});

describe('plans held against each other', () => {
  const hold = (id: string, position: string) => holdFrom(builtInLibrary.position(position)!, 'yin', id);
  const of = (...ids: string[]) => {
    const steps = ids.map((id, i) => hold(`s${i}`, id));
    const one = Plan.parse({ ...emptyPlan('Evening'), steps });
    return { figures: planMetrics({ plan: one, library: builtInLibrary }) };
  };
  const row = (label: string, ...plans: Parameters<typeof comparedRows>[0]) =>
    comparedRows(plans).find((one) => one.label === label)!;

  test('the same plan in another order differs in what the order is, not in what is held', () => {
    const [one, other] = [of('butterfly-fold', 'sphinx', 'seated-fold'), of('butterfly-fold', 'seated-fold', 'sphinx')];
    expect(row('in holds', one, other).same).toBe(true);
    expect(row('body areas', one, other).same).toBe(true);
    expect(row('props', one, other).same).toBe(true);
    expect(row('demands on the body', one, other).same).toBe(true);
    expect(row('changes of position', one, other)).toMatchObject({
      same: false,
      values: [{ differs: false }, { differs: true }],
    });
  });

  test('over the class and uneven sides are cautions; nothing is told as none', () => {
    const uneven1 = { figures: planMetrics({ plan, library: noLibrary }) };
    expect(row('left · right', uneven1).values[0]).toMatchObject({ lines: ['7:00 · 6:20'], caution: true });
    expect(row('compared with class length', uneven1).values[0]!.caution).toBe(uneven1.figures.totals.spareMs < 0);
    expect(row('body areas', uneven1).values[0]!.lines).toEqual(['none']);
  });
});
