import type { Rule } from '#core/caution';
import { onSession, onTechnique, onTrait, type Row } from './rows';

const SLOW = 'The slow breath in and out, without holding.';
const EASY = ['long-out-breath', 'equal-breath', 'breath-awareness'] as const;
const FEWER = 'Fewer and slower, with a long recovery.';

/** For whom no breath is held, in or out. */
const NO_HOLDING: Row[] = [
  ['pregnancy', 'avoid', 'The breath is not held in pregnancy.'],
  ['high-pressure', 'avoid', 'Holding the breath raises the blood pressure.', { degrees: ['uncontrolled'] }],
  ['high-pressure', 'change', 'Holding the breath raises the blood pressure for a while.', { degrees: ['controlled'] }],
  ['heart', 'avoid', 'Holding the breath makes the heart work against pressure.'],
  ['aneurysm', 'avoid', 'Holding the breath raises the pressure in the arteries.'],
  ['stroke', 'avoid', 'Holding the breath raises the pressure in the arteries of the head.'],
  ['head-pressure', 'avoid', 'Holding the breath raises the pressure in the head.'],
  ['glaucoma', 'avoid', 'Holding the breath raises the pressure in the eyes.'],
  ['retina', 'avoid', 'Holding the breath puts strain on the retina.', { degrees: ['recent'] }],
  ['retina', 'change', 'Holding the breath puts strain on the retina.', { degrees: ['old'] }],
  ['eye-operation', 'avoid', 'Holding the breath presses on an eye that is healing.', { beforeMonths: 6 }],
  ['epilepsy', 'avoid', 'Less oxygen can set off a seizure.', { degrees: ['recent'] }],
  ['epilepsy', 'change', 'Less oxygen can set off a seizure.', { degrees: ['quiet'] }],
  ['copd', 'avoid', 'Damaged lungs have no breath to spare.'],
  ['asthma', 'change', 'Air hunger can set off an attack.'],
  ['operation-chest', 'avoid', 'Pressure in a chest that is healing.', { beforeMonths: 6 }],
  ['operation-belly', 'avoid', 'Pressure in a belly that is healing.', { beforeMonths: 3 }],
  ['panic', 'avoid', 'Air hunger is how panic feels.'],
  ['trauma', 'change', 'Air hunger can bring up memories.'],
  ['bipolar', 'change', 'Strong breath can stir up more than it settles.'],
  ['fainting', 'change', 'Holding the breath can make you faint.'],
  ['hernia-belly', 'change', 'A held breath presses on the weak place.'],
  ['hernia-hiatal', 'watch', 'A held breath presses the stomach up.'],
  ['after-birth', 'change', 'The pelvic floor is not to be loaded yet.', { beforeMonths: 3 }],
  [
    'pelvic-floor',
    'watch',
    'A held breath bears down on the pelvic floor.',
    { instead: 'Hold without pressing, or not at all.' },
  ],
  ['fatigue', 'change', 'Effort of the breath costs the next day.'],
  ['cold', 'watch', 'A blocked nose makes holding hard.'],
  ['heavy-meal', 'watch', 'A held breath presses on a full stomach.'],
  ['migraine', 'watch', 'Holding can bring on an attack.'],
];

const HOLDING: Rule[] = [
  ...onTrait(
    'holdFull',
    { words: SLOW, techniques: EASY },
    ...NO_HOLDING,
    ['low-pressure', 'watch', 'Holding can make you light-headed.', { instead: 'Short holds, lying down.' }],
    [
      'clots',
      'watch',
      'Pressing with a full breath changes the pressure in the veins.',
      { degrees: ['recent', 'past'], instead: 'Hold without pressing, or not at all.' },
    ],
    ['cancer', 'watch', 'Treatment leaves less breath to spare.'],
  ),
  ...onTrait(
    'holdEmpty',
    { words: SLOW, techniques: EASY },
    ...NO_HOLDING,
    ['low-pressure', 'change', 'Holding the breath out can make you faint.'],
    ['low-mood', 'change', 'Staying empty can deepen a low mood.'],
    ['reflux', 'watch', 'Holding out draws the stomach up.', { instead: 'Short, and never after a meal.' }],
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
  ['pregnancy', 'avoid', 'Nothing pumps or presses in the belly in pregnancy.'],
  ['after-birth', 'avoid', 'Belly wall and pelvic floor are still healing.', { beforeMonths: 3 }],
  ['belly-wall', 'change', 'Pumping widens the gap in the belly wall.'],
  ['pelvic-floor', 'change', 'Pumping bears down on the pelvic floor.'],
  ['hernia-belly', 'avoid', 'Pumping presses on the weak place.'],
  ['hernia-hiatal', 'avoid', 'Pumping presses the stomach up into the gap.'],
  ['reflux', 'avoid', 'Pumping pushes acid up.'],
  ['operation-belly', 'avoid', 'Pumping pulls on a scar.', { beforeMonths: 6 }],
  ['operation-chest', 'avoid', 'Pumping shakes a chest that is healing.', { beforeMonths: 6 }],
  ['high-pressure', 'avoid', 'Pumping raises the blood pressure.'],
  ['heart', 'avoid', 'Pumping makes the heart work hard.'],
  ['aneurysm', 'avoid', 'Pumping raises the pressure in the belly.'],
  ['stroke', 'avoid', 'Pumping raises the pressure in the head.'],
  ['head-pressure', 'avoid', 'Pumping raises the pressure in the head.'],
  ['glaucoma', 'avoid', 'Pumping raises the pressure in the eyes.'],
  ['retina', 'avoid', 'Pumping shakes the retina.', { degrees: ['recent'] }],
  ['retina', 'change', 'Pumping shakes the retina.', { degrees: ['old'] }],
  ['eye-operation', 'avoid', 'Pumping presses on an eye that is healing.', { beforeMonths: 6 }],
  ['heavy-meal', 'avoid', 'Only on an empty stomach.'],
  ['menstruation', 'watch', 'Usually left out now: a matter of choice.'],
  ['disc-low-back', 'avoid', 'Pumping jars a fresh disc.', { degrees: ['fresh'] }],
];

const PUMPING: Rule[] = [
  ...onTrait('bellyPressed', { words: SLOW, techniques: EASY }, ...NO_PUMPING),
  ...onTrait(
    'strokes',
    { words: SLOW, techniques: EASY },
    ['epilepsy', 'avoid', 'Breathing too much can set off a seizure.'],
    ['asthma', 'avoid', 'Pumps dry and narrow the airways.', { degrees: ['often'] }],
    ['asthma', 'change', 'Pumps dry the airways.', { degrees: ['seldom'] }],
    ['copd', 'avoid', 'Damaged lungs cannot empty so fast.'],
    ['panic', 'avoid', 'Fast breathing feels like an attack and can bring one on.'],
    ['trauma', 'change', 'Fast breathing can stir up more than is wanted.'],
    ['bipolar', 'avoid', 'Strong breath can set off an episode.'],
    ['vertigo', 'avoid', 'Pumps can make you dizzy.'],
    ['fainting', 'avoid', 'Pumps can make you faint.'],
    ['ear', 'change', 'Pumps press on the ear.'],
    ['sinus', 'change', 'Pumps press on blocked sinuses.'],
    ['cold', 'change', 'Pumps need a clear nose.'],
    ['migraine', 'change', 'Pumps can bring on an attack.'],
    ['fatigue', 'avoid', 'Effort of the breath costs the next day.'],
    ['osteoporosis', 'change', 'Hard pumps jar bones that have broken.', { degrees: ['fractured'] }],
    ['clots', 'change', 'Pumps change the pressure in the veins.', { degrees: ['recent'] }],
    ['cancer', 'change', 'Pumps are hard work during treatment.'],
    ['ms', 'watch', 'Hard breathing heats and tires.', { instead: FEWER }],
    ['insulin', 'watch', 'Hard breathing can hide the signs of low sugar.', { instead: FEWER }],
    ['low-pressure', 'watch', 'Pumps can make you light-headed.', { instead: FEWER }],
    ['varicose', 'watch', 'Pumps press on the veins of the pelvis.', { instead: FEWER }],
  ),
  ...onTrait(
    'fast',
    { words: SLOW, techniques: EASY },
    ['panic', 'avoid', 'Fast breathing feels like an attack and can bring one on.'],
    ['bipolar', 'avoid', 'Strong breath can set off an episode.'],
    ['epilepsy', 'avoid', 'Breathing too much can set off a seizure.'],
    ['asthma', 'avoid', 'Fast breathing narrows the airways.'],
    ['fainting', 'avoid', 'Fast breathing can make you faint.'],
  ),
];

const NOSE_AND_SOUND: Rule[] = [
  ...onTrait(
    'nostrils',
    {
      words: 'Through both nostrils, or the mouth, without counting.',
      techniques: ['breath-awareness', 'belly-breath', 'equal-breath'],
    },
    ['cold', 'change', 'It needs a clear nose.'],
    ['sinus', 'change', 'It needs a clear nose.'],
    ['wrist', 'watch', 'The hand is held up for minutes.', { instead: 'Imagine the nostrils; rest the hand.' }],
    ['shoulder', 'watch', 'The arm is held up for minutes.', { instead: 'Imagine the nostrils; rest the hand.' }],
  ),
  ...onTrait(
    'handOnFace',
    { words: 'The same without the hand: imagine the nostrils, ears open.' },
    ['trauma', 'watch', 'A hand on the face can be hard to bear.'],
    ['panic', 'watch', 'A hand on the face can feel like too little air.'],
  ),
  ...onTrait(
    'cooling',
    { words: 'In and out through the nose.', techniques: EASY },
    ['asthma', 'change', 'Cold, dry air through the mouth narrows the airways.'],
    ['copd', 'change', 'Cold, dry air through the mouth irritates the lungs.'],
    ['cold', 'change', 'Cold air on a sore throat.'],
    [
      'low-pressure',
      'watch',
      'Many teachers leave it out where blood pressure is low.',
      { instead: 'A few breaths only.' },
    ],
  ),
  ...onTrait(
    'sound',
    { words: 'The same breath without the sound.', techniques: EASY },
    ['sinus', 'watch', 'The sound can throb in blocked sinuses.'],
    ['cold', 'watch', 'The sound can hurt a sore throat.'],
    ['heart', 'watch', 'A forced sound is an effort.', { degrees: ['unsteady'] }],
    ['asthma', 'watch', 'A narrowed throat can feel like an attack.', { degrees: ['often'] }],
  ),
  ...onTrait(
    'neckBent',
    { words: 'Without the chin lock, head level.', techniques: EASY },
    ['neck', 'avoid', 'The pressed chin pulls on a tender neck.'],
    ['disc-neck', 'avoid', 'The pressed chin presses on a disc of the neck.'],
    ['osteoporosis', 'change', 'The pressed chin loads thin bones of the neck.'],
    ['stenosis', 'change', 'The pressed chin narrows the canal of the neck.'],
    ['fused-spine', 'change', 'The pressed chin loads the joints beside a fixed part.'],
    ['ms', 'watch', 'Bending the neck can send a tingle down the spine.'],
    ['head-pressure', 'avoid', 'A bent neck slows the blood from the head.'],
  ),
];

const SINGLE: Rule[] = [
  ...onTechnique(
    'breath-awareness',
    { words: 'Eyes open, attention on the hands or on sounds.' },
    ['panic', 'watch', 'Watching the breath can make you uneasy.'],
    ['trauma', 'watch', 'Watching the breath can make you uneasy.'],
  ),
  ...onTechnique('humming', { words: 'With open ears, or without the sound.', techniques: EASY }, [
    'ear',
    'change',
    'Humming with closed ears shakes a sore eardrum.',
  ]),
  ...onTechnique(
    'equal-breath',
    { words: 'At their own pace, without counting.' },
    ['copd', 'watch', 'A count that is too long brings air hunger.'],
    ['panic', 'watch', 'Counting can tighten the breath.'],
  ),
  ...onTechnique(
    'long-out-breath',
    { words: 'The out-breath as long as it comes, not as long as it can.' },
    ['asthma', 'watch', 'A long out-breath can be hard to give.', { degrees: ['often'] }],
    [
      'copd',
      'watch',
      'A forced long out-breath is hard.',
      { instead: 'Through pursed lips, as long as it comes: that usually helps.' },
    ],
  ),
  ...onTechnique(
    'three-part-breath',
    { words: 'Only as far as nothing pulls.', techniques: ['breath-awareness'] },
    ['operation-belly', 'change', 'A deep breath pulls on a wound that is healing.', { beforeMonths: 3 }],
    ['operation-chest', 'change', 'A deep breath pulls on a chest that is healing.', { beforeMonths: 6 }],
  ),
  ...onTechnique(
    'belly-breath',
    { words: 'Small and easy, hands beside the belly.' },
    ['operation-belly', 'watch', 'A deep breath pulls on a wound that is healing.', { beforeMonths: 3 }],
    ['pregnancy', 'watch', 'The belly has less room.', { weeks: [28, 99], instead: 'On the side, into the ribs.' }],
  ),
  ...onTechnique(
    'side-and-back-ribs',
    { words: 'Only as wide as it is easy.' },
    ['operation-chest', 'watch', 'Healing ribs do not like to spread.', { beforeMonths: 6 }],
    ['copd', 'watch', 'Stiff lungs spread less.'],
  ),
  ...onTechnique(
    'six-a-minute',
    { words: 'A little faster, at a pace without air hunger.' },
    ['copd', 'watch', 'So slow a breath can bring air hunger.'],
    ['heart', 'watch', 'So slow a breath moves the blood pressure.'],
    ['asthma', 'watch', 'So slow a breath can bring air hunger.', { degrees: ['often'] }],
  ),
  ...onTechnique('root-lock', { words: 'Only a light lift, and a full release.', techniques: EASY }, [
    'pelvic-floor',
    'watch',
    'A pelvic floor that is weak or tight needs its own advice.',
  ]),
  ...onTechnique(
    'right-in-left-out',
    { words: 'Both nostrils.', techniques: ['equal-breath', 'long-out-breath'] },
    ['high-pressure', 'change', 'It is taught as rousing.', { degrees: ['uncontrolled'] }],
    ['panic', 'change', 'It is taught as rousing.'],
    ['bipolar', 'change', 'It is taught as rousing.'],
  ),
  ...onTechnique(
    'left-in-right-out',
    { words: 'Both nostrils.', techniques: ['equal-breath'] },
    ['low-mood', 'watch', 'It is taught as quieting, which may not help.'],
    ['low-pressure', 'watch', 'It is taught as quieting, which may not help.'],
  ),
];

const UP_OVER_SIDE = 'To the side, wait, sit, wait, stand.';
const WITHIN_REACH = 'A chair or wall within reach, and as much time as they need.';
const EYES_OPEN = 'Say at the start that eyes may stay open.';

/** Cautions on the class as a whole. */
const CLASS: Rule[] = [
  ...onSession(
    'flatRest',
    { words: 'Head and chest raised.' },
    ['reflux', 'watch', 'So long flat lets acid rise.', { from: 480 }],
    ['heart', 'watch', 'So long flat can make you breathless.', { degrees: ['unsteady'], from: 300 }],
  ),
  ...onSession(
    'strokes',
    { words: 'Fewer pumps in all, longer recoveries.' },
    ['low-pressure', 'watch', 'So many pumps can make you light-headed.', { from: 60 }],
    ['migraine', 'watch', 'So many pumps can bring on an attack.', { from: 60 }],
    ['asthma', 'watch', 'So many pumps dry the airways.', { from: 60 }],
  ),
  ...onSession(
    'retention',
    { words: 'Say before it begins that breathing on without holding is always right.' },
    ['migraine', 'watch', 'The breath is held for minutes in all.', { from: 120 }],
    ['low-pressure', 'watch', 'The breath is held for minutes in all.', { from: 120 }],
  ),
  ...onSession(
    'gettingUp',
    { words: UP_OVER_SIDE },
    ['low-pressure', 'watch', 'Getting up can make you faint.'],
    ['fainting', 'watch', 'Getting up can make you faint.'],
    ['high-pressure', 'watch', 'Tablets for high pressure can make you light-headed on getting up.'],
    ['vertigo', 'watch', 'Lying down, turning over and getting up can set off dizziness.'],
    ['pregnancy', 'watch', 'Getting up straight pulls on the belly wall.', { weeks: [14, 99] }],
    ['after-birth', 'watch', 'Getting up straight pulls on the belly wall.', { beforeMonths: 6 }],
    ['belly-wall', 'watch', 'Getting up straight pulls on the gap.'],
    ['pelvic-floor', 'watch', 'Getting up straight bears down on the pelvic floor.'],
    [
      'operation-belly',
      'change',
      'Sitting up straight and carrying props pull on the wound; the surgeon should have agreed to this class.',
      { beforeMonths: 3, instead: 'Up over the side, with help; someone else carries the props.' },
    ],
    ['heart', 'watch', 'Getting up fast is work for the heart.'],
    ['stroke', 'watch', 'Balance may be less on getting up.', { instead: WITHIN_REACH }],
    ['parkinsons', 'watch', 'Getting up can make you light-headed or unsteady.', { instead: WITHIN_REACH }],
    ['fatigue', 'watch', 'Every getting up costs.', { instead: 'Stay down where the class allows it.' }],
  ),
  ...onSession(
    'fromFloor',
    { words: WITHIN_REACH },
    ['hip-replaced', 'watch', 'Getting up from the floor folds the hip far.', { beforeMonths: 6 }],
    ['knee-replaced', 'watch', 'Getting up from the floor loads the knees.'],
    ['worn-joints', 'watch', 'Getting up from the floor loads hips and knees.'],
    ['osteoporosis', 'watch', 'A fall is what breaks thin bones.'],
    ['ms', 'watch', 'Legs may be unsteady on getting up.'],
    ['diabetes-feeling', 'watch', 'Feet that feel little are unsteady.'],
    [
      'operation-chest',
      'change',
      'Pushing up with the arms and carrying props pull on the wound; the surgeon should have agreed to this class.',
      { beforeMonths: 6, instead: 'Up without the arms, with help; someone else carries the props.' },
    ],
    [
      'operation-other',
      'watch',
      'After an operation you are weaker than you think; the surgeon should have agreed to this class.',
      { beforeMonths: 3, instead: WITHIN_REACH },
    ],
    [
      'clots',
      'watch',
      'Blood thinners make bruises of small knocks.',
      { degrees: ['thinners'], instead: 'No hard pressure: pad edges and buckles.' },
    ],
  ),
  ...onSession(
    'eyesClosed',
    { words: EYES_OPEN },
    ['panic', 'watch', 'With closed eyes you cannot see the room.', { from: 180 }],
    ['trauma', 'watch', 'With closed eyes you cannot see who moves.', { from: 180 }],
    ['bipolar', 'watch', 'With closed eyes thoughts can run away.', { from: 180 }],
    ['vertigo', 'watch', 'With closed eyes the room can turn.', { from: 180 }],
  ),
  ...onSession(
    'prone',
    { words: 'Turn the head to the other side half-way, a cushion under the belly, or rest on the side.' },
    ['neck', 'watch', 'So long face down tires the neck.', { from: 300 }],
    ['disc-low-back', 'watch', 'So long face down arches the low back.', { from: 300 }],
    ['stenosis', 'watch', 'So long face down arches the low back.', { from: 300 }],
  ),
  ...onSession(
    'length',
    { words: 'Say that leaving early or lying down in between is fine.' },
    ['fatigue', 'watch', 'A whole class can be too long.', { from: 2700 }],
    ['cancer', 'watch', 'Treatment leaves little strength.', { from: 1800 }],
    [
      'insulin',
      'watch',
      'Blood sugar can fall in a long class.',
      { from: 1800, instead: 'Something sweet within reach; ask how they show low sugar.' },
    ],
    [
      'epilepsy',
      'watch',
      'Someone should know what to do in a seizure.',
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
