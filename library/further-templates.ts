import { ownPaceOf } from '#core/breath';
import { libraryOf } from '#core/catalogue';
import { Plan, type HoldStep } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { POSITIONS, TECHNIQUES } from './entries';
import { after, beforeEnd, half, row } from './rows';
import {
  breath,
  build,
  even,
  hold,
  kneesUp,
  long,
  loosen,
  rest,
  seat,
  setUpNamed,
  talk,
  type Template,
} from './template-steps';
import { alternate, breathSet, cycle } from './techniques';

const LIBRARY = libraryOf(POSITIONS, TECHNIQUES);
const WHOLE_SECONDS = 15;

/** A plan whose last hold takes what is left of the class, to a quarter of a minute. */
function filled(plan: Plan): Plan {
  const { totalMs } = compileTimeline(plan, LIBRARY).totals;
  const left = Math.floor((plan.classSeconds - totalMs / 1000) / WHOLE_SECONDS) * WHOLE_SECONDS;
  const at = plan.steps.findLastIndex(({ kind }) => kind === 'hold');
  const steps = plan.steps.map((step, i) =>
    i === at && step.kind === 'hold' && (step.sides.kind === 'together' || step.sides.kind === 'one')
      ? { ...step, sides: { ...step.sides, seconds: step.sides.seconds + left } }
      : step,
  );
  return Plan.parse({ ...plan, steps });
}

const cue = (text: string, at: HoldStep['prompts'][number]['at'] = half, id = 'p1'): HoldStep['prompts'][number] => ({
  id,
  at,
  text,
  on: 'every',
});
/** So many breaths of six seconds. */
const breaths = (count: number): [seconds: number, patch: Partial<HoldStep>] => [
  count * 6,
  { breathSeconds: 6, range: null },
];
const onChair = [row('chair', 'seat')];

const inBed = build(
  'In bed before sleep',
  'restorative',
  20,
  'Let the day go, in bed, with what lies there.',
  [
    hold('legs-over-bolsters', 300, { name: 'Legs up on pillows' }),
    breath('long-out-breath', {
      name: 'Longer out-breath, legs up',
      practice: long(6, 8),
      seat: 'last-rest',
      setUp: [],
    }),
    hold('knee-circles', 60),
    hold('last-rest', 300, { name: 'Lie as you sleep', prompts: [cue('There is nothing left to do', after(30))] }),
  ],
  'bed',
);

const onAChair = build(
  'On a chair, start to finish',
  'blended',
  30,
  'For anyone who does not go down to the floor: shoulders, hips and breath.',
  [
    talk('Arrive; both feet on the floor', 60),
    hold('chair-seat-feet-raised', 120, { name: 'Find the seat' }),
    breath('side-and-back-ribs', { setUp: onChair, seat: 'chair-seat' }),
    hold('chair-twist', 60),
    hold('chair-fold', 150),
    loosen('Circle the feet, roll the shoulders', 60),
    hold('chair-half-fold', 90),
    breath('pursed-lips', { setUp: onChair, seat: 'chair-seat' }),
    hold('chair-seat', 300, { name: 'Sit quietly, hands on the thighs', prompts: [cue('Feet heavy')] }),
    talk('Close', 30),
  ],
  'chair',
);

const pregnancy = build(
  'Second and third trimester',
  'restorative',
  60,
  'Rest on the side and on a slope; room for the breath. Nothing flat on the back, nothing on the belly, no breath held.',
  [
    talk('Arrive; how is everyone today?', 120),
    hold('easy-seat', 120),
    breath('side-and-back-ribs', { setUp: seat, seat: 'easy-seat' }),
    loosen('Circle the hips on all fours', 90),
    hold('cross-legged-on-chair', 120),
    hold('butterfly-upright', 180),
    hold('propped-rest', 660, { name: 'Propped rest', setUp: setUpNamed('propped-rest', 'steep') }),
    breath('long-out-breath', { practice: long(6, 18), setUp: seat, seat: 'easy-seat' }),
    rest('Change over, without hurry', 60),
    hold('left-side-nest', 720, { prompts: [cue('Begin to move the fingers', beforeEnd(60))] }),
    talk('Sit up slowly; close', 90),
  ],
);

const afterNightShift = build(
  'After a night shift',
  'restorative',
  30,
  'Light legs and a slow breath before a sleep in daylight.',
  [
    talk('Arrive', 45),
    hold('calves-on-chair-raised', 420),
    breath('sighing-out', { setUp: kneesUp, seat: 'knees-in-rest' }),
    hold('twist-legs-on-bolster', 150),
    hold('weighted-rest', 420, { prompts: [cue('The night is over')] }),
    talk('Close quietly', 30),
  ],
);

const afterSport = build(
  'Hips and hamstrings after sport',
  'yin',
  90,
  'Long holds for legs that have run, climbed or cycled.',
  [
    talk('Arrive; which side is tighter today?', 90),
    hold('cat', 60),
    hold('cow', 60),
    hold('toes-tucked', 90),
    hold('ankle-stretch', 60),
    hold('lunge-hands-inside', 150),
    hold('child-wide', 120),
    hold('half-frog', 180),
    hold('sleeping-swan', 210, { prompts: [cue('Let the back knee sink', after(60))] }),
    loosen('Knees side to side', 45),
    hold('seated-fold', 240),
    hold('wide-leg-fold', 240),
    hold('leg-to-side-with-strap', 120),
    hold('figure-four-at-wall', 150),
    hold('reclined-twist', 180),
    hold('last-rest', 420),
    talk('Close', 60),
  ],
);

const chestAndShoulders = build(
  'Chest and shoulders',
  'yin',
  45,
  'For backs that lean over desks, wheels and beds: open the front, then rest in it.',
  [
    talk('Arrive', 60),
    hold('eagle-arms', 90),
    hold('cow-face-arms', 90),
    hold('heart-melting', 180),
    hold('shoulder-opener-prone', 120),
    hold('child-narrow', 60),
    hold('thread-the-needle', 120),
    hold('fish-over-blankets', 300),
    hold('knees-to-chest', 60),
    hold('knees-in-rest', 300, { name: 'Last rest' }),
    talk('Close', 45),
  ],
);

const beginners = build(
  'First class',
  'blended',
  60,
  'What a bolster is for, how long a minute is, and that nothing has to hurt.',
  [
    talk('Welcome; how the props are used', 180),
    breath('breath-awareness', { setUp: kneesUp, seat: 'knees-in-rest' }),
    hold('knees-to-chest', 60),
    loosen('Knees side to side', 45),
    hold('cat', 60),
    hold('cow', 60),
    hold('child-on-bolster', 150),
    hold('seated-side-bend', 60),
    hold('butterfly-fold', 150),
    hold('sphinx', 90),
    rest('Lie on the front, one cheek down', 45),
    hold('reclined-bound-angle', 300),
    hold('reclined-twist', 120),
    hold('legs-over-bolsters', 300, { setUp: setUpNamed('legs-over-bolsters', 'one') }),
    breath('equal-breath', { practice: even(4, 12), setUp: kneesUp, seat: 'knees-in-rest' }),
    hold('knees-in-rest', 360, { name: 'Last rest', prompts: [cue('Nothing to do', after(60))] }),
    talk('Questions; close', 150),
  ],
);

const withoutRetention = build(
  'Breath without holding',
  'pranayama',
  45,
  'In, out, left and right, with and without sound. No breath is held.',
  [
    talk('Arrive', 60),
    hold('seated-circles', 60),
    breath('belly-breath', { setUp: kneesUp, seat: 'knees-in-rest', afterSeconds: 20 }),
    breath('throat-breath-lying', { setUp: kneesUp, seat: 'knees-in-rest', afterSeconds: 30 }),
    breath('equal-breath', { practice: even(4, 18), setUp: seat, seat: 'easy-seat', afterSeconds: 20 }),
    breath('long-out-breath', { practice: long(7, 18), setUp: seat, seat: 'easy-seat', afterSeconds: 30 }),
    breath('alternate-nostrils', {
      practice: { countSeconds: 1, sets: [breathSet('alternate', alternate([4, 0, 6, 0]), 12)] },
      setUp: seat,
      seat: 'easy-seat',
      afterSeconds: 45,
    }),
    breath('humming', {
      practice: {
        countSeconds: 1,
        sets: [breathSet('hum', [cycle([4, 0, 8, 0], 'nose', 'nose', { sound: 'hum' })], 9)],
      },
      setUp: seat,
      seat: 'easy-seat',
      afterSeconds: 45,
    }),
    hold('fish-over-blankets', 300),
    breath('quiet-sitting', {
      practice: { countSeconds: 1, sets: [breathSet('sit', [ownPaceOf(40, 6)], 1)] },
      setUp: seat,
      seat: 'easy-seat',
    }),
    hold('knees-in-rest', 420, { name: 'Last rest' }),
    talk('Close', 45),
  ],
);

const countedSeries = build(
  'A slow series, counted in breaths',
  'blended',
  50,
  'Every hold is counted in breaths of six seconds, aloud at first and then by the group.',
  [
    talk('Arrive; how we count', 75),
    hold('mountain', ...breaths(10)),
    hold('standing-reach', ...breaths(8)),
    hold('wall-half-fold', ...breaths(10)),
    hold('hanging-fold', ...breaths(10)),
    hold('cat', ...breaths(8)),
    hold('cow', ...breaths(8)),
    hold('child-narrow', ...breaths(10)),
    hold('lunge-hands-inside', ...breaths(12)),
    hold('locust', ...breaths(4)),
    hold('child-wide', ...breaths(10)),
    hold('straight-leg-twist', ...breaths(8)),
    hold('seated-fold', ...breaths(20)),
    hold('bridge-on-block', ...breaths(15)),
    hold('reclined-twist', ...breaths(12)),
    breath('counting-down', { setUp: kneesUp, seat: 'knees-in-rest' }),
    hold('last-rest', 300),
    talk('Close', 30),
  ],
);

const onePosition = build(
  'One position, fifteen minutes',
  'restorative',
  20,
  'Time enough to set it up well, and then to stay.',
  [
    talk('Set up; change whatever is not quite right', 120),
    hold('reclined-bound-angle', 900, {
      range: { min: 600, max: 1200 },
      rangeIsUsual: false,
      prompts: [
        cue('Is anything in the way? Change it now', after(90), 'p1'),
        cue('Half of the time is still to come', half, 'p2'),
        cue('Begin to deepen the breath', beforeEnd(60), 'p3'),
      ],
    }),
  ],
);

/** How many of a pair are on the bolster at a time, in a group of eight. */
const HALF_OF_EIGHT = 4;

const twoPeople: Plan = {
  ...build(
    'Two people, one bolster',
    'restorative',
    45,
    'For a hall with half as many bolsters as people: one of two lies on the bolster, the other on blankets; then they change.',
    [
      talk('Arrive; find a partner', 90),
      hold('cat', 60),
      hold('cow', 60),
      hold('child-narrow', 90),
      rest('One takes the bolster, the other two blankets', 45),
      hold('fish-on-bolster', 360, {
        name: 'Chest opener, first round',
        otherSetUp: { people: HALF_OF_EIGHT, setUp: setUpNamed('fish-over-blankets', 'two-blankets') },
      }),
      rest('Change over', 60),
      hold('fish-over-blankets', 360, {
        name: 'Chest opener, second round',
        otherSetUp: { people: HALF_OF_EIGHT, setUp: setUpNamed('fish-on-bolster', 'bolster') },
      }),
      hold('knees-to-chest', 60),
      hold('reclined-twist', 150),
      hold('last-rest', 420),
      talk('Close', 60),
    ],
  ),
  groupSize: 2 * HALF_OF_EIGHT,
};

const online = build(
  'Online, with household things',
  'restorative',
  60,
  'Pillows, covers, two towels and a chair; the camera only has to see the mat.',
  [
    talk('Arrive; show what you have found at home', 180),
    hold('knees-in-rest', 300, { name: 'Arrive lying down' }),
    breath('belly-breath', {
      seat: 'knees-in-rest',
      setUp: [row('pillow', 'knees', { state: 'folded', lie: 'crosswise' })],
    }),
    hold('knee-circles', 60),
    hold('child-on-bolster', 180),
    hold('seated-fold-on-chair', 180),
    hold('bolster-twist', 150),
    hold('reclined-bound-angle', 360),
    hold('calves-on-chair', 360),
    hold('last-rest', 480),
    talk('Close; leave the microphones off if you like', 90),
  ],
  'online',
);

/** Plans for a place, an occasion or a way of teaching, shortest first within each approach. */
export const FURTHER_TEMPLATES: readonly Template[] = [
  { id: 'in-bed', says: 'Twenty minutes in bed, with pillows', plan: inBed },
  { id: 'one-position', says: 'A quarter of an hour in one position', plan: onePosition },
  { id: 'night-shift', says: 'Half an hour for tired legs, before a sleep by day', plan: afterNightShift },
  { id: 'two-people', says: 'Forty-five minutes with half as many bolsters as people', plan: twoPeople },
  { id: 'pregnancy', says: 'An hour on the side and on a slope', plan: pregnancy },
  { id: 'online', says: 'An hour with what everyone has at home', plan: online },
  { id: 'chest', says: 'Forty-five minutes for the front of the shoulders', plan: chestAndShoulders },
  { id: 'sport', says: 'Ninety minutes of long holds for the legs', plan: afterSport },
  { id: 'no-holding', says: 'Forty-five minutes of breath, none of it held', plan: withoutRetention },
  { id: 'chair', says: 'Half an hour that never leaves the chair', plan: onAChair },
  { id: 'counted', says: 'Fifty minutes, every hold counted in breaths', plan: countedSeries },
  { id: 'beginners', says: 'An hour for people who have never done this', plan: beginners },
].map(({ plan, ...template }) => ({ ...template, plan: filled(plan) }));
