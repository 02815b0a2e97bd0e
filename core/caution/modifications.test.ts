import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { builtInKnowledge } from '#library/cautions';
import { DEMO_PLANS } from '#library/demo';
import { cycleOf, practiceMs, retentionOf, setOf, strokesOf } from '#core/breath';
import { breathFrom, breathMovesOf, holdBreathFrom, holdFrom, Plan, restStep, Step } from '#core/plan';
import { breathStep, planOf, talk, workedHold } from '../../tests/support/examples';
import { plan as anyPlan } from '../../tests/support/arbitraries';
import { anyPerson, CLASS_DAY, has, someone } from '../../tests/support/people';
import { compileTimeline } from '#core/timeline';
import {
  modifications,
  insteadOf,
  NOTHING_DECIDED,
  planDemands,
  rulesOf,
  screen,
  screenStep,
  versionFor,
  withInstead,
  withoutHolding,
} from './index';

const everyStep: Step[] = [
  ...POSITIONS.map((position) => holdFrom(position, Object.keys(position.defaults)[0] as 'yin', position.id)),
  ...TECHNIQUES.map((technique) => breathFrom(technique, technique.id)),
];
const waysFor = (step: Step, person: Parameters<typeof rulesOf>[0], atHand?: (setUp: unknown) => boolean) =>
  modifications(step, rulesOf(person, builtInKnowledge, CLASS_DAY).active, builtInKnowledge, {
    approach: 'restorative',
    ...(atHand && { atHand }),
  });

describe('ways out', () => {
  test('whoever it is and whatever the step, every way out screens clean for them, fits the schema and stands under its id', () => {
    fc.assert(
      fc.property(anyPerson, fc.constantFrom(...everyStep), (person, step) => {
        const { active } = rulesOf(person, builtInKnowledge, CLASS_DAY);
        const ways = waysFor(step, person);
        expect(ways.at(-1)?.kind).toBe('rest');
        for (const way of ways) {
          const [demand] = planDemands({ ...DEMO_PLANS[0]!.plan, steps: [way.step] }, builtInKnowledge).steps;
          const { level } = screenStep(way.step, demand!.asks, active);
          expect([null, 'watch']).toContain(level);
          expect([way.words, level]).toEqual([way.words, way.level]);
          expect(way.step.id).toBe(step.id);
          expect(Step.safeParse(way.step).error?.issues).toBeUndefined();
        }
        expect(new Set(ways.map(({ words }) => words)).size).toBe(ways.length);
      }),
      { numRuns: 150 },
    );
  });

  test('the first is the nearest: what stays the position, then what a rule or the entry names, then what is like it', () => {
    const legs = holdFrom(builtInLibrary.position('legs-up-wall')!, 'restorative', 'a');
    const ways = waysFor(legs, someone('A', has('glaucoma')));
    expect(ways[0]?.step).toMatchObject({ kind: 'hold', position: 'calves-on-chair' });
    const fold = holdFrom(builtInLibrary.position('chair-half-fold')!, 'restorative', 'a');
    const [high] = waysFor(fold, someone('A', has('glaucoma')));
    expect([high?.kind, high?.words]).toEqual(['setUp', expect.stringMatching(/^Half fold/)]);
    expect(waysFor(talk('t', 60), someone('A', has('glaucoma')))).toEqual([]);
  });

  test.each([
    // The same with the chest propped up, where it lies too flat.
    ['reflux', undefined, 'knees-in-rest', /^Rest with the knees supported: bolster under the knees, chest and head/],
    // A fold over straight legs, where a bent knee is sore; hips raised and knees bent, where straight legs pull.
    ['knee', 'sore', 'head-to-knee', /^Seated forward fold/],
    ['sciatica', undefined, 'seated-fold', /^Seated forward fold: hips on two blankets, knees over a bolster$/],
    // The same legs, less folded, where the head rests on a chair.
    ['sciatica', undefined, 'wide-leg-fold', /^Wide-legged fold, head on a chair: chair raised with more blankets$/],
  ])('for %s %s at %s the nearest comes first', (condition, degree, position, words) => {
    const entry = builtInLibrary.position(position)!;
    const step = holdFrom(entry, 'restorative', 'a');
    const [first] = waysFor(step, someone('A', has(condition, degree === undefined ? {} : { degree })));
    expect(first?.words).toMatch(words);
  });

  test('what would leave all that is to be watched as it is, is no easier way', () => {
    const legs = holdFrom(builtInLibrary.position('legs-up-wall')!, 'restorative', 'a');
    const ways = waysFor(legs, someone('A', has('sciatica')));
    // The eye pillow is nothing to the nerve.
    expect(ways.map(({ words }) => words).join()).not.toContain('eye pillow');
    expect(ways.length).toBeGreaterThan(1);
  });

  test('only with props that are at hand', () => {
    const legs = holdFrom(builtInLibrary.position('legs-up-wall')!, 'restorative', 'a');
    const noChair = (setUp: unknown) => !JSON.stringify(setUp).includes('"chair"');
    const ways = waysFor(legs, someone('A', has('glaucoma')), noChair);
    expect(ways.length).toBeGreaterThan(1);
    for (const { step } of ways) expect(JSON.stringify('setUp' in step ? step.setUp : [])).not.toContain('"chair"');
  });

  test('a breath keeps being what it is without its holds, about as long, never longer', () => {
    const held = breathStep([setOf('s', [cycleOf([4, 8, 8, 4])], 10)], {
      technique: 'hold-full',
      name: 'Hold',
      seat: 'easy-seat',
    });
    const [first] = waysFor(held, someone('A', has('heart')));
    expect(first?.words).toBe('Hold, without holding');
    const practice = first?.step.kind === 'breath' ? first.step.practice : undefined;
    expect(practiceMs(practice!)).toBe(240_000);
    expect(practice!.sets[0]!.parts[0]).toMatchObject({ in: 4, holdFull: 0, out: 8, holdEmpty: 0 });
  });

  test('a breath that moves may do without moving; one inside a hold without holding or without counting', () => {
    const seal = builtInLibrary.position('seal')!;
    const moved = breathStep([setOf('s', [cycleOf([4, 0, 4, 0])], 4)], {
      moves: breathMovesOf(seal),
      technique: 'equal-breath',
    });
    expect(waysFor(moved, someone('A', has('wrist'))).map(({ words }) => words)).toContain(
      'The breath alone, without moving',
    );
    const inside = {
      ...holdFrom(builtInLibrary.position('chair-seat')!, 'restorative', 'a'),
      breath: {
        ...holdBreathFrom(builtInLibrary.technique('equal-breath')!),
        practice: { countSeconds: 1, sets: [setOf('s', [cycleOf([4, 4, 4, 0])], 5)] },
      },
    };
    const words = waysFor(inside, someone('A', has('heart'))).map((way) => way.words);
    expect(words.slice(0, 2)).toEqual(expect.arrayContaining([`${inside.name}, the breath without holding`]));
  });
});

describe('a practice without holding', () => {
  test('has no hold, stroke or lock left; nothing is left of strokes and holds alone', () => {
    const mixed = {
      countSeconds: 1,
      sets: [
        setOf(
          's',
          [strokesOf(30, 60), retentionOf('full', 20), { ...cycleOf([4, 2, 4, 2]), locks: ['root' as const] }],
          3,
        ),
      ],
    };
    expect(withoutHolding(mixed)?.sets[0]?.parts).toEqual([cycleOf([4, 0, 4, 0])]);
    expect(
      withoutHolding({ countSeconds: 1, sets: [setOf('s', [strokesOf(30, 60), retentionOf('full', 20)], 3)] }),
    ).toBeUndefined();
  });
});

describe('a version for one person', () => {
  const versionOf = (plan: (typeof DEMO_PLANS)[number]['plan'], person: Parameters<typeof rulesOf>[0]) => {
    const { active } = rulesOf(person, builtInKnowledge, CLASS_DAY);
    const { steps } = screen(plan, person, builtInKnowledge, CLASS_DAY);
    const instead = new Map(
      plan.steps.flatMap((step, i) => {
        const { level } = steps[i]!;
        const [way] =
          level === 'avoid' || level === 'change'
            ? modifications(step, active, builtInKnowledge, { approach: plan.approach })
            : [];
        return way ? [[step.id, way.step] as const] : [];
      }),
    );
    return { instead, version: versionFor(plan, instead, builtInLibrary) };
  };

  test('a version is a plan: what would be longer than a step may be is left as it was', () => {
    const long = {
      ...workedHold,
      sides: { kind: 'each', first: 'left', length: { kind: 'even', seconds: 2400 } },
    } as const;
    const plan = planOf(long);
    const instead = new Map([['worked', restStep('r', 'Rest', 60)]]);
    const { plan: version, differences } = versionFor(plan, instead, builtInLibrary);
    expect(Plan.safeParse(version).error?.issues ?? []).toEqual([]);
    expect(differences).toEqual([]);
    const shorter = planOf(workedHold);
    expect(versionFor(shorter, instead, builtInLibrary).differences).toHaveLength(1);
  });

  test('every step begins and ends when it does for the others, to the millisecond', () => {
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_PLANS), anyPerson, ({ plan }, person) => {
        const { instead, version } = versionOf(plan, person);
        const [theirs, own] = [plan, version.plan].map((one) => compileTimeline(one, builtInLibrary).steps);
        expect(own!.map(({ startMs, endMs }) => [startMs, endMs])).toEqual(
          theirs!.map(({ startMs, endMs }) => [startMs, endMs]),
        );
        expect(version.differences.length).toBeLessThanOrEqual(instead.size);
        for (const { index, from, to, startMs, endMs } of version.differences) {
          expect([from, to]).toEqual([plan.steps[index]!.name, version.plan.steps[index]!.name]);
          expect([startMs, endMs]).toEqual([theirs![index]!.startMs, theirs![index]!.endMs]);
        }
        for (const step of version.plan.steps) expect(Step.safeParse(step).error?.issues).toBeUndefined();
      }),
      { numRuns: 60 },
    );
  });

  test('so it is with any plan and anything in the place of its steps', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.array(fc.tuple(fc.nat(20), fc.constantFrom(...everyStep)), { maxLength: 4 }),
        (plan, chosen) => {
          const instead = new Map(
            chosen.flatMap(([at, step]) => (plan.steps[at] ? [[plan.steps[at].id, step] as const] : [])),
          );
          const version = versionFor(plan, instead, builtInLibrary);
          const [theirs, own] = [plan, version.plan].map((one) => compileTimeline(one, builtInLibrary).steps);
          expect(own!.map(({ startMs, endMs }) => [startMs, endMs])).toEqual(
            theirs!.map(({ startMs, endMs }) => [startMs, endMs]),
          );
        },
      ),
      { numRuns: 200 },
    );
  });

  test('in the demo class nothing that was chosen is lost for want of time, and nothing else is changed', () => {
    const { plan } = DEMO_PLANS[0]!;
    const { instead, version } = versionOf(
      plan,
      someone('A', has('pregnancy', { since: '2026-05-01' }), has('reflux')),
    );
    expect(version.differences.map(({ stepId }) => stepId)).toEqual([...instead.keys()]);
    expect(instead.size).toBeGreaterThan(1);
    expect(versionFor(plan, new Map(), builtInLibrary)).toEqual({ plan, differences: [] });
    const kept = [...instead].reduce(
      (doc, [stepId, step]) =>
        withInstead(doc, { personId: 'a', stepId, step, by: 'Wren', at: '2026-11-25T10:00:00Z' }),
      NOTHING_DECIDED,
    );
    expect(insteadOf(kept, 'a')).toEqual(instead);
  });
});
