import type { Rule } from '#core/caution';
import { onTrait } from './rows';

const UP_SLOWLY = 'Go only half-way down, and come up slowly, head last.';
const LEVEL = 'Keep the head level with the heart or higher.';
const UNTIL_AGREED = 'Stay level until a doctor agrees.';
const IN_STAGES = 'Come down in stages, and rest on the side before sitting up.';

/** Head, hips and legs against the heart. */
export const LOW_HEAD: readonly Rule[] = [
  ...onTrait(
    'headBelowHeart',
    { words: LEVEL, positions: ['wall-half-fold', 'propped-rest', 'constructive-rest', 'calves-on-chair'] },
    ['glaucoma', 'avoid', 'A low head raises the pressure in the eyes.', { degrees: ['unsettled'] }],
    ['glaucoma', 'change', 'A low head raises the pressure in the eyes.', { degrees: ['treated'] }],
    ['retina', 'avoid', 'A low head puts strain on the retina.', { degrees: ['recent'] }],
    ['retina', 'change', 'A low head puts strain on the retina.', { degrees: ['old'] }],
    ['eye-operation', 'avoid', 'A low head presses on an eye that is healing.', { beforeMonths: 6 }],
    ['head-pressure', 'avoid', 'A low head raises the pressure in the head further.'],
    ['aneurysm', 'avoid', 'A low head raises the pressure in the arteries.', { instead: UNTIL_AGREED }],
    ['high-pressure', 'avoid', 'A low head raises the pressure in the head.', { degrees: ['uncontrolled'] }],
    [
      'high-pressure',
      'watch',
      'A low head raises the pressure in the head.',
      { degrees: ['controlled'], instead: UP_SLOWLY },
    ],
    [
      'stroke',
      'avoid',
      'A low head raises the pressure in the arteries of the head.',
      { beforeMonths: 12, instead: UNTIL_AGREED },
    ],
    ['stroke', 'change', 'A low head raises the pressure in the arteries of the head.', { fromMonths: 12 }],
    ['heart', 'avoid', 'More blood flows back to a heart that is not settled.', { degrees: ['unsteady'] }],
    ['heart', 'change', 'More blood flows back to the heart.', { degrees: ['steady'] }],
    ['fainting', 'change', 'Coming up from a low head can make you faint.'],
    ['pregnancy', 'change', 'Late in pregnancy a low head brings dizziness and reflux.', { weeks: [28, 99] }],
    ['pregnancy', 'watch', 'Coming up from a low head can make you dizzy.', { weeks: [14, 28], instead: UP_SLOWLY }],
    ['reflux', 'change', 'Acid rises more easily with a low head.'],
    ['hernia-hiatal', 'change', 'With a low head the stomach presses up into the gap.'],
    ['heavy-meal', 'change', 'A full stomach presses upwards.'],
    ['vertigo', 'change', 'Lowering and raising the head can set off dizziness.'],
    ['sinus', 'watch', 'Pressure builds up in blocked sinuses.', { instead: UP_SLOWLY }],
    ['ear', 'watch', 'Pressure can build up in the ear.', { instead: UP_SLOWLY }],
    ['cold', 'watch', 'A blocked nose gets worse with a low head.', { instead: UP_SLOWLY }],
    ['migraine', 'watch', 'A low head can bring on an attack.', { instead: UP_SLOWLY }],
    ['low-pressure', 'watch', 'Coming up from a low head can make you faint.', { instead: UP_SLOWLY }],
  ),
  ...onTrait(
    'inversion',
    {
      words: 'Legs lower: calves on a chair, or knees over a bolster.',
      positions: ['calves-on-chair', 'knees-in-rest', 'propped-rest', 'side-lying'],
    },
    ['glaucoma', 'avoid', 'Raised legs add a little to the pressure in the eyes.', { degrees: ['unsettled'] }],
    [
      'glaucoma',
      'watch',
      'Raised legs add a little to the pressure in the eyes.',
      { degrees: ['treated'], instead: 'Lower the legs at any pressure behind the eyes.' },
    ],
    ['retina', 'avoid', 'Raised legs put strain on the retina.', { degrees: ['recent'] }],
    ['eye-operation', 'avoid', 'Raised legs press on an eye that is healing.', { beforeMonths: 3 }],
    ['head-pressure', 'avoid', 'Raised legs add to the pressure in the head.'],
    ['aneurysm', 'change', 'More blood flows back at once.'],
    ['high-pressure', 'avoid', 'More blood flows back at once.', { degrees: ['uncontrolled'] }],
    [
      'high-pressure',
      'watch',
      'More blood flows back at once.',
      { degrees: ['controlled'], instead: 'Lower the legs at the first pounding in the head.' },
    ],
    ['heart', 'avoid', 'More blood flows back to a heart that is not settled.', { degrees: ['unsteady'] }],
    ['heart', 'change', 'More blood flows back to the heart.', { degrees: ['steady'] }],
    ['stroke', 'change', 'More blood flows back at once.', { beforeMonths: 12 }],
    [
      'clots',
      'avoid',
      'Where there may be a clot, legs are not raised or moved about until a doctor agrees.',
      { degrees: ['recent'] },
    ],
    ['low-pressure', 'watch', 'Lowering the legs can make you faint.', { instead: IN_STAGES }],
    ['fainting', 'watch', 'Lowering the legs can make you faint.', { instead: IN_STAGES }],
    ['diabetes-feeling', 'watch', 'Feet can go numb unnoticed.', { instead: 'Bend the knees at any numbness.' }],
    [
      'migraine',
      'watch',
      'Raised legs can bring on an attack.',
      { instead: 'Raise the head; come out at the first throbbing.' },
    ],
  ),
  ...onTrait(
    'hipsHigh',
    {
      words: 'Hips level with the chest, calves on a chair.',
      positions: ['calves-on-chair', 'propped-rest', 'constructive-rest', 'side-lying'],
    },
    ['reflux', 'change', 'With the hips high acid runs up.', { instead: LEVEL }],
    ['hernia-hiatal', 'change', 'With the hips high the stomach presses up into the gap.', { instead: LEVEL }],
    ['heavy-meal', 'change', 'A full stomach presses upwards.', { instead: LEVEL }],
    ['pregnancy', 'change', 'With the hips high the womb presses on chest and stomach.', { weeks: [20, 99] }],
    ['glaucoma', 'change', 'High hips add to the pressure in the eyes.', { degrees: ['unsettled'] }],
    ['retina', 'change', 'High hips put strain on the retina.', { degrees: ['recent'] }],
    ['head-pressure', 'avoid', 'High hips add to the pressure in the head.'],
    ['heart', 'change', 'More blood flows back to a heart that is not settled.', { degrees: ['unsteady'] }],
    ['sinus', 'watch', 'The head feels fuller with the hips high.', { instead: 'Raise the head on a folded blanket.' }],
    [
      'menstruation',
      'watch',
      'Some prefer not to have the hips high now: a matter of choice.',
      { instead: 'Offer calves on a chair.' },
    ],
  ),
];
