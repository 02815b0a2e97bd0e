import type { Condition, ConditionArea, Degree } from '#core/caution';

type ConditionDefinition = readonly [
  id: string,
  name: string,
  terms: string,
  question: string,
  more?: { since?: 'day' | 'weeks'; degrees?: readonly (readonly [id: string, words: string])[] },
];

const degreesOf = (definitions: readonly (readonly [string, string])[] = []): Degree[] =>
  definitions.map(([id, words]) => ({ id, words }));
const of = (area: ConditionArea, ...definitions: ConditionDefinition[]): Condition[] =>
  definitions.map(([id, name, terms, question, more = {}]): Condition => ({
    id,
    area,
    name,
    terms,
    question,
    since: more.since ?? 'none',
    degrees: degreesOf(more.degrees),
  }));

const SORE_OR_OLD = [
  ['sore', 'sore, swollen or healing now'],
  ['old', 'long ago, quiet now'],
] as const;

/** The conditions that cautions are known for. Of degrees the one that asks most care comes first. */
export const CONDITIONS: readonly Condition[] = [
  ...of(
    'pregnancy',
    ['pregnancy', 'Pregnancy', 'gravidity, by trimester', 'Are you pregnant? In which week?', { since: 'weeks' }],
    [
      'after-birth',
      'A birth in the last months',
      'postpartum',
      'Have you given birth in the last months? When?',
      { since: 'day' },
    ],
  ),
  ...of(
    'heartAndBlood',
    [
      'high-pressure',
      'High blood pressure',
      'hypertension',
      'Is your blood pressure high? Is it under control?',
      {
        degrees: [
          ['uncontrolled', 'not under control'],
          ['controlled', 'under control'],
        ],
      },
    ],
    [
      'low-pressure',
      'Low blood pressure',
      'hypotension, fainting on standing up',
      'Is your blood pressure low, or do you faint easily?',
    ],
    [
      'heart',
      'Heart trouble',
      'heart disease, rhythm trouble, heart failure, angina',
      'Do you have heart trouble? Is it steady?',
      {
        degrees: [
          ['unsteady', 'not settled, or short of breath with it'],
          ['steady', 'long steady under a doctor'],
        ],
      },
    ],
    [
      'stroke',
      'A stroke or a small stroke',
      'stroke, TIA',
      'Have you had a stroke or a small stroke? When?',
      { since: 'day' },
    ],
    [
      'clots',
      'Blood clots',
      'thrombosis, embolism, blood thinners',
      'Have you had a blood clot, or do you take blood thinners?',
    ],
    ['varicose', 'Varicose veins', 'varicosis', 'Do you have varicose veins that ache?'],
  ),
  ...of(
    'head',
    ['glaucoma', 'Raised pressure in the eye', 'glaucoma', 'Is the pressure in your eyes raised?'],
    ['retina', 'Trouble of the retina', 'detached retina, retinopathy', 'Do you have trouble with the retina?'],
    [
      'eye-operation',
      'An operation on an eye',
      'cataract, laser, vitreous',
      'Have you had an operation on an eye? When?',
      { since: 'day' },
    ],
    ['migraine', 'Migraine', 'migraine, cluster headache', 'Do you get migraine?'],
    ['vertigo', 'Dizziness', 'vertigo, positional vertigo', 'Do you get dizzy when you lie down, turn or stand up?'],
    ['sinus', 'Blocked sinuses', 'sinusitis', 'Are your sinuses inflamed or blocked?'],
    ['ear', 'An ear that hurts', 'otitis, perforated drum', 'Does an ear hurt, or is a drum open?'],
  ),
  ...of(
    'breathing',
    ['cold', 'A cold or a blocked nose', 'rhinitis, hay fever', 'Do you have a cold, or is your nose blocked?'],
    [
      'asthma',
      'Asthma',
      'bronchial asthma',
      'Do you have asthma? How often does it trouble you?',
      {
        degrees: [
          ['often', 'it troubles me in most weeks'],
          ['seldom', 'seldom, and I know what to do'],
        ],
      },
    ],
    ['copd', 'Lungs that are narrow for good', 'COPD, emphysema', 'Do you have a lasting illness of the lungs?'],
  ),
  ...of(
    'belly',
    [
      'operation-belly',
      'An operation on the belly',
      'abdominal surgery, caesarean',
      'Have you had an operation on the belly? When?',
      { since: 'day' },
    ],
    [
      'operation-chest',
      'An operation on the chest or breast',
      'heart, lung or breast surgery',
      'Have you had an operation on chest or breast? When?',
      { since: 'day' },
    ],
    [
      'operation-other',
      'Another operation',
      'surgery of any other kind',
      'Have you had any other operation lately? When?',
      { since: 'day' },
    ],
    [
      'hernia-belly',
      'A hernia of the belly or groin',
      'abdominal, umbilical or inguinal hernia',
      'Do you have a hernia of belly or groin?',
    ],
    ['hernia-hiatal', 'A hernia of the midriff', 'hiatal hernia', 'Do you have a hernia of the midriff?'],
    ['reflux', 'Acid that rises', 'reflux, heartburn', 'Does acid rise when you lie down or bend over?'],
  ),
  ...of(
    'back',
    [
      'disc-low-back',
      'Disc trouble of the low back',
      'lumbar disc prolapse',
      'Do you have disc trouble in the low back?',
      {
        degrees: [
          ['fresh', 'in the last weeks, or with pain down a leg'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
    ['disc-neck', 'Disc trouble of the neck', 'cervical disc prolapse', 'Do you have disc trouble in the neck?'],
    ['sciatica', 'Pain down the leg', 'sciatica', 'Does pain run from the seat down a leg?'],
    [
      'osteoporosis',
      'Thin bones',
      'osteoporosis, osteopenia',
      'Are your bones thin? Has a bone of the back broken?',
      {
        degrees: [
          ['fractured', 'a bone of the back has broken'],
          ['thin', 'thin, none broken'],
        ],
      },
    ],
    ['stenosis', 'A narrow spinal canal', 'spinal stenosis', 'Is your spinal canal narrow?'],
    ['scoliosis', 'A curved spine', 'scoliosis', 'Is your spine curved to the side?'],
    ['neck', 'A neck injury', 'whiplash, neck strain', 'Have you hurt your neck?'],
  ),
  ...of(
    'joints',
    [
      'shoulder',
      'A shoulder injury',
      'rotator cuff, frozen shoulder',
      'Have you hurt a shoulder?',
      { degrees: SORE_OR_OLD },
    ],
    ['wrist', 'A wrist injury', 'carpal tunnel, sprain', 'Have you hurt a wrist?'],
    ['knee', 'A knee injury', 'meniscus, ligament, cartilage', 'Have you hurt a knee?', { degrees: SORE_OR_OLD }],
    ['ankle', 'An ankle injury', 'sprain, fracture', 'Have you hurt an ankle or foot?'],
    ['hip-replaced', 'A hip that was replaced', 'hip replacement', 'Has a hip been replaced? When?', { since: 'day' }],
    [
      'knee-replaced',
      'A knee that was replaced',
      'knee replacement',
      'Has a knee been replaced? When?',
      { since: 'day' },
    ],
    ['hypermobile', 'Joints that go too far', 'hypermobility', 'Do your joints go further than most?'],
    [
      'arthritis',
      'Inflamed joints',
      'arthritis, rheumatism',
      'Do you have arthritis? Is it in a flare?',
      {
        degrees: [
          ['flare', 'in a flare now'],
          ['quiet', 'quiet now'],
        ],
      },
    ],
  ),
  ...of(
    'nerves',
    [
      'epilepsy',
      'Epilepsy',
      'epilepsy, fits',
      'Do you have epilepsy? When was the last fit?',
      {
        degrees: [
          ['recent', 'a fit in the last year'],
          ['quiet', 'none for longer'],
        ],
      },
    ],
    ['panic', 'Anxiety or panic', 'anxiety disorder, panic attacks', 'Do you get anxious, or have attacks of panic?'],
    [
      'trauma',
      'Something that still frightens',
      'trauma, PTSD',
      'Is there anything we should know so that you feel safe here?',
    ],
    ['low-mood', 'Low mood', 'depression', 'Has your mood been low for some time?'],
    [
      'diabetes-feeling',
      'Diabetes with loss of feeling',
      'diabetic neuropathy',
      'Do you have diabetes, with less feeling in feet or hands?',
    ],
    [
      'fatigue',
      'An illness of fatigue',
      'ME/CFS, long covid, fibromyalgia',
      'Do you have an illness that leaves you exhausted after effort?',
    ],
  ),
  ...of(
    'today',
    ['heavy-meal', 'A heavy meal today', 'eaten within two hours', 'Have you eaten in the last two hours?'],
    ['menstruation', 'Menstruation', 'period', 'Would you rather have it quieter during your period?'],
  ),
];
