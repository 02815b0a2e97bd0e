import fc from 'fast-check';
import { WHERE_NAMES } from '#core/catalogue';
import {
  BREATH_LOCKS,
  BREATH_PLACES,
  BREATH_SOUNDS,
  cycleOf,
  QUARTERS,
  recoverOf,
  setOf,
  type BreathPart,
  type BreathPractice,
  type BreathSet,
  type Ramp,
} from '#core/breath';
import { TRAITS } from '#core/catalogue';
import { PROP_KIND_NAMES, PROP_PLACE_NAMES, propKind, type PlacedProp, type SetUp } from '#core/props';
import { emptyPlan, FIT_WEIGHTS, Plan, type HoldSides, type Rebound, type Stage, type Step } from '#core/plan';

/** Seconds with up to three decimals, as a plan stores them. */
export const seconds = (min: number, max: number) =>
  fc.integer({ min: min * 1000, max: max * 1000 }).map((ms) => ms / 1000);

const rowLook = fc.constantFrom(...PROP_KIND_NAMES).chain((kind) =>
  fc.record({
    kind: fc.constant(kind),
    state: fc.constantFrom(...Object.keys(propKind(kind).states)),
    lie: fc.constantFrom('lengthwise' as const, 'crosswise' as const),
    place: fc.constantFrom(...PROP_PLACE_NAMES),
    side: fc.constantFrom('centre' as const, 'left' as const, 'right' as const, 'each' as const),
    count: fc.integer({ min: 1, max: 3 }),
  }),
);

export const setUp: fc.Arbitrary<SetUp> = fc.array(
  fc
    .tuple(rowLook, fc.boolean())
    .map(([look, mirror]) => ({ ...look, id: `row-${look.kind}`, mirror, optional: false, why: '' })),
  { maxLength: 5 },
);

/** Few kinds and places, so that pieces often meet again; small enough for brute force. */
export const fewPlaced: fc.Arbitrary<PlacedProp[]> = fc.array(
  fc.record({
    kind: fc.constantFrom('blanket' as const, 'block' as const),
    state: fc.constantFrom('a', 'b'),
    lie: fc.constant('lengthwise' as const),
    place: fc.constantFrom('knees' as const, 'head' as const),
    side: fc.constantFrom('centre' as const, 'left' as const),
    count: fc.integer({ min: 1, max: 2 }),
  }),
  { maxLength: 3 },
);

const count = fc.integer({ min: 0, max: 12 });
const through = fc.constantFrom('nose' as const, 'left' as const, 'right' as const, 'mouth' as const);

const sound = fc.constantFrom(...BREATH_SOUNDS);
const breathPlace = fc.option(fc.constantFrom(...BREATH_PLACES));
const locks = fc.subarray([...BREATH_LOCKS]);
const breath = fc.integer({ min: 1, max: 12 });

const breathSteps = fc.record({ parts: fc.integer({ min: 2, max: 6 }), pauseCounts: fc.integer({ min: 1, max: 3 }) });
const cyclePart = fc
  .tuple(
    fc.tuple(breath, count, breath, count),
    fc.record({ inThrough: through, outThrough: through, sound, place: breathPlace, locks }),
    fc.record({ inSteps: breathSteps, outSteps: breathSteps }, { requiredKeys: [] }),
  )
  .map(([counts, rest, steps]) => cycleOf(counts, { ...rest, ...steps }));
const otherPart: fc.Arbitrary<BreathPart> = fc.oneof(
  fc.record({
    kind: fc.constant('ownPace' as const),
    cycles: fc.integer({ min: 1, max: 8 }),
    secondsPerCycle: seconds(1, 20),
    through,
    sound,
    place: breathPlace,
  }),
  fc.record({
    kind: fc.constant('strokes' as const),
    count: fc.integer({ min: 1, max: 60 }),
    perMinute: fc.integer({ min: 10, max: 180 }),
    active: fc.constantFrom('out' as const, 'both' as const),
    through,
  }),
  fc.record({
    kind: fc.constant('retention' as const),
    held: fc.constantFrom('full' as const, 'empty' as const),
    seconds: seconds(1, 40),
    asLongAsEasy: fc.boolean(),
    pulses: fc.integer({ min: 0, max: 20 }),
    locks,
  }),
  fc.oneof(
    seconds(1, 30).map(recoverOf),
    fc.record({
      kind: fc.constant('recover' as const),
      for: fc.record({
        kind: fc.constant('cycles' as const),
        cycles: fc.integer({ min: 1, max: 5 }),
        secondsPerCycle: seconds(1, 10),
      }),
    }),
  ),
);
const ramp: fc.Arbitrary<Ramp> = fc.oneof(
  fc.record({ of: fc.constantFrom(...QUARTERS), to: breath, steps: fc.constant('counts' as const) }),
  fc.record({
    of: fc.constantFrom(...QUARTERS),
    to: fc.integer({ min: 10, max: 120 }).map((tenths) => tenths / 10),
    steps: fc.constant('tenths' as const),
  }),
);
/** A set of up to two parts; one that changes over its rounds has a counted breath and at least two rounds. */
const breathSet: fc.Arbitrary<BreathSet> = fc
  .record({
    parts: fc.array(fc.oneof(cyclePart, otherPart), { minLength: 1, maxLength: 2 }),
    rounds: fc.integer({ min: 1, max: 4 }),
    ramp: fc.option(ramp),
    restSeconds: seconds(0, 60),
  })
  .map(({ parts, rounds, ramp: change, restSeconds }) => {
    const may = rounds > 1 && parts.some(({ kind }) => kind === 'cycle');
    return setOf('set', parts, rounds, { ramp: may ? change : null, restSeconds });
  });

export const practice: fc.Arbitrary<BreathPractice> = fc.record({
  countSeconds: seconds(0.5, 2),
  sets: fc.array(breathSet, { minLength: 1, maxLength: 3 }),
});

const first = fc.constantFrom('house' as const, 'left' as const, 'right' as const);
const hold = seconds(1, 600);
const length = fc.oneof(
  hold.map((s) => ({ kind: 'even' as const, seconds: s })),
  fc.record({ kind: fc.constant('perSide' as const), left: hold, right: hold }),
);
const sides: fc.Arbitrary<HoldSides> = fc.oneof(
  fc.record({ kind: fc.constant('together' as const), seconds: hold }),
  fc.record({
    kind: fc.constant('one' as const),
    side: fc.constantFrom('left' as const, 'right' as const),
    seconds: hold,
  }),
  fc.record({ kind: fc.constant('each' as const), first, length }),
  fc.record({ kind: fc.constant('crossing' as const), first, length }),
);
const moment = fc.oneof(
  fc.record({ kind: fc.constant('after' as const), seconds: seconds(0, 300) }),
  fc.constant({ kind: 'half' as const }),
  fc.record({ kind: fc.constant('beforeEnd' as const), seconds: seconds(0, 300) }),
);
const rebound: fc.Arbitrary<Rebound> = fc.oneof(
  fc.constant({ kind: 'none' as const }),
  fc.record({ kind: fc.constantFrom('afterEach' as const, 'afterBoth' as const), seconds: seconds(1, 90) }),
);
const stage: fc.Arbitrary<Stage> = fc.record({
  id: fc.constant('stage'),
  name: fc.constant('folded'),
  length: fc.oneof(
    fc.record({ kind: fc.constant('fixed' as const), seconds: seconds(1, 200) }),
    fc.record({ kind: fc.constant('share' as const), weight: fc.double({ min: 0.1, max: 5, noNaN: true }) }),
  ),
  breathSeconds: fc.option(seconds(1, 12)),
  position: fc.option(fc.constantFrom('janu', 'nowhere')),
  setUp: fc.option(setUp),
});
const otherSetUp = fc.option(fc.record({ people: fc.integer({ min: 1, max: 40 }), setUp }), { freq: 1 });
const own = fc.option(seconds(0, 90));
const common = {
  name: fc.constant('step'),
  note: fc.constant(''),
  locked: fc.boolean(),
  weight: fc.constantFrom(...FIT_WEIGHTS),
  pinned: fc.boolean(),
  takesRemaining: fc.constant(false),
  where: fc.option(fc.constantFrom(...WHERE_NAMES)),
};

const step: fc.Arbitrary<Omit<Step, 'id'>> = fc.oneof(
  fc.record({
    ...common,
    kind: fc.constant('hold' as const),
    position: fc.constantFrom('janu', 'nowhere'),
    sides,
    range: fc.constant(null),
    demands: fc.option(fc.uniqueArray(fc.constantFrom(...TRAITS), { maxLength: 4 })),
    rangeIsUsual: fc.boolean(),
    strength: fc.option(fc.integer({ min: 0, max: 10 })),
    stages: fc.array(stage, { maxLength: 4 }),
    setUp,
    otherSetUp,
    setupSeconds: own,
    enterSeconds: own,
    leaveSeconds: own,
    switchSeconds: own,
    prompts: fc.array(
      fc.record({
        id: fc.constant('p'),
        at: moment,
        text: fc.constant('soften'),
        on: fc.constantFrom('every' as const, 'first' as const, 'second' as const),
      }),
      { maxLength: 3 },
    ),
    breathSeconds: fc.option(seconds(1, 12)),
    breath: fc.option(
      fc.record({
        technique: fc.constant('equal'),
        name: fc.constant('Even breath'),
        practice,
        settleSeconds: seconds(0, 60),
        fill: fc.boolean(),
      }),
    ),
    rebound,
    loosen: fc.option(
      fc.record({
        when: fc.constantFrom('afterEach' as const, 'afterBoth' as const),
        seconds: seconds(1, 60),
        text: fc.constant('shake'),
      }),
    ),
    unevenIntended: fc.boolean(),
    waysIn: fc.option(fc.constant(['Sit, then lie back.'])),
    waysOut: fc.option(fc.constant(['Roll over the tailbone.'])),
    leftMeans: fc.option(fc.constant('left knee in front')),
  }),
  fc.record({
    ...common,
    kind: fc.constant('breath' as const),
    technique: fc.constant('equal'),
    practice,
    moves: fc.option(
      fc.record({
        position: fc.constantFrom('janu', 'nowhere'),
        into: fc.constantFrom('in' as const, 'out' as const),
        outOf: fc.constantFrom('in' as const, 'out' as const),
        sides: fc.constantFrom('together' as const, 'each' as const, 'inTurn' as const),
        first,
      }),
    ),
    seat: fc.option(fc.constantFrom('easy-seat', 'last-rest', 'nowhere')),
    setUp,
    otherSetUp,
    setupSeconds: own,
    afterSeconds: seconds(0, 60),
  }),
  fc.record({
    ...common,
    kind: fc.constant('rest' as const),
    seconds: seconds(1, 300),
    setUp: fc.option(setUp),
    otherSetUp,
    setupSeconds: own,
  }),
  fc.record({ ...common, kind: fc.constantFrom('move' as const, 'talk' as const), seconds: seconds(1, 300) }),
);

/** Any plan of up to eight steps; checked against the schema, so that what tests see is what users can have. */
export const plan: fc.Arbitrary<Plan> = fc
  .array(step, { maxLength: 8 })
  .map((steps) =>
    Plan.parse({ ...emptyPlan('Any evening'), steps: steps.map((one, i) => ({ ...one, id: `step-${i}` })) }),
  );
