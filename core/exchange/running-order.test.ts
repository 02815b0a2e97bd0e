import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { emptyPlan, holdFrom, talkStep, type Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { builtInLibrary, POSITIONS } from '#library';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { runningOrder } from './index';

const order = (plan: Plan) => runningOrder(plan, compileTimeline(plan, builtInLibrary), builtInLibrary);
const position = (id: string) => {
  const found = POSITIONS.find((one) => one.id === id);
  if (!found) throw new Error(`no position ${id}`);
  return found;
};

describe('a running order', () => {
  test('says when each step begins, each side with its length, the props and the prompts', () => {
    const twist = holdFrom(position('reclined-twist'), 'restorative', 't');
    const plan = {
      ...emptyPlan('x'),
      steps: [
        talkStep('a', 'Arrive', 75),
        {
          ...twist,
          note: 'slowly',
          sides: {
            kind: 'each' as const,
            first: 'left' as const,
            length: { kind: 'perSide' as const, left: 200, right: 180 },
          },
          prompts: [
            { id: 'p', at: { kind: 'after' as const, seconds: 60 }, text: 'Soften the jaw', on: 'every' as const },
          ],
        },
      ],
    };
    const [arrive, turned] = order(plan);
    expect(arrive).toMatchObject({ number: 1, name: 'Arrive', startMs: 0, lengthMs: 75_000, before: '', prompts: [] });
    expect(arrive?.turns).toEqual([{ side: 'none', means: '', ms: 75_000 }]);
    expect(turned).toMatchObject({ number: 2, startMs: 75_000, note: 'slowly', prompts: ['1:00 Soften the jaw'] });
    expect(turned?.turns).toEqual([
      { side: 'left', means: 'the knees lie to the left', ms: 200_000 },
      { side: 'right', means: 'the knees lie to the right', ms: 180_000 },
    ]);
    expect(turned?.before).toMatch(/^bring blanket/);
  });

  test('has every step once, without a gap, and no turn is longer than its step', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const rows = order(plan);
        expect(rows.map(({ name }) => name)).toEqual(plan.steps.map(({ name }) => name));
        let at = 0;
        for (const { startMs, lengthMs, turns } of rows) {
          expect(startMs).toBe(at);
          at += lengthMs;
          expect(turns.reduce((sum, { ms }) => sum + ms, 0)).toBeLessThanOrEqual(lengthMs);
          // Also where a breath moves from side to side in every round, a side is one turn.
          expect(new Set(turns.map(({ side }) => side)).size).toBe(turns.length);
        }
        expect(at).toBe(compileTimeline(plan, builtInLibrary).totals.totalMs);
      }),
      { numRuns: 100 },
    );
  });
});
