import { describe, expect, test } from '@jest/globals';
import { libraryOf } from '#core/catalogue';
import { holdFrom, USUAL_PLAN_RULES, type Plan, type PlanRules } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { POSITIONS } from '#library';
import { planOf } from '../../tests/support/examples';

const library = libraryOf(POSITIONS, []);
const swan = holdFrom(library.position('sleeping-swan')!, 'yin', 'a');
const plan: Plan = planOf(swan);
const withRules = (rules: Partial<PlanRules>, startsAt: string | null = null): Plan => ({
  ...plan,
  startsAt,
  rules: { ...USUAL_PLAN_RULES, ...rules },
});
const phases = (of: Plan) =>
  compileTimeline(of, library).phases.map(({ kind, side, startMs, endMs }) => [kind, side, (endMs - startMs) / 1000]);
const firstHeld = (of: Plan) => phases(of).find(([kind]) => kind === 'hold')?.[1];

describe('the rules of a plan', () => {
  test('are the usual ones, where it has none', () => {
    expect(phases(withRules({}))).toEqual(phases(plan));
  });

  test('set-up takes what they say: 20 s, and 10 s for bolster and blanket', () => {
    const [setup] = phases(withRules({ setupBaseSeconds: 20, setupPerMoveSeconds: 10 }));
    expect(setup).toEqual(['setup', expect.any(String), 40]);
  });

  test('getting in and out takes half as long again; a time of the step’s own stays', () => {
    const { enterSeconds, leaveSeconds, switchSeconds } = library.position('sleeping-swan')!;
    const slow = phases(withRules({ changesPercent: 150 }));
    const first = (kind: string) => slow.find(([of]) => of === kind)?.[2];
    expect([first('enter'), first('leave'), first('switch')]).toEqual(
      [enterSeconds, leaveSeconds, switchSeconds].map((usual) => Math.round(usual * 1.5)),
    );
    const own = { ...withRules({ changesPercent: 150 }), steps: [{ ...swan, enterSeconds: 7 }] };
    expect(phases(own).find(([kind]) => kind === 'enter')?.[2]).toBe(7);
  });

  test('the first side is the one they name, or goes by the date in turn, day after day', () => {
    expect(firstHeld(withRules({ firstSide: 'right' }))).toBe('right');
    const days = ['2026-11-30', '2026-12-01', '2026-12-02', '2026-12-07', '2026-12-14'];
    const sides = days.map((day) => firstHeld(withRules({ firstSide: 'byDate' }, `${day}T18:30`)));
    expect(sides[1]).not.toBe(sides[0]);
    expect(sides[2]).toBe(sides[0]);
    // A weekly class begins with the other side each week.
    expect([sides[3], sides[4]]).toEqual([sides[1], sides[0]]);
    expect(firstHeld(withRules({ firstSide: 'byDate' }))).toBe('left');
  });

  test('a step that names its first side keeps it', () => {
    const right: Plan = {
      ...withRules({ firstSide: 'left' }),
      steps: [{ ...swan, sides: { kind: 'each', first: 'right', length: { kind: 'even', seconds: 120 } } }],
    };
    expect(firstHeld(right)).toBe('right');
  });
});
