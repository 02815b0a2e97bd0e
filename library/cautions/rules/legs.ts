import type { Rule } from '#core/caution';
import { onTrait } from './rows';

/** Knees, hips and feet. */
export const LEGS: readonly Rule[] = [
  ...onTrait(
    'deepKneeBend',
    {
      words: 'Knees less bent: on a chair, with long legs, or a thick roll behind the knees.',
      positions: ['chair-seat', 'straight-seat', 'leg-with-strap', 'knees-in-rest', 'calves-on-chair'],
    },
    ['knee', 'avoid', 'A knee that is sore must not be folded to its end.', { degrees: ['sore'], from: 135 }],
    ['knee', 'change', 'A knee that is sore does not like to be folded.', { degrees: ['sore'] }],
    [
      'knee',
      'watch',
      'An old injury can speak when the knee is folded long.',
      { degrees: ['old'], instead: 'A roll behind the knee; out at the first feeling in the joint.' },
    ],
    ['knee-replaced', 'avoid', 'A replaced knee seldom folds so far and must not be pressed.', { from: 135 }],
    ['knee-replaced', 'change', 'A replaced knee must not be pressed into its fold.'],
    ['arthritis', 'change', 'An inflamed joint must not be folded under weight.', { degrees: ['flare'] }],
    [
      'arthritis',
      'watch',
      'Joints that were inflamed tire in a deep fold.',
      { degrees: ['quiet'], instead: 'A roll behind the knees; half the time.' },
    ],
    ['clots', 'change', 'Folded knees hold the blood back.', { from: 135 }],
    ['varicose', 'watch', 'Folded knees hold the blood back.', { instead: 'Sit higher; long legs after two minutes.' }],
    [
      'diabetes-feeling',
      'watch',
      'Numb feet go unnoticed under the weight.',
      { instead: 'Come out every two minutes and look at the feet.' },
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
      'Weight on a knee that was hurt.',
      { degrees: ['old'], instead: 'A folded blanket under the knees.' },
    ],
    ['knee-replaced', 'avoid', 'A new knee does not bear kneeling yet.', { beforeMonths: 6 }],
    ['knee-replaced', 'change', 'Kneeling on a replaced knee is uncomfortable and wears on it.', { fromMonths: 6 }],
    ['arthritis', 'change', 'Weight on an inflamed joint.', { degrees: ['flare'] }],
  ),
  ...onTrait(
    'anklesStretched',
    {
      words: 'A rolled blanket under the ankles, or sitting on a chair.',
      positions: ['chair-seat', 'straight-seat', 'constructive-rest', 'figure-four'],
    },
    ['ankle', 'change', 'The ankle is pressed to its end under weight.'],
    [
      'arthritis',
      'watch',
      'Ankles are pressed to their end.',
      { degrees: ['flare'], instead: 'A rolled blanket under the ankles.' },
    ],
    [
      'diabetes-feeling',
      'watch',
      'Numb feet go unnoticed under the weight.',
      { instead: 'A blanket under the feet; out every two minutes.' },
    ],
  ),
  ...onTrait(
    'endRangeHip',
    {
      words: 'Hips well short of their end: knees nearer together and held up by props.',
      positions: ['knees-in-rest', 'constructive-rest', 'propped-rest', 'chair-seat', 'legs-up-wall'],
    },
    ['hip-replaced', 'avoid', 'A new hip can slip out at the end of its range.', { beforeMonths: 6 }],
    ['hip-replaced', 'change', 'A replaced hip stays away from the end of its range.', { fromMonths: 6 }],
    ['hypermobile', 'change', 'Loose joints hang in their ligaments at the end of the range.'],
    [
      'pregnancy',
      'watch',
      'Ligaments are softer now: never to the end.',
      { instead: 'Props under both thighs; well short of the end.' },
    ],
    [
      'after-birth',
      'watch',
      'Ligaments are still soft.',
      { beforeMonths: 6, instead: 'Props under both thighs; well short of the end.' },
    ],
    ['arthritis', 'change', 'An inflamed joint must not be held at its end.', { degrees: ['flare'] }],
    [
      'arthritis',
      'watch',
      'Stiff joints meet their end early.',
      { degrees: ['quiet'], instead: 'Props under both thighs.' },
    ],
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
    'hipFold',
    {
      words: 'Less fold at the hips: sit higher, or lie with the knees over a bolster.',
      positions: ['knees-in-rest', 'propped-rest', 'last-rest', 'supported-cactus'],
    },
    ['hip-replaced', 'avoid', 'A new hip can slip out when it is folded past a right angle.', { beforeMonths: 3 }],
    [
      'hip-replaced',
      'change',
      'A replaced hip is not folded so far without the surgeon’s word.',
      { fromMonths: 3, from: 115 },
    ],
    [
      'pregnancy',
      'watch',
      'The belly needs room between the thighs.',
      { weeks: [20, 99], instead: 'Knees wide, higher props.' },
    ],
    [
      'sciatica',
      'watch',
      'A deep fold pulls on the nerve.',
      { from: 110, instead: 'Bend the knees until nothing pulls down the leg.' },
    ],
    [
      'hernia-belly',
      'watch',
      'A deep fold presses on the weak place.',
      { from: 130, instead: 'Higher props; no pressing.' },
    ],
    ['arthritis', 'watch', 'An inflamed hip folds less.', { degrees: ['flare'], instead: 'Sit higher, fold less.' }],
  ),
];
