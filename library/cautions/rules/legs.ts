import type { Rule } from '#core/caution';
import { onTrait } from './rows';

const SHORT_OF_END = 'Well short of the end, thighs supported by props.';

/** Knees, hips and feet. */
export const LEGS: readonly Rule[] = [
  ...onTrait(
    'deepKneeBend',
    {
      words: 'Knees less bent: on a chair, legs straight, or a thick roll behind the knees.',
      positions: ['chair-seat', 'straight-seat', 'seated-fold', 'leg-with-strap', 'knees-in-rest'],
    },
    ['knee', 'avoid', 'A sore knee should not be folded to its end.', { degrees: ['sore'] }],
    [
      'knee',
      'watch',
      'An old injury can speak up in a long deep bend.',
      { degrees: ['old'], instead: 'A roll behind the knee; out at any feeling in the joint.' },
    ],
    ['knee-replaced', 'avoid', 'A replaced knee seldom bends so far and must not be pressed.'],
    ['arthritis', 'change', 'An inflamed joint should not be folded under weight.', { degrees: ['flare'] }],
    [
      'arthritis',
      'watch',
      'Joints that were inflamed tire in a deep bend.',
      { degrees: ['quiet'], instead: 'A roll behind the knees, and half the time.' },
    ],
    [
      'worn-joints',
      'watch',
      'Worn knees ache in a deep bend.',
      { instead: 'A roll behind the knees, and half the time.' },
    ],
    ['clots', 'watch', 'Folded knees slow the blood.', { degrees: ['recent'] }],
    [
      'varicose',
      'watch',
      'Folded knees slow the blood.',
      { instead: 'Sit higher, and stretch the legs at any heaviness.' },
    ],
    [
      'diabetes-feeling',
      'watch',
      'Feet can go numb unnoticed.',
      { instead: 'Check feet and ankles at the start; come out at any numbness.' },
    ],
  ),
  ...onTrait(
    'kneesBear',
    {
      words: 'No weight on the knees: on the back, or with a thick blanket under them.',
      positions: ['figure-four', 'leg-with-strap', 'constructive-rest', 'knees-in-rest'],
    },
    ['knee', 'change', 'Weight on a sore knee.', { degrees: ['sore'] }],
    [
      'knee',
      'watch',
      'Weight on a knee that was injured.',
      { degrees: ['old'], instead: 'A folded blanket under the knees.' },
    ],
    ['knee-replaced', 'avoid', 'A new knee is not ready for kneeling.', { beforeMonths: 6 }],
    [
      'knee-replaced',
      'change',
      'Kneeling on a replaced knee is often uncomfortable; ask the surgeon.',
      { fromMonths: 6 },
    ],
    ['arthritis', 'change', 'Weight on an inflamed joint.', { degrees: ['flare'] }],
    ['worn-joints', 'watch', 'Weight on worn knees.', { instead: 'A folded blanket under the knees.' }],
  ),
  ...onTrait(
    'anklesStretched',
    {
      words: 'A rolled blanket under the ankles, or sitting on a chair.',
      positions: ['chair-seat', 'straight-seat', 'constructive-rest', 'figure-four'],
    },
    ['ankle', 'change', 'The ankle is pressed to its end under weight.'],
    ['arthritis', 'watch', 'The ankles are pressed to their end.', { degrees: ['flare'] }],
  ),
  ...onTrait(
    'endRangeHip',
    {
      words: 'Hips well short of their end: knees nearer together, thighs supported.',
      positions: ['knees-in-rest', 'constructive-rest', 'propped-rest', 'legs-up-wall'],
    },
    ['hip-replaced', 'avoid', 'A new hip can dislocate at the end of its range.', { beforeMonths: 6 }],
    ['hip-replaced', 'change', 'A replaced hip stays away from the end of its range.', { fromMonths: 6 }],
    ['hip-impingement', 'change', 'At its end the hip pinches.', { once: true }],
    ['hypermobile', 'change', 'Loose joints hang in their ligaments at the end.', { once: true }],
    ['arthritis', 'change', 'An inflamed joint should not be held at its end.', { degrees: ['flare'], once: true }],
    ['arthritis', 'watch', 'Stiff joints meet their end early.', { degrees: ['quiet'], instead: SHORT_OF_END }],
    ['worn-joints', 'watch', 'Worn hips meet their end early.', { instead: SHORT_OF_END }],
    ['pregnancy', 'watch', 'Ligaments are softer now.', { instead: SHORT_OF_END }],
    ['after-birth', 'watch', 'Ligaments are still soft.', { beforeMonths: 6, instead: SHORT_OF_END }],
    ['si-pain', 'change', 'At its end a hip pulls on the joint of the pelvis.'],
    [
      'knee',
      'watch',
      'What the hip does not give, the knee has to.',
      { instead: 'A blanket under the knee; out at any feeling in it.' },
    ],
    [
      'knee-replaced',
      'watch',
      'What the hip does not give, the knee has to.',
      { instead: 'A blanket under the knee; out at any feeling in it.' },
    ],
    [
      'sciatica',
      'watch',
      'A hip turned far out can press on the nerve.',
      { instead: 'Less turn; out at the first pull down the leg.' },
    ],
  ),
  ...onTrait(
    'legsStretched',
    {
      words: 'Hips raised, knees bent over a roll, until nothing pulls.',
      positions: ['seated-fold', 'chair-seat', 'constructive-rest', 'calves-on-chair', 'knees-in-rest'],
    },
    ['sciatica', 'change', 'A hip folded over a straight leg pulls on the nerve.'],
    ['hamstring', 'change', 'A hip folded over a straight leg pulls on the tendon.'],
  ),
  ...onTrait(
    'hipFold',
    {
      words: 'Less fold at the hips: sit higher, or lie with the knees over a bolster.',
      positions: ['knees-in-rest', 'propped-rest', 'last-rest', 'supported-cactus'],
    },
    [
      'hip-replaced',
      'avoid',
      'A new hip can dislocate when it is folded past a right angle.',
      { degrees: ['back', 'unknown'], beforeMonths: 6 },
    ],
    [
      'hip-replaced',
      'change',
      'A replaced hip is not folded past a right angle unless the surgeon agrees.',
      { degrees: ['back', 'unknown'], fromMonths: 6, once: true },
    ],
    [
      'hip-replaced',
      'watch',
      'A new hip folds less at first.',
      { degrees: ['front'], beforeMonths: 6, instead: 'Sit higher, fold less.' },
    ],
    ['hip-impingement', 'change', 'A deep fold pinches the front of the hip.', { from: 110, once: true }],
    [
      'pregnancy',
      'watch',
      'The belly needs room between the thighs.',
      { weeks: [20, 99], from: 105, instead: 'Knees wide, higher props.' },
    ],
    [
      'sciatica',
      'watch',
      'A deep fold can pull on the nerve.',
      { from: 115, instead: 'Bend the knees until nothing pulls down the leg.' },
    ],
    ['arthritis', 'watch', 'An inflamed hip folds less.', { degrees: ['flare'], instead: 'Sit higher, fold less.' }],
  ),
  ...onTrait(
    'hipExtended',
    {
      words: 'Back knee further forward, or lie with both knees bent.',
      positions: ['constructive-rest', 'knees-in-rest', 'leg-with-strap'],
    },
    [
      'hip-replaced',
      'avoid',
      'A new hip can dislocate when the thigh goes behind the body.',
      { degrees: ['front', 'unknown'], beforeMonths: 6 },
    ],
    [
      'hip-replaced',
      'change',
      'The thigh stays in front of the body unless the surgeon agrees.',
      { degrees: ['front', 'unknown'], fromMonths: 6 },
    ],
    [
      'slipped-vertebra',
      'watch',
      'A thigh behind the body arches the low back.',
      { instead: 'Belly firm, back knee further forward.' },
    ],
    ['si-pain', 'change', 'One thigh forward and one back turns the pelvis.'],
    [
      'stenosis',
      'watch',
      'A thigh behind the body arches the low back.',
      { instead: 'Belly firm, back knee further forward.' },
    ],
  ),
];
