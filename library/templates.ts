import {
  ownPaceOf,
  recoverOf,
  retentionOf,
  strokesOf,
  type BreathPractice,
  type BreathSet,
  type Ramp,
} from '#core/breath';
import { breathMovesOf, holdBreathFrom, type HoldBreath } from '#core/plan';
import { POSITIONS, TECHNIQUES } from './entries';
import { FURTHER_TEMPLATES } from './further-templates';
import { after, beforeEnd, half } from './rows';
import { alternate, breathSet, cycle } from './techniques';
import {
  breath,
  build,
  even,
  find,
  hold,
  kneesUp,
  long,
  loosen,
  rest,
  seat,
  talk,
  type Template,
} from './template-steps';

/** An hour of rest for people on their feet at night: nothing is stretched, everything is supported. */
const restorative = build(
  'Restorative evening',
  'restorative',
  60,
  'Rest the legs and the low back; arrive before the night.',
  [
    talk('Arrive', 75),
    hold('calves-on-chair', 360),
    hold('reclined-twist', 210, { rebound: { kind: 'afterBoth', seconds: 30 } }),
    breath('long-out-breath', { practice: long(8, 15), seat: 'easy-seat' }),
    hold('head-to-knee', 210, { prompts: [{ id: 'p1', at: half, text: 'Turn the head', on: 'every' }] }),
    hold('child-on-bolster', 210),
    rest('Lie on one side', 45),
    hold('reclined-bound-angle', 360),
    hold('legs-up-wall', 300),
    hold('knees-in-rest', 420, { name: 'Last rest, knees supported', locked: true }),
    talk('Close', 60),
  ],
);

/** Yin for people who bend over a wheel: hips, wrists' neighbours and the long back. */
const yin = build('Hips and hands', 'yin', 75, 'Hips, inner legs and the space between the shoulder blades.', [
  talk('Arrive; what the hands did today', 120),
  breath('equal-breath', { name: 'Even breath, seated', practice: even(5, 18), setUp: seat, seat: 'easy-seat' }),
  hold('child-on-bolster', 240),
  hold('head-to-knee', 240, { name: 'Head to knee, on two blocks' }),
  rest('Rest on the back', 45),
  hold('sleeping-swan', 270, {
    sides: { kind: 'each', first: 'house', length: { kind: 'perSide', left: 270, right: 230 } },
    prompts: [
      { id: 'p1', at: after(90), text: 'Let the back knee sink', on: 'every' },
      { id: 'p2', at: half, text: 'Turn the head the other way', on: 'every' },
      { id: 'p3', at: beforeEnd(20), text: 'Hands under the shoulders', on: 'every' },
    ],
  }),
  loosen('Knees side to side', 45),
  hold('wide-leg-fold', 300),
  hold('crossed-arms-prone', 120),
  hold('bridge-on-bolster', 210),
  hold('reclined-twist', 210),
  breath('long-out-breath', {
    name: 'Long out-breath, lying',
    practice: long(8, 12),
    setUp: kneesUp,
    seat: 'knees-in-rest',
  }),
  hold('knees-in-rest', 420, { name: 'Last rest, knees on a bolster', locked: true }),
  talk('Sit up, hands on the lap, close', 60),
]);

const growing = (id: string, parts: BreathSet['parts'], rounds: number, ramp: Ramp): BreathPractice => ({
  countSeconds: 1,
  sets: [breathSet(id, parts, rounds, { ramp })],
});

/** A breath evening for singers: places of the breath, a growing out-breath, both nostrils, a long line. */
const breathEvening = build(
  'Long line',
  'pranayama',
  40,
  'A longer out-breath without effort; the ribs wide, the throat free.',
  [
    talk('Arrive', 80),
    breath('three-part-breath', {
      name: 'Breath into belly, sides, chest',
      setUp: seat,
      seat: 'easy-seat',
      afterSeconds: 30,
    }),
    hold('fish-over-blankets', 180),
    breath('long-out-breath', {
      name: 'Out-breath from 4 to 10',
      practice: growing('out', [cycle([4, 0, 4, 0])], 20, { of: 'out', to: 10, steps: 'counts' }),
      setUp: kneesUp,
      seat: 'knees-in-rest',
      afterSeconds: 40,
    }),
    breath('alternate-nostrils', {
      practice: { countSeconds: 1, sets: [breathSet('alternate', alternate([4, 4, 8, 0]), 9)] },
      setUp: seat,
      seat: 'easy-seat',
      afterSeconds: 45,
    }),
    hold('reclined-twist', 120),
    breath('throat-breath', {
      practice: { countSeconds: 1, sets: [breathSet('throat', [cycle([4, 0, 8, 0])], 15)] },
      setUp: seat,
      seat: 'easy-seat',
      afterSeconds: 40,
    }),
    hold('knees-in-rest', 330, { name: 'Last rest', locked: true }),
    talk('Close', 60),
  ],
);

const inside = (technique: string, patch: Partial<HoldBreath>): HoldBreath => ({
  ...holdBreathFrom(find(TECHNIQUES, technique)),
  ...patch,
});

/**
 * A breath workshop: every shape that is practised at the hall, seated, lying and moving, in the usual order: places
 * of the breath, pumps, both nostrils, then what is held.
 */
const workshop = build('Breath workshop', 'pranayama', 45, 'Where the breath goes, how it grows, and where it rests.', [
  talk('Arrive; ask about health', 120),
  breath('three-part-breath', { setUp: seat, seat: 'easy-seat', afterSeconds: 20 }),
  breath('belly-strokes', {
    name: 'Pumps, three sets',
    practice: {
      countSeconds: 1,
      sets: [
        breathSet('pumps', [strokesOf(30, 60), recoverOf(15), retentionOf('full', 20, { asLongAsEasy: true })], 3),
      ],
    },
    setUp: seat,
    seat: 'easy-seat',
    afterSeconds: 60,
  }),
  breath('alternate-nostrils', {
    name: 'Alternate nostrils, out 4 to 8',
    practice: growing('alternate', alternate([4, 0, 4, 0]), 9, { of: 'out', to: 8, steps: 'counts' }),
    setUp: seat,
    seat: 'easy-seat',
    afterSeconds: 45,
  }),
  breath('throat-breath', {
    name: 'Throat breath, then empty',
    practice: {
      countSeconds: 1,
      sets: [
        breathSet(
          'throat',
          [ownPaceOf(12, 8, { sound: 'throat' }), retentionOf('empty', 12, { asLongAsEasy: true }), recoverOf(20)],
          1,
        ),
      ],
    },
    setUp: seat,
    seat: 'easy-seat',
    afterSeconds: 30,
  }),
  breath('hold-full', {
    name: 'Side bends by the breath',
    practice: { countSeconds: 1, sets: [breathSet('series', [cycle([4, 4, 6, 0])], 4)] },
    moves: { ...breathMovesOf(find(POSITIONS, 'seated-side-bend')), sides: 'each' },
    setUp: seat,
    seat: 'easy-seat',
    afterSeconds: 20,
  }),
  hold('seated-twist', 24, { name: 'Twist, four breaths', breathSeconds: 6, range: null }),
  hold('legs-up-wall', 420, {
    breath: inside('equal-breath', { practice: even(5, 12) }),
  }),
  hold('knees-in-rest', 420, { name: 'Last rest', locked: true }),
  talk('Close', 60),
]);

/** Plans to start from. */
export const TEMPLATES: readonly Template[] = [
  { id: 'restorative', says: 'An hour of rest, everything supported', plan: restorative },
  { id: 'yin', says: 'Seventy-five minutes of long holds for hips and back', plan: yin },
  { id: 'breath', says: 'Forty minutes of breath, seated and lying', plan: breathEvening },
  { id: 'workshop', says: 'Breath in all its shapes, with pumps and short holds', plan: workshop },
  ...FURTHER_TEMPLATES,
];
