import type { Rule } from '#core/caution';
import { onTrait } from './rows';

const THEIR_CHOICE = 'Offer it, never put it on; taking it off is always fine.';

/** What lies on the body, or round it. */
export const ON_BODY: readonly Rule[] = [
  ...onTrait(
    'bellyWeighed',
    { words: 'The same without the weight.' },
    ['pregnancy', 'avoid', 'Nothing heavy lies on the belly.'],
    ['operation-belly', 'avoid', 'Weight on a wound that is healing.', { beforeMonths: 3 }],
    ['aneurysm', 'avoid', 'Pressure on the belly.'],
    ['hernia-belly', 'change', 'Weight on the weak place.'],
    ['after-birth', 'change', 'The pelvic floor is not to be loaded yet.', { beforeMonths: 3 }],
    ['pelvic-floor', 'change', 'Weight on the belly bears down on the pelvic floor.'],
    ['reflux', 'change', 'Weight on the stomach pushes acid up.'],
    ['hernia-hiatal', 'change', 'Weight on the stomach presses it up into the gap.'],
    ['heavy-meal', 'change', 'Weight on a full stomach.'],
    ['copd', 'change', 'Weight on the belly makes breathing harder.'],
    ['asthma', 'watch', 'Weight on the belly makes breathing harder.', { degrees: ['often'] }],
    ['menstruation', 'watch', 'Weight may be unwelcome now: a matter of choice.'],
    ['panic', 'watch', 'Weight can feel like being held down.', { instead: THEIR_CHOICE }],
    ['trauma', 'watch', 'Weight can feel like being held down.', { instead: THEIR_CHOICE }],
  ),
  ...onTrait(
    'eyesCovered',
    { words: 'Nothing on the eyes; dim the light instead.' },
    ['glaucoma', 'change', 'Nothing should press on the eyes.'],
    ['retina', 'change', 'Nothing should press on the eyes.', { degrees: ['recent'] }],
    ['eye-operation', 'change', 'Nothing should press on an eye that is healing.', { beforeMonths: 6 }],
    ['panic', 'watch', 'With covered eyes you cannot see the room.', { instead: THEIR_CHOICE }],
    ['trauma', 'watch', 'With covered eyes you cannot see the room.', { instead: THEIR_CHOICE }],
  ),
  ...onTrait(
    'foreheadPressed',
    { words: 'The forehead bears the weight, never the eyes.' },
    ['glaucoma', 'watch', 'The prop can slip on to the eyes.'],
    ['eye-operation', 'watch', 'The prop can slip on to the eyes.', { beforeMonths: 6 }],
    ['retina', 'watch', 'The prop can slip on to the eyes.', { degrees: ['recent'] }],
    [
      'sinus',
      'watch',
      'The prop presses on sore sinuses.',
      { instead: 'Softer, higher on the forehead, or head to the side.' },
    ],
  ),
  ...onTrait(
    'strappedIn',
    { words: 'The same without the strap.' },
    [
      'trauma',
      'watch',
      'Being strapped in can feel like being held.',
      { instead: 'Only if they choose it, with the end of the strap in reach.' },
    ],
    [
      'panic',
      'watch',
      'Being strapped in can feel like being held.',
      { instead: 'Only if they choose it, with the end of the strap in reach.' },
    ],
    [
      'lymph',
      'watch',
      'A tight band stops the flow in a swollen limb.',
      { instead: 'Loose, or without the strap on that side.' },
    ],
    [
      'clots',
      'watch',
      'A tight band stops the flow or bruises.',
      { instead: 'Loose, over clothing, or without the strap.' },
    ],
    [
      'diabetes-feeling',
      'watch',
      'A strap that is too tight goes unnoticed.',
      { instead: 'Loose, over clothing, or without the strap.' },
    ],
  ),
  ...onTrait(
    'legsOpen',
    { words: 'A blanket over the legs, or knees together.' },
    ['trauma', 'watch', 'With the legs open you can feel exposed.'],
    ['si-pain', 'watch', 'Wide legs pull on the pelvis.', { instead: 'Less wide, thighs supported by props.' }],
  ),
];
