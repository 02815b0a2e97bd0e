import type { Rule } from '#core/caution';
import { onTrait } from './rows';

const UP_SLOWLY = 'Only half-way down, and up slowly, head last.';
const UNTIL_ASKED = 'Stay level until a doctor has agreed.';

/** Head and legs against the heart. */
export const LOW_HEAD: readonly Rule[] = [
  ...onTrait(
    'headBelowHeart',
    {
      words: 'Keep the head level with the heart or above it.',
      positions: ['chair-half-fold', 'constructive-rest', 'calves-on-chair', 'propped-rest', 'straight-seat'],
    },
    ['glaucoma', 'avoid', 'A low head raises the pressure in the eyes.'],
    ['retina', 'avoid', 'A low head puts strain on the retina.'],
    ['eye-operation', 'avoid', 'A low head puts pressure on an eye that heals.', { beforeMonths: 6 }],
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
      'A low head raises the pressure in the vessels of the head.',
      { beforeMonths: 12, instead: UNTIL_ASKED },
    ],
    ['stroke', 'change', 'A low head raises the pressure in the vessels of the head.', { fromMonths: 12 }],
    ['heart', 'avoid', 'More blood runs back to a heart that is not settled.', { degrees: ['unsteady'] }],
    ['heart', 'change', 'More blood runs back to the heart.', { degrees: ['steady'] }],
    ['pregnancy', 'change', 'The child presses upwards; dizziness and acid come easily.', { weeks: [28, 99] }],
    [
      'pregnancy',
      'watch',
      'Dizziness comes easily when the head goes down and up again.',
      { weeks: [14, 28], instead: UP_SLOWLY },
    ],
    ['reflux', 'change', 'Acid runs up when the head is low.'],
    ['hernia-hiatal', 'change', 'The stomach presses up into the gap.'],
    ['heavy-meal', 'change', 'A full stomach presses upwards.'],
    ['sinus', 'change', 'Pressure builds up in blocked sinuses.'],
    ['ear', 'change', 'Pressure builds up in the ear.'],
    ['cold', 'change', 'The nose blocks further when the head is low.'],
    ['vertigo', 'change', 'Head down and up again sets off dizziness.'],
    ['migraine', 'watch', 'A low head can bring an attack nearer.', { instead: UP_SLOWLY }],
    [
      'low-pressure',
      'watch',
      'Coming up from a low head can make one faint.',
      { instead: 'Come up in three stages, a breath in each.' },
    ],
  ),
  ...onTrait(
    'inversion',
    {
      words: 'Legs lower: calves on a chair, or knees over a bolster.',
      positions: ['calves-on-chair', 'knees-in-rest', 'propped-rest', 'side-lying'],
    },
    ['glaucoma', 'avoid', 'Legs above the heart raise the pressure in the eyes a little.'],
    ['retina', 'avoid', 'Legs above the heart put strain on the retina.'],
    ['eye-operation', 'avoid', 'Legs above the heart put pressure on an eye that heals.', { beforeMonths: 3 }],
    [
      'high-pressure',
      'avoid',
      'More blood runs back at once than the vessels easily take.',
      { degrees: ['uncontrolled'] },
    ],
    [
      'high-pressure',
      'watch',
      'More blood runs back at once.',
      { degrees: ['controlled'], instead: 'Legs lower at the first pounding in the head.' },
    ],
    ['heart', 'avoid', 'More blood runs back to a heart that is not settled.', { degrees: ['unsteady'] }],
    ['heart', 'change', 'More blood runs back to the heart.', { degrees: ['steady'] }],
    ['stroke', 'change', 'More blood runs back at once than the vessels easily take.'],
    ['clots', 'avoid', 'Where a clot may lie, the legs are not moved about without a doctor’s word.'],
    ['pregnancy', 'change', 'Lying flat with the legs up presses on the great vein.', { weeks: [20, 99] }],
    ['reflux', 'change', 'With the pelvis high acid runs up.'],
    ['hernia-hiatal', 'change', 'With the pelvis high the stomach presses up into the gap.'],
    ['heavy-meal', 'change', 'A full stomach presses upwards.'],
    [
      'menstruation',
      'watch',
      'Some prefer not to have the pelvis high now: a matter of choice.',
      { instead: 'Offer calves on a chair.' },
    ],
    [
      'low-pressure',
      'watch',
      'Coming down from raised legs can make one faint.',
      { instead: 'Rest on the side for two minutes before sitting up.' },
    ],
    [
      'diabetes-feeling',
      'watch',
      'Feet grow numb unnoticed.',
      { instead: 'Bend the knees and move the feet every two minutes.' },
    ],
    ['sinus', 'watch', 'The head fills when the pelvis is high.', { instead: 'Raise the head on a folded blanket.' }],
    [
      'migraine',
      'watch',
      'The head fills when the pelvis is high.',
      { instead: 'Raise the head; out at the first throbbing.' },
    ],
  ),
];
