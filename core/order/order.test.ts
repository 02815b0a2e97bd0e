import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  editedPlan,
  breathFrom,
  emptyPlan,
  holdFrom,
  Plan,
  restStep,
  talkStep,
  type Step,
  takeOrder,
} from '#core/plan';
import { seeded } from '#core/numbers';
import { compileTimeline } from '#core/timeline';
import {
  brokenInWords,
  heldBack,
  heldBackInWords,
  MAX_MOVABLE,
  ORDER_RULES,
  orderSteps,
  proofInWords,
  savedInWords,
  shareFromBest,
  type Order,
  type OrderRules,
} from '#core/order';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { lowerBound } from './bound';
import { circleOf } from './circle';
import { exactOrder } from './exact';
import { findViolations } from './violations';
import { BROKEN, costOf, costOfSequence, problemOf, sequenceOf, tallyOf, type Problem } from './problem';
import { goodOrder } from './search';
import { unitsOf } from './units';

type Ordered = Extract<Order, { kind: 'ordered' }>;
const position = (id: string) => builtInLibrary.position(id)!;
const hold = (id: string, at: string, patch: Partial<Step> = {}): Step =>
  ({ ...holdFrom(position(at), 'yin', id), name: id, ...patch }) as Step;
const planOf = (steps: Step[], patch: Partial<Plan> = {}): Plan =>
  Plan.parse({ ...emptyPlan('Evening', 'yin'), steps, ...patch });
const order = (plan: Plan, rules: OrderRules = ORDER_RULES): Ordered => {
  const found = orderSteps({ plan, library: builtInLibrary }, rules);
  if (found.kind !== 'ordered') throw new Error(found.issues[0]!.reason);
  return found;
};
const NO_RULES: OrderRules = {
  ...ORDER_RULES,
  answer: false,
  longSeconds: null,
  breath: { restorative: 'anywhere', yin: 'anywhere', pranayama: 'anywhere', blended: 'anywhere' },
};

/** A plan of library positions, some pinned, with a breath here and there, a last rest, and what comes before what. */
function randomPlan(count: number, random: () => number): { plan: Plan; rules: OrderRules } {
  const any = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const steps: Step[] = Array.from({ length: count }, (_, i) => {
    if (random() < 0.15) return { ...breathFrom(any(TECHNIQUES), `s${i}`), pinned: random() < 0.2 };
    return { ...holdFrom(any(POSITIONS), any(['yin', 'restorative'] as const), `s${i}`), pinned: random() < 0.15 };
  });
  if (random() < 0.5) steps.push(restStep('rest', 'Last rest', 300));
  if (random() < 0.3) steps.splice(1, 0, talkStep('talk'));
  const orderPairs = Array.from({ length: Math.floor(random() * 3) }, () => [
    Math.floor(random() * count),
    Math.floor(random() * count),
  ])
    .filter(([a, b]) => a! < b!)
    .map(([a, b]) => ({ before: `s${a}`, after: `s${b}` }));
  const weights = {
    family: Math.floor(random() * 5),
    propMove: Math.floor(random() * 3),
    wall: Math.floor(random() * 5),
    side: 1,
  };
  const spot = () => any(['first', 'last', 'anywhere'] as const);
  const rules: OrderRules = {
    weights,
    answer: random() < 0.7,
    neutral: random() < 0.5,
    rousing: random() < 0.5,
    longSeconds: any([null, 120, 240]),
    breath: { restorative: spot(), yin: spot(), pranayama: spot(), blended: spot() },
  };
  return { plan: planOf(steps, { orderPairs }), rules };
}

function problem({ plan, rules }: { plan: Plan; rules: OrderRules }): Problem {
  const { units } = unitsOf(plan, builtInLibrary, compileTimeline(plan, builtInLibrary), rules);
  const at = (id: string): number => units.findIndex(({ stepIds }) => stepIds.includes(id));
  const pairs = plan.orderPairs.map(({ before, after }): [number, number] => [at(before), at(after)]);
  return problemOf(units, rules, rules.breath[plan.approach], pairs);
}

function* permutations(list: readonly number[]): Generator<number[]> {
  if (list.length === 0) yield [];
  for (const [i, one] of list.entries()) for (const rest of permutations(list.toSpliced(i, 1))) yield [one, ...rest];
}

const tryAll = (pending: Problem): number => {
  let least = Infinity;
  for (const movable of permutations(pending.movable))
    least = Math.min(least, costOfSequence(pending, sequenceOf(pending, movable)));
  return least;
};

describe('the best order', () => {
  test('equal to trying every order, up to eight movable, on 300 random plans', () => {
    const random = seeded(11);
    let eights = 0;
    for (let n = 0; n < 300; n++) {
      // Eight movable have 40,320 orders: some plans of that size, most of fewer.
      const pending = problem(randomPlan(2 + (n % 20 === 0 ? 8 : Math.floor(random() * 5)), random));
      if (pending.movable.length > 8) continue;
      if (pending.movable.length === 8) eights++;
      const found = exactOrder(pending);
      const least = tryAll(pending);
      expect(found?.cost ?? Infinity).toBe(least);
      if (found) expect(costOfSequence(pending, sequenceOf(pending, found.order))).toBe(least);
    }
    expect(eights).toBeGreaterThan(2);
  });

  test('what is counted is what compiling the plan in that order shows, and what is broken what the rules say', () => {
    const random = seeded(5);
    for (let n = 0; n < 60; n++) {
      const { plan, rules } = randomPlan(4, random);
      const pending = problem({ plan, rules });
      const { opening, units } = unitsOf(plan, builtInLibrary, compileTimeline(plan, builtInLibrary), rules);
      const own = (stepIds: readonly string[]): number => {
        const steps = compileTimeline(editedPlan(plan, takeOrder(stepIds)), builtInLibrary).totals.propMoves;
        return steps;
      };
      const first = sequenceOf(pending, pending.movable);
      for (const movable of permutations(pending.movable)) {
        const sequence = sequenceOf(pending, movable);
        const tallies = (list: readonly number[]) =>
          list.map((to, at) => tallyOf(at === 0 ? null : units[list[at - 1]!]!, units[to]!));
        const moves = (list: readonly number[]): number =>
          tallies(list).reduce((sum, { propMove }) => sum + propMove, 0);
        const ids = (list: readonly number[]): string[] => [...opening, ...list.flatMap((i) => units[i]!.stepIds)];
        // Moves within a step are the same in any order.
        expect(own(ids(sequence)) - own(ids(first))).toBe(moves(sequence) - moves(first));
        const cost = costOfSequence(pending, sequence);
        if (cost === Infinity) continue;
        const saved = tallies(sequence).reduce((sum, tally) => sum + costOf(tally, rules.weights), 0);
        const broken = findViolations(units, rules, rules.breath.yin, sequence).filter(
          (rule) => rule.kind !== 'unanswered' || rule.possible,
        );
        expect(cost).toBe(saved + broken.length * BROKEN);
      }
    }
  });

  test('lying with lying, sitting with sitting; the thin steps go with what they follow', () => {
    const plan = planOf([
      talkStep('welcome'),
      hold('a', 'butterfly-fold'),
      hold('b', 'reclined-twist'),
      talkStep('word'),
      hold('c', 'seated-fold'),
      hold('d', 'legs-up-wall'),
      restStep('rest', 'Last rest', 480),
    ]);
    const found = order(plan, NO_RULES);
    expect(found.proof).toEqual({ kind: 'best' });
    expect(found.after.cost).toBeLessThan(found.before.cost);
    expect(found.after.stepIds[0]).toBe('welcome');
    expect(found.after.stepIds.at(-1)).toBe('rest');
    expect(found.after.stepIds[found.after.stepIds.indexOf('b') + 1]).toBe('word');
    expect(found.after.tally.family).toBeLessThan(found.before.tally.family);
    expect(savedInWords(found)).toMatch(/changes? of position → \d/);
    const taken = editedPlan(plan, takeOrder(found.after.stepIds));
    expect(taken.steps.map(({ id }) => id)).toEqual(found.after.stepIds);
    expect(proofInWords(found)).toBe('No smoother order exists.');
  });

  test('an order that is the best already stays as it is', () => {
    const plan = planOf([hold('a', 'butterfly-fold'), hold('b', 'seated-fold'), restStep('r', 'Rest', 300)]);
    const once = order(plan);
    const again = order(editedPlan(plan, takeOrder(once.after.stepIds)));
    expect(again.after.stepIds).toEqual(once.after.stepIds);
    expect(savedInWords(again)).toBe('');
  });

  test('what is pinned keeps its place, and what comes before comes before', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        const { plan, rules } = randomPlan(6, seeded(seed));
        const found = orderSteps({ plan, library: builtInLibrary }, rules);
        fc.pre(found.kind !== 'refused');
        const place = new Map(found.after.stepIds.map((id, i) => [id, i]));
        expect([...place.keys()].sort()).toEqual(plan.steps.map(({ id }) => id).sort());
        for (const { before, after } of plan.orderPairs) expect(place.get(before)!).toBeLessThan(place.get(after)!);
        if (plan.steps.at(-1)!.id === 'rest') expect(found.after.stepIds.at(-1)).toBe('rest');
        expect(found.after.broken.length).toBeLessThanOrEqual(found.before.broken.length);
        if (found.after.broken.length === found.before.broken.length)
          expect(found.after.cost).toBeLessThanOrEqual(found.before.cost);
      }),
      { numRuns: 60 },
    );
  });

  test('a deep fold is answered, where something can answer it; what nothing answers is told', () => {
    const fold = POSITIONS.find(({ traits }) => traits.includes('loadedSpinalFold'))!;
    const back = POSITIONS.find(({ traits }) => traits.includes('backBend'))!;
    const neutral = POSITIONS.filter(({ traits }) => traits.length === 0).slice(0, 3);
    const steps = [fold, ...neutral, back].map((one, i) => hold(`s${i}`, one.id));
    const found = order(planOf(steps));
    expect(found.before.broken.map(({ kind }) => kind)).toContain('unanswered');
    const places = ['s0', 's4'].map((id) => found.after.stepIds.indexOf(id));
    expect(Math.abs(places[0]! - places[1]!)).toBeLessThanOrEqual(2);
    const alone = order(planOf(steps.slice(0, 4)));
    expect(alone.after.broken.map(brokenInWords)).toContain(
      'No step here is a counterpose for s0, a deep fold, in any order.',
    );
  });
});

describe('what cannot be ordered is told', () => {
  const refusal = (plan: Plan): string => {
    const found = orderSteps({ plan, library: builtInLibrary }, ORDER_RULES);
    return found.kind === 'refused' ? found.issues[0]!.reason : found.kind;
  };
  const [a, b, c] = [hold('A', 'butterfly-fold'), hold('B', 'seated-fold'), hold('C', 'reclined-twist')] as [
    Step,
    Step,
    Step,
  ];

  test('A before B before A is named as a circle', () => {
    const orderPairs = [
      { before: 'A', after: 'B' },
      { before: 'B', after: 'A' },
    ];
    expect(refusal(planOf([a, b, c], { orderPairs }))).toBe('These rules go in a circle: “A” before “B” before “A”.');
  });

  test('two pins the wrong way round, and a pin that nothing can come before', () => {
    const orderPairs = [{ before: 'B', after: 'A' }];
    const pinned = (step: Step): Step => ({ ...step, pinned: true });
    expect(refusal(planOf([pinned(a), pinned(b), c, hold('D', 'butterfly-fold')], { orderPairs }))).toMatch(
      /“B” should come before “A”, but both are pinned/,
    );
    expect(refusal(planOf([pinned(a), b, c], { orderPairs }))).toMatch(/Unpin a step/);
  });

  test('fewer than two that may move; 200 of them', () => {
    expect(refusal(planOf([a]))).toMatch(/fewer than two/);
    const many = Array.from({ length: 200 }, (_, i) => hold(`s${i}`, 'butterfly-fold'));
    expect(refusal(planOf(many))).toBe(
      `200 steps may move, and an order is looked for among at most ${MAX_MOVABLE}. Pin those that should stay where they are.`,
    );
  });

  test('rules about steps that are gone say nothing', () => {
    expect(order(planOf([a, b, c], { orderPairs: [{ before: 'A', after: 'gone' }] })).kind).toBe('ordered');
  });
});

describe('beyond fourteen', () => {
  test('the bound is never above the best, and a found order never below it', () => {
    const random = seeded(3);
    let [close, cases] = [0, 0];
    for (let n = 0; n < 40; n++) {
      const pending = problem(randomPlan(5 + Math.floor(random() * 5), random));
      const best = exactOrder(pending);
      if (!best || pending.movable.length < 2) continue;
      const good = goodOrder(pending, n);
      expect(good!.cost).toBeGreaterThanOrEqual(best.cost);
      const counts = best.cost < BROKEN;
      const least = lowerBound(pending, good!.cost, counts);
      expect(least).toBeLessThanOrEqual(counts ? best.cost : best.cost % BROKEN);
      cases++;
      if (good!.cost === best.cost) close++;
    }
    // It is a good order: nearly always the best one where that can be told.
    expect(close / cases).toBeGreaterThan(0.9);
  });

  test('a long plan has a good order and says how good', () => {
    const { plan, rules } = randomPlan(22, seeded(8));
    const found = order(
      { ...plan, orderPairs: [] },
      { ...rules, breath: ORDER_RULES.breath, weights: ORDER_RULES.weights },
    );
    const share = shareFromBest(found);
    expect(found.after.cost).toBeLessThanOrEqual(found.before.cost);
    expect(share === null || share < 0.35).toBe(true);
    expect(proofInWords(found)).toMatch(/No order|at most \d+ %|could not be told/);
  });
});

test('circles are found, wherever they are, and only where they are', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(5), fc.nat(5)), { maxLength: 8 }), (pairs) => {
      const real = pairs.filter(([a, b]) => a !== b) as [number, number][];
      const circle = circleOf(6, real);
      const sortable = [...permutations([0, 1, 2, 3, 4, 5])].some((list) =>
        real.every(([a, b]) => list.indexOf(a) < list.indexOf(b)),
      );
      expect(circle === null).toBe(sortable);
      circle?.forEach((from, i) => expect(real).toContainEqual([from, circle[(i + 1) % circle.length]]));
    }),
    { numRuns: 60 },
  );
});

test('the rules that hold back are told with what there would be without them', () => {
  const steps = [
    hold('Sit', 'butterfly-fold'),
    hold('Lie', 'reclined-twist'),
    hold('Fold', 'seated-fold', { pinned: true }),
    hold('Wall', 'legs-up-wall'),
  ];
  const plan = planOf(steps, { orderPairs: [{ before: 'Lie', after: 'Sit' }] });
  const found = order(plan, NO_RULES);
  const held = heldBack({ plan, library: builtInLibrary }, NO_RULES, found);
  expect(held.length).toBeGreaterThan(0);
  for (const one of held) {
    expect(one.saves).toBeGreaterThan(0);
    expect(costOf(one.tally, NO_RULES.weights)).toBe(found.after.cost - one.saves);
  }
  expect(held.map((one) => heldBackInWords(plan, one, found.after.tally)).join(' ')).toMatch(
    /Without “(Lie before Sit|Fold where it is pinned)”: /,
  );
});
