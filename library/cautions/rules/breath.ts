import type { Rule } from '#core/caution';
import { onSession, onTechnique, onTrait, type Row } from './rows';

const SLOW = 'The slow breath in and out without holding.';
const EASY = ['long-out-breath', 'equal-breath', 'breath-awareness'] as const;

/** For whom no breath is held, full or empty. */
const NO_HOLDING: Row[] = [
  ['pregnancy', 'avoid', 'The child is not to wait for breath.'],
  ['high-pressure', 'avoid', 'Holding the breath raises the blood pressure.', { degrees: ['uncontrolled'] }],
  ['high-pressure', 'change', 'Holding the breath raises the blood pressure for a while.', { degrees: ['controlled'] }],
  ['heart', 'avoid', 'Holding the breath makes the heart work against pressure.'],
  ['stroke', 'avoid', 'Holding the breath raises the pressure in the vessels of the head.'],
  ['glaucoma', 'avoid', 'Holding the breath raises the pressure in the eyes.'],
  ['retina', 'avoid', 'Holding the breath puts strain on the retina.'],
  ['eye-operation', 'avoid', 'Holding the breath presses on an eye that heals.', { beforeMonths: 6 }],
  ['epilepsy', 'avoid', 'A change of the gases in the blood can set off a fit.'],
  ['copd', 'avoid', 'Narrow lungs have no breath to spare.'],
  ['asthma', 'change', 'Air hunger can set off an attack.'],
  ['operation-chest', 'avoid', 'Pressure in a chest that heals.', { beforeMonths: 6 }],
  ['operation-belly', 'avoid', 'Pressure in a belly that heals.', { beforeMonths: 3 }],
  ['panic', 'avoid', 'Air hunger is how panic feels.'],
  ['trauma', 'change', 'Air hunger can bring memories up.'],
  ['hernia-belly', 'change', 'A held breath presses on the weak place.'],
  ['hernia-hiatal', 'change', 'A held breath presses the stomach up.'],
  ['fatigue', 'change', 'Effort of the breath costs the next day.'],
  ['cold', 'change', 'A blocked nose and a held breath do not go together.'],
  ['heavy-meal', 'change', 'A full stomach is pressed by a held breath.'],
  ['after-birth', 'change', 'The pelvic floor is not to be pressed yet.', { beforeMonths: 3 }],
  ['migraine', 'watch', 'Holding can bring an attack nearer.', { instead: 'Half the counts; none at the first sign.' }],
];

const HOLDING: Rule[] = [
  ...onTrait(
    'holdFull',
    { words: SLOW, techniques: EASY },
    ...NO_HOLDING,
    ['low-pressure', 'watch', 'Light-headed after a full hold.', { instead: 'Short holds, lying down.' }],
    [
      'clots',
      'watch',
      'Pressing with a full breath shifts the pressure in the veins.',
      { instead: 'Hold without pressing, or not at all.' },
    ],
  ),
  ...onTrait(
    'holdEmpty',
    { words: SLOW, techniques: EASY },
    ...NO_HOLDING,
    ['low-pressure', 'change', 'An empty hold can make one faint.'],
    ['low-mood', 'change', 'Staying empty can deepen a low mood; filling is the better half.'],
    ['reflux', 'watch', 'An empty hold draws the stomach up.', { instead: 'Short, and never after a meal.' }],
    [
      'menstruation',
      'watch',
      'Some prefer no pull on the belly now: a matter of choice.',
      { instead: 'Breathe on without holding.' },
    ],
  ),
];

/** For whom nothing pumps or presses in the belly. */
const NO_PUMPING: Row[] = [
  ['pregnancy', 'avoid', 'Nothing presses or pumps in the belly now.'],
  ['after-birth', 'avoid', 'Belly wall and pelvic floor are still healing.', { beforeMonths: 3 }],
  ['hernia-belly', 'avoid', 'Pumping presses on the weak place.'],
  ['hernia-hiatal', 'avoid', 'Pumping presses the stomach up into the gap.'],
  ['reflux', 'avoid', 'Pumping presses acid up.'],
  ['operation-belly', 'avoid', 'Pumping pulls on a scar.', { beforeMonths: 6 }],
  ['operation-chest', 'avoid', 'Pumping shakes a chest that heals.', { beforeMonths: 6 }],
  ['high-pressure', 'avoid', 'Pumping drives the blood pressure up.'],
  ['heart', 'avoid', 'Pumping makes the heart work hard.'],
  ['stroke', 'avoid', 'Pumping drives the pressure in the head up.'],
  ['glaucoma', 'avoid', 'Pumping drives the pressure in the eyes up.'],
  ['retina', 'avoid', 'Pumping shakes the retina.'],
  ['eye-operation', 'avoid', 'Pumping presses on an eye that heals.', { beforeMonths: 6 }],
  ['heavy-meal', 'avoid', 'Only on an empty belly.'],
  ['menstruation', 'change', 'Usually left out now: a matter of choice.'],
  ['disc-low-back', 'avoid', 'Pumping jars a fresh disc.', { degrees: ['fresh'] }],
];

const PUMPING: Rule[] = [
  ...onTrait('bellyPressed', { words: SLOW, techniques: [...EASY] }, ...NO_PUMPING),
  ...onTrait(
    'strokes',
    { words: SLOW, techniques: EASY },
    ['epilepsy', 'avoid', 'Breathing off too much can set off a fit.'],
    ['asthma', 'avoid', 'Strokes dry and narrow the airways.', { degrees: ['often'] }],
    ['asthma', 'change', 'Strokes dry the airways.', { degrees: ['seldom'] }],
    ['copd', 'avoid', 'Narrow lungs cannot empty so fast.'],
    ['panic', 'avoid', 'Fast breathing feels like an attack and can bring one.'],
    ['trauma', 'change', 'Fast breathing rouses more than is wanted.'],
    ['vertigo', 'avoid', 'Strokes make one dizzy.'],
    ['ear', 'avoid', 'Strokes press on the ear.'],
    ['sinus', 'change', 'Strokes through a blocked nose press on the sinuses.'],
    ['cold', 'change', 'Strokes need a free nose.'],
    ['migraine', 'change', 'Strokes can bring an attack nearer.'],
    ['fatigue', 'avoid', 'Effort of the breath costs the next day.'],
    ['osteoporosis', 'change', 'Hard strokes jar thin bones of the spine.', { degrees: ['fractured'] }],
    ['low-pressure', 'watch', 'Light-headed after strokes.', { instead: 'Few and slow, with a long recovery.' }],
    ['clots', 'change', 'Pumping shifts the pressure in the veins.'],
    ['varicose', 'watch', 'Pumping presses on the veins of the pelvis.', { instead: 'Few and soft.' }],
  ),
  ...onTrait(
    'fast',
    { words: SLOW, techniques: EASY },
    ['panic', 'avoid', 'Fast breathing feels like an attack and can bring one.'],
    ['epilepsy', 'avoid', 'Breathing off too much can set off a fit.'],
    ['asthma', 'avoid', 'Fast breathing narrows the airways.'],
    [
      'diabetes-feeling',
      'watch',
      'Fast breathing changes how one feels one’s sugar.',
      { instead: 'Slower and shorter.' },
    ],
  ),
];

const NOSE_AND_SOUND: Rule[] = [
  ...onTrait(
    'nostrils',
    {
      words: 'Through both nostrils, or the mouth, without counting.',
      techniques: ['breath-awareness', 'belly-breath', 'equal-breath'],
    },
    ['cold', 'change', 'It needs a free nose.'],
    ['sinus', 'change', 'It needs a free nose, and pressing builds up in the sinuses.'],
    ['wrist', 'watch', 'The hand is held up for minutes.', { instead: 'Imagine the nostrils; rest the hand.' }],
    [
      'shoulder',
      'watch',
      'The arm is held up for minutes.',
      { instead: 'A cushion under the elbow, or imagine the nostrils.' },
    ],
  ),
  ...onTrait(
    'cooling',
    { words: 'In and out through the nose.', techniques: EASY },
    ['asthma', 'change', 'Cold, dry air through the mouth narrows the airways.'],
    ['copd', 'change', 'Cold, dry air through the mouth irritates the lungs.'],
    ['cold', 'change', 'Cold air on a sore throat.'],
    ['low-pressure', 'watch', 'It is held to cool and quieten: some grow faint.', { instead: 'A few breaths only.' }],
  ),
  ...onTrait(
    'sound',
    { words: 'The same breath without the sound.', techniques: EASY },
    ['ear', 'change', 'Humming with closed ears shakes a sore drum.'],
    ['sinus', 'watch', 'The sound throbs in blocked sinuses.', { instead: 'Softer, or without the sound.' }],
    ['cold', 'watch', 'A sore throat does not like the sound.', { instead: 'Without the sound.' }],
    [
      'heart',
      'watch',
      'A pressed sound is an effort.',
      { degrees: ['unsteady'], instead: 'Without any effort in the throat.' },
    ],
    [
      'asthma',
      'watch',
      'A narrowed throat can feel like an attack.',
      { degrees: ['often'], instead: 'Without the sound.' },
    ],
  ),
  ...onTrait(
    'neckBent',
    { words: 'Without the chin lock, head level.', techniques: EASY },
    ['neck', 'avoid', 'The chin pressed down pulls on a hurt neck.'],
    ['disc-neck', 'avoid', 'The chin pressed down presses on a disc of the neck.'],
    ['osteoporosis', 'change', 'The chin pressed down loads thin bones of the neck.'],
    ['stenosis', 'change', 'The chin pressed down narrows the canal of the neck.'],
  ),
];

const SINGLE: Rule[] = [
  ...onTechnique(
    'breath-awareness',
    { words: 'Eyes open, attention on the hands or on sounds.' },
    ['panic', 'watch', 'Watching the breath can make one uneasy.'],
    ['trauma', 'watch', 'Watching the breath can make one uneasy.'],
  ),
  ...onTechnique(
    'equal-breath',
    { words: 'At one’s own pace, uncounted.' },
    ['copd', 'watch', 'A count that is too long brings air hunger.'],
    ['panic', 'watch', 'Counting can tighten the breath.'],
  ),
  ...onTechnique(
    'long-out-breath',
    { words: 'The out-breath as long as it comes, not as long as it can.' },
    ['asthma', 'watch', 'A long out-breath can be hard to give.'],
    ['copd', 'watch', 'A long out-breath can be hard to give.'],
  ),
  ...onTechnique(
    'three-part-breath',
    { words: 'Only as far as nothing pulls.', techniques: ['breath-awareness'] },
    ['operation-belly', 'change', 'A deep breath pulls on a scar that heals.', { beforeMonths: 3 }],
    ['operation-chest', 'change', 'A deep breath pulls on a chest that heals.', { beforeMonths: 6 }],
  ),
  ...onTechnique(
    'belly-breath',
    { words: 'Small and easy, hands beside the belly.' },
    ['operation-belly', 'watch', 'A deep breath pulls on a scar that heals.', { beforeMonths: 3 }],
    ['pregnancy', 'watch', 'The belly has less room.', { weeks: [28, 99], instead: 'On the side, into the ribs.' }],
  ),
  ...onTechnique(
    'side-and-back-ribs',
    { words: 'Only as wide as it is easy.' },
    ['operation-chest', 'watch', 'Ribs that heal do not like to spread.', { beforeMonths: 6 }],
    ['copd', 'watch', 'Narrow lungs spread less.'],
  ),
  ...onTechnique(
    'six-a-minute',
    { words: 'A little faster, at a pace without air hunger.' },
    ['copd', 'watch', 'So slow a breath can bring air hunger.'],
    ['heart', 'watch', 'So slow a breath moves the blood pressure.'],
    ['asthma', 'watch', 'So slow a breath can bring air hunger.', { degrees: ['often'] }],
  ),
  ...onTechnique(
    'right-in-left-out',
    { words: 'Both nostrils.', techniques: ['equal-breath', 'long-out-breath'] },
    ['high-pressure', 'change', 'It is held to rouse.', { degrees: ['uncontrolled'] }],
    ['panic', 'change', 'It is held to rouse.'],
  ),
  ...onTechnique(
    'left-in-right-out',
    { words: 'Both nostrils.', techniques: ['equal-breath'] },
    ['low-mood', 'watch', 'It is held to quieten more than may help.'],
    ['low-pressure', 'watch', 'It is held to quieten more than may help.'],
  ),
];

/** Cautions on the class as a whole. */
const CLASS: Rule[] = [
  ...onSession(
    'flatRest',
    { words: 'Propped up, eyes open, or shorter.' },
    ['low-mood', 'watch', 'So long flat in one go may not help a low mood.', { from: 480 }],
    [
      'low-pressure',
      'watch',
      'After so long flat the blood pressure is low.',
      { from: 480, instead: 'To the side, wait, sit, wait, stand.' },
    ],
    [
      'pregnancy',
      'change',
      'So long flat presses on the great vein.',
      { weeks: [20, 99], from: 60, instead: 'Left side, or propped up.' },
    ],
    ['reflux', 'watch', 'So long flat lets acid rise.', { from: 480, instead: 'Head and chest raised.' }],
    [
      'heart',
      'watch',
      'So long flat can make one short of breath.',
      { degrees: ['unsteady'], from: 300, instead: 'Head and chest raised.' },
    ],
  ),
  ...onSession(
    'strokes',
    { words: 'Fewer strokes in all, longer recoveries.' },
    ['low-pressure', 'watch', 'So many strokes make one light-headed.', { from: 60 }],
    ['migraine', 'watch', 'So many strokes can bring an attack nearer.', { from: 60 }],
    ['asthma', 'watch', 'So many strokes dry the airways.', { from: 60 }],
  ),
  ...onSession(
    'retention',
    { words: 'Tell them before it begins that the slow breath without holding is theirs.' },
    ['pregnancy', 'watch', 'The breath is held in this class.'],
    ['high-pressure', 'watch', 'The breath is held in this class.'],
    ['heart', 'watch', 'The breath is held in this class.'],
    ['stroke', 'watch', 'The breath is held in this class.'],
    ['glaucoma', 'watch', 'The breath is held in this class.'],
    ['epilepsy', 'watch', 'The breath is held in this class.'],
    ['panic', 'watch', 'The breath is held in this class.'],
  ),
  ...onSession(
    'gettingUp',
    { words: 'To the side, wait, sit, wait, stand; a wall or chair within reach.' },
    ['low-pressure', 'watch', 'Getting up from lying can make one faint.'],
    ['high-pressure', 'watch', 'Medicine against high pressure makes one light-headed on getting up.'],
    ['vertigo', 'watch', 'Getting up sets off dizziness.'],
    ['pregnancy', 'watch', 'Getting up straight pulls on the belly wall, and one grows dizzy.', { weeks: [14, 99] }],
    ['heart', 'watch', 'Getting up fast is work for the heart.'],
    ['stroke', 'watch', 'Balance may be less on getting up.'],
    ['fatigue', 'watch', 'Every getting up costs.', { instead: 'Stay down where the class allows it.' }],
    [
      'hip-replaced',
      'watch',
      'Getting up from the floor folds the hip far.',
      { beforeMonths: 6, instead: 'By way of the knees and a chair.' },
    ],
    ['knee-replaced', 'watch', 'Getting up from the floor goes over the knees.', { instead: 'By way of a chair.' }],
    ['diabetes-feeling', 'watch', 'Feet that feel little stand unsurely.'],
    ['operation-other', 'watch', 'After an operation one is weaker than one thinks.', { beforeMonths: 3 }],
  ),
  ...onSession(
    'prone',
    { words: 'Turn the head to the other side half-way, or rest on the side.' },
    ['neck', 'watch', 'So long face down in all tires the neck.', { from: 300 }],
    [
      'disc-low-back',
      'watch',
      'So long face down in all hollows the low back.',
      { from: 300, instead: 'A cushion under the belly.' },
    ],
    [
      'stenosis',
      'watch',
      'So long face down in all hollows the low back.',
      { from: 300, instead: 'A cushion under the belly.' },
    ],
    ['reflux', 'watch', 'So long face down in all presses on the stomach.', { from: 300 }],
  ),
  ...onSession(
    'length',
    { words: 'Say that leaving early or lying down in between is fine.' },
    ['fatigue', 'watch', 'A whole class can be too long.', { from: 2700 }],
    [
      'diabetes-feeling',
      'watch',
      'Sugar can fall in a long class.',
      { from: 3600, instead: 'Something to eat within reach.' },
    ],
    [
      'epilepsy',
      'watch',
      'Someone should know what to do in a fit.',
      { degrees: ['recent'], instead: 'Agree beforehand what to do.' },
    ],
    ['panic', 'watch', 'Knowing the way out helps.', { instead: 'A place near the door.' }],
    [
      'low-mood',
      'watch',
      'A word after class does good.',
      { from: 2700, instead: 'Look up at the end; a word at the door.' },
    ],
  ),
];

/** Cautions on the breath, and on the class as a whole. */
export const BREATH_RULES: readonly Rule[] = [...HOLDING, ...PUMPING, ...NOSE_AND_SOUND, ...SINGLE];
export const CLASS_RULES: readonly Rule[] = CLASS;
