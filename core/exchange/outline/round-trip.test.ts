import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  Plan,
  holdFrom,
  breathFrom,
  emptyPlan,
  restStep,
  moveStep,
  talkStep,
  type HoldStep,
  type Step,
} from '#core/plan';
import { rowFor, PROP_KIND_NAMES, propKind, placesFor, type SetUpRow } from '#core/props';
import { FIT_WEIGHTS } from '#core/plan';
import { APPROACHES, WHERE_NAMES, type Position } from '#core/catalogue';
import { builtInLibrary, POSITIONS, TECHNIQUES, TEMPLATES } from '#library';
import { alsoCalled } from '#library/synonyms';
import { plan as anyPlan, seconds } from '../../../tests/support/arbitraries';
import { nameIndex, readOutline, writeOutline } from './index';

const index = nameIndex({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled });
function readBack(text: string): Plan {
  let ids = 0;
  return readOutline(text, {
    index,
    approach: 'yin',
    where: null,
    today: '2026-11-30',
    newId: () => `back-${++ids}`,
  }).plan;
}

/**
 * A plan as it can be compared: ids are no content, nor is to which side a piece in the middle would go. Why a prop is
 * there is compared only where that is wanted: an outline does not say it.
 */
function content(plan: Plan, withWhy = false): unknown {
  const cleaned: unknown = JSON.parse(
    JSON.stringify(plan, (key, value: unknown) => {
      if (key === 'id' || (key === 'why' && !withWhy)) return undefined;
      if (key === 'setUp' && Array.isArray(value))
        return (value as SetUpRow[]).map((row) =>
          row.side === 'left' || row.side === 'right' ? row : { ...row, mirror: true },
        );
      if (typeof value === 'object' && value !== null && !Array.isArray(value))
        return Object.fromEntries(Object.entries(value as object).sort(([a], [b]) => (a < b ? -1 : 1)));
      return value;
    }),
  );
  return cleaned;
}

const words = fc.constantFrom(
  'soften the jaw',
  'Turn the head; breathe into the back.',
  'the left heel, 3 cm higher',
  'half of it is enough: stay',
  'Lass los – ganz weich',
  '5 more breaths',
  'blanket under the knees (if cold)',
);
const name = fc.constantFrom(
  'Evening shape',
  'Sphinx, but lower',
  'Rest 5:00 of it',
  'Twist – both ways',
  'Talk about twists',
  '3 long ones',
  'Die lange Ruhe',
  'Calves on a chair (again)',
  'In 4, out 8',
);

/** Rows that a teacher may have under a position: each kind in each state at each place that has words of its own. */
const rowOf = (position: Position | undefined): fc.Arbitrary<SetUpRow> =>
  fc.constantFrom(...PROP_KIND_NAMES).chain((kind) =>
    fc.constantFrom(...Object.keys(propKind(kind).states)).chain((state) =>
      fc
        .record({
          place: fc.constantFrom(...placesFor({ kind, state }, 'feet')),
          side: fc.constantFrom('centre' as const, 'left' as const, 'right' as const, 'each' as const),
          lie: fc.constantFrom('lengthwise' as const, 'crosswise' as const),
          count: fc.integer({ min: 1, max: 4 }),
          mirror: fc.boolean(),
          optional: fc.boolean(),
        })
        .map((look) => {
          const usual = position?.setUps
            .flatMap(({ items }) => items)
            .find((row) => row.kind === kind && row.place === look.place);
          const row: SetUpRow = {
            ...rowFor(kind, look.place, look.side, 'row'),
            state,
            ...look,
            why: usual?.why ?? '',
          };
          return kind === 'wall'
            ? { ...row, wallCm: 10 }
            : kind === 'strap' && state === 'loop'
              ? { ...row, loopCm: 90 }
              : row;
        }),
    ),
  );

const length = seconds(1, 1200);
const marks = fc.record({
  note: fc.oneof(fc.constant(''), words, fc.constant('first line\nsecond line')),
  locked: fc.boolean(),
  pinned: fc.boolean(),
  weight: fc.constantFrom(...FIT_WEIGHTS),
  where: fc.option(fc.constantFrom(...WHERE_NAMES)),
});

/** A hold with everything that an outline can say of it. */
const hold: fc.Arbitrary<Step> = fc.constantFrom(...POSITIONS).chain((position) => {
  const first = fc.constantFrom('house' as const, 'left' as const, 'right' as const);
  const sides: fc.Arbitrary<HoldStep['sides']> = fc.oneof(
    fc.record({ kind: fc.constant('together' as const), seconds: length }),
    fc.record({
      kind: fc.constant('one' as const),
      side: fc.constantFrom('left' as const, 'right' as const),
      seconds: length,
    }),
    fc.record({
      kind: fc.constantFrom('each' as const, 'crossing' as const),
      first,
      length: fc.oneof(
        length.map((one) => ({ kind: 'even' as const, seconds: one })),
        fc.record({ kind: fc.constant('perSide' as const), left: length, right: length }),
      ),
    }),
  );
  return fc
    .record({
      sides,
      marks,
      name: fc.oneof({ weight: 3, arbitrary: fc.constant(position.names.english) }, name),
      setUp: fc.option(fc.array(rowOf(position), { maxLength: 4 })),
      range: fc.oneof(fc.constant(undefined), fc.constant(null), fc.tuple(length, length)),
      strength: fc.option(fc.option(fc.integer({ min: 0, max: 10 })), { nil: undefined }),
      times: fc.record({
        setupSeconds: fc.option(seconds(0, 90)),
        enterSeconds: fc.option(seconds(0, 90)),
        leaveSeconds: fc.option(seconds(0, 90)),
        switchSeconds: fc.option(seconds(0, 90)),
        breathSeconds: fc.option(fc.integer({ min: 2, max: 12 })),
        waysIn: fc.option(fc.array(words, { minLength: 1, maxLength: 3 })),
        waysOut: fc.option(fc.array(words, { minLength: 1, maxLength: 3 })),
        leftMeans: fc.option(words),
        unevenIntended: fc.boolean(),
      }),
      prompts: fc.option(
        fc.array(
          fc.record({
            id: fc.constant('p'),
            at: fc.oneof(
              fc.record({ kind: fc.constant('after' as const), seconds: seconds(0, 300) }),
              fc.constant({ kind: 'half' as const }),
              fc.record({ kind: fc.constant('beforeEnd' as const), seconds: seconds(0, 300) }),
              fc.record({ kind: fc.constant('afterBreaths' as const), breaths: fc.integer({ min: 1, max: 40 }) }),
            ),
            text: words,
            on: fc.constantFrom('every' as const, 'first' as const, 'second' as const),
          }),
          { maxLength: 3 },
        ),
      ),
      stages: fc.option(
        fc.array(
          fc.record({
            id: fc.constant('s'),
            name: fc.constantFrom('upright', 'folded', 'turned to the side'),
            length: fc.oneof(
              fc.record({ kind: fc.constant('fixed' as const), seconds: fc.integer({ min: 1, max: 300 }) }),
              fc.constant({ kind: 'share' as const, weight: 1 }),
            ),
            breathSeconds: fc.constant(null),
            position: fc.constant(null),
            setUp: fc.constant(null),
          }),
          { maxLength: 3 },
        ),
      ),
      rebound: fc.oneof(
        fc.constant({ kind: 'none' as const }),
        fc.record({ kind: fc.constantFrom('afterEach' as const, 'afterBoth' as const), seconds: seconds(1, 90) }),
      ),
      loosen: fc.option(
        fc.record({
          when: fc.constantFrom('afterEach' as const, 'afterBoth' as const),
          seconds: seconds(1, 60),
          text: words,
        }),
      ),
    })
    .map(
      ({
        sides: lie,
        marks: common,
        name: called,
        setUp,
        range,
        strength,
        times,
        prompts,
        stages,
        rebound,
        loosen,
      }): Step => {
        const usual = holdFrom(position, 'yin', 'hold', common.where);
        const [a, b] = range ?? [0, 0];
        return {
          ...usual,
          ...common,
          ...times,
          name: called,
          sides: lie,
          ...(setUp && { setUp: setUp.map((row, i) => ({ ...row, id: `row-${i}` })) }),
          range: range === undefined ? null : range === null ? null : { min: Math.min(a, b), max: Math.max(a, b) },
          rangeIsUsual: false,
          ...(strength !== undefined && { strength }),
          ...(prompts && { prompts: prompts.map((prompt, i) => ({ ...prompt, id: `prompt-${i}` })) }),
          ...(stages && { stages: stages.map((stage, i) => ({ ...stage, id: `stage-${i}` })) }),
          rebound,
          loosen,
        };
      },
    );
});

const SIMPLE = TECHNIQUES.filter(
  ({ practice: { sets } }) =>
    sets.length === 1 && sets[0]?.parts.length === 1 && sets[0].parts[0]?.kind === 'cycle' && sets[0].ramp === null,
);
/** A counted breath, with other counts and rounds than usual. */
const breath: fc.Arbitrary<Step> = fc.constantFrom(...SIMPLE).chain((technique) =>
  fc
    .record({
      counts: fc.tuple(
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 0, max: 4 }),
        fc.integer({ min: 2, max: 9 }),
        fc.integer({ min: 0, max: 3 }),
      ),
      rounds: fc.integer({ min: 2, max: 40 }),
      countSeconds: fc.integer({ min: 60, max: 200 }).map((n) => n / 100),
      afterSeconds: seconds(0, 90),
      setupSeconds: fc.option(seconds(0, 90)),
      seat: fc.option(fc.constantFrom('easy-seat', 'chair-seat', 'last-rest')),
      marks,
    })
    .map(({ counts: [breathIn, holdFull, out, holdEmpty], rounds, countSeconds, marks: common, ...more }): Step => {
      const usual = breathFrom(technique, 'breath');
      const sets = usual.practice.sets.map((set) => ({
        ...set,
        rounds,
        parts: set.parts.map((part) =>
          part.kind === 'cycle' ? { ...part, in: breathIn, holdFull, out, holdEmpty } : part,
        ),
      }));
      return { ...usual, ...common, ...more, practice: { countSeconds, sets } };
    }),
);

const plain: fc.Arbitrary<Step> = fc
  .record({
    make: fc.constantFrom(restStep, moveStep, talkStep),
    name: fc.oneof(fc.constantFrom('Rest', 'Arrive', 'Release', 'Closing words'), name),
    seconds: length,
    marks,
  })
  .map(({ make, name: called, seconds: long, marks: common }) => ({ ...make('plain', called, long), ...common }));

const sayable: fc.Arbitrary<Plan> = fc
  .record({
    title: fc.constantFrom('Evening for tired legs', 'Yin, 60 minutes', '12 people', 'Hips – and hands', '# 3'),
    intent: fc.oneof(fc.constant(''), words, fc.constant('one\ntwo')),
    approach: fc.constantFrom(...APPROACHES),
    groupSize: fc.integer({ min: 1, max: 60 }),
    classSeconds: fc.integer({ min: 5, max: 180 }).map((n) => n * 60),
    startsAt: fc.option(fc.constantFrom('2026-12-01T18:30', '2026-02-28T07:05', '2027-10-31T00:00')),
    place: fc.constantFrom('', 'low room', 'Wrackline Hall', 'Hall 2, at 18:30', 'the yin room', 'Mon Repos'),
    where: fc.option(fc.constantFrom(...WHERE_NAMES, 'online' as const)),
    remaining: fc.boolean(),
    steps: fc.array(fc.oneof({ weight: 3, arbitrary: hold }, breath, plain), { maxLength: 3 }),
  })
  .map(({ steps, remaining, ...fields }) => {
    const last = steps.length - 1;
    return Plan.parse({
      ...emptyPlan('x', 'yin'),
      ...fields,
      steps: steps.map((step, i) => ({
        ...step,
        id: `step-${i}`,
        takesRemaining: remaining && i === last && step.kind !== 'breath',
      })),
    });
  });

describe('an outline that Zovrin wrote', () => {
  test('is read back as the same plan, for all that an outline can say', () => {
    fc.assert(
      fc.property(sayable, (plan) => {
        const { text, missing } = writeOutline(plan, builtInLibrary, index);
        const back = readBack(text);
        expect([text, content(back)]).toEqual([text, content(plan)]);
        const isWhySame = JSON.stringify(content(back, true)) === JSON.stringify(content(plan, true));
        if (isWhySame) expect(missing).toEqual([]);
        else for (const what of missing) expect(what).toMatch(/^step \d+: why the props are there$/);
      }),
      { numRuns: 2000 },
    );
  });

  test('a set-up that is written like one of the library’s, and is not quite that', () => {
    for (const position of POSITIONS) {
      for (const { items } of position.setUps) {
        for (const [i, row] of items.entries()) {
          const setUp = items.map((one, n) => (n === i ? { ...row, optional: !row.optional } : one));
          const hold = { ...holdFrom(position, 'restorative', 'h'), setUp };
          const plan = { ...emptyPlan('Evening'), steps: [hold] };
          const { text } = writeOutline(plan, builtInLibrary, index);
          const [back] = readBack(text).steps;
          expect([text, back?.kind === 'hold' && back.setUp.map(({ optional }) => optional)]).toEqual([
            text,
            setUp.map(({ optional }) => optional),
          ]);
        }
      }
    }
  });

  test('names whatever it does not say, of any plan', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const { text, missing } = writeOutline(plan, builtInLibrary, index);
        const back = readBack(text);
        expect(Plan.safeParse(back).error).toBeUndefined();
        if (missing.length === 0) expect(content(back, true)).toEqual(content(plan, true));
        expect([text, back.steps.length]).toEqual([text, plan.steps.length]);
      }),
      { numRuns: 100 },
    );
  });

  test('says everything of the examples but practices of several parts, and a few things that are named', () => {
    for (const { plan } of TEMPLATES) {
      const { text, missing } = writeOutline(plan, builtInLibrary, index);
      expect(readBack(text).steps.map(({ kind, name: called }) => [kind, called])).toEqual(
        plan.steps.map(({ kind, name: called }) => [kind, called]),
      );
      for (const what of missing)
        expect(what).toMatch(
          /the practice in full$|why the props are there$|the alternative set-up for some$|the breath inside it$|the position it moves$|the lengths$|details of the stages$/,
        );
    }
  });
});
