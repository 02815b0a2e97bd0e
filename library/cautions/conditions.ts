import type { Condition, ConditionArea, Degree } from '#core/caution';

type ConditionDefinition = readonly [
  id: string,
  name: string,
  terms: string,
  question: string,
  alsoCalled: readonly string[],
  more?: { since?: 'day' | 'weeks'; degrees?: readonly (readonly [id: string, words: string])[] },
];

const degreesOf = (definitions: readonly (readonly [string, string])[] = []): Degree[] =>
  definitions.map(([id, words]) => ({ id, words }));
const of = (area: ConditionArea, ...definitions: ConditionDefinition[]): Condition[] =>
  definitions.map(([id, name, terms, question, alsoCalled, more = {}]): Condition => ({
    id,
    area,
    name,
    terms,
    question,
    alsoCalled,
    since: more.since ?? 'none',
    degrees: degreesOf(more.degrees),
  }));

/** The conditions that cautions are known for. Of degrees the one that needs most care comes first. */
export const CONDITIONS: readonly Condition[] = [
  ...of(
    'pregnancy',
    [
      'pregnancy',
      'Pregnancy',
      'gravidity',
      'Are you pregnant? How many weeks?',
      ['pregnant', 'expecting', 'baby on the way', 'trimester'],
      { since: 'weeks' },
    ],
    [
      'after-birth',
      'A birth in the last months',
      'postpartum',
      'Have you given birth in the last year? When?',
      ['postnatal', 'gave birth', 'new mother', 'caesarean birth', 'c-section'],
      { since: 'day' },
    ],
    [
      'belly-wall',
      'A gap in the belly wall',
      'diastasis recti',
      'Is there still a gap down the middle of your belly wall?',
      ['diastasis', 'abdominal separation', 'split belly muscles'],
    ],
    [
      'pelvic-floor',
      'A weak pelvic floor or prolapse',
      'prolapse, incontinence',
      'Do you leak, or feel heaviness or a bulge low down?',
      ['prolapsed womb', 'uterine prolapse', 'bladder prolapse', 'incontinent', 'weak bladder'],
    ],
  ),
  ...of(
    'heartAndBlood',
    [
      'high-pressure',
      'High blood pressure',
      'hypertension',
      'Is your blood pressure high? Is it under control?',
      ['raised blood pressure', 'hypertensive', 'blood pressure tablets'],
      {
        degrees: [
          ['uncontrolled', 'not under control'],
          ['controlled', 'treated and under control'],
        ],
      },
    ],
    ['low-pressure', 'Low blood pressure', 'hypotension', 'Is your blood pressure low?', ['light-headed on standing']],
    [
      'fainting',
      'Fainting or POTS',
      'syncope, POTS, dysautonomia',
      'Do you faint, or does your heart race when you stand up?',
      ['faints', 'blackouts', 'passing out', 'vasovagal', 'postural tachycardia'],
    ],
    [
      'heart',
      'Heart trouble',
      'heart disease, rhythm disorder, heart failure, angina',
      'Do you have heart trouble? Is it settled?',
      ['heart attack', 'arrhythmia', 'atrial fibrillation', 'AF', 'palpitations', 'stent', 'bypass', 'murmur'],
      {
        degrees: [
          ['unsteady', 'not settled, or breathless with it'],
          ['steady', 'settled, under a doctor’s care'],
        ],
      },
    ],
    [
      'pacemaker',
      'A pacemaker or defibrillator',
      'ICD',
      'Do you have a pacemaker or defibrillator? Since when?',
      ['implanted device'],
      { since: 'day' },
    ],
    ['aneurysm', 'An aneurysm', 'aortic or cerebral aneurysm', 'Do you have an aneurysm?', ['weak artery', 'aorta']],
    [
      'stroke',
      'A stroke or mini-stroke',
      'stroke, TIA',
      'Have you had a stroke or mini-stroke? When?',
      ['ministroke', 'brain bleed', 'transient ischaemic attack'],
      { since: 'day' },
    ],
    [
      'clots',
      'Blood clots or blood thinners',
      'thrombosis, embolism',
      'Have you had a blood clot, or do you take blood thinners?',
      [
        'DVT',
        'deep vein thrombosis',
        'pulmonary embolism',
        'anticoagulant',
        'warfarin',
        'clot in the leg',
        'bruise easily',
      ],
      {
        degrees: [
          ['recent', 'a clot in the last 3 months, or one suspected'],
          ['past', 'a clot longer ago'],
          ['thinners', 'blood thinners, no clot'],
        ],
      },
    ],
    ['varicose', 'Varicose veins', 'varicosis', 'Do you have varicose veins that ache?', ['spider veins', 'bad veins']],
    [
      'lymph',
      'Swelling of an arm or leg',
      'lymphoedema',
      'Does an arm or leg swell (lymphoedema)?',
      ['lymphedema', 'lymph nodes removed', 'swollen arm', 'swollen leg'],
    ],
  ),
  ...of(
    'head',
    [
      'glaucoma',
      'Glaucoma',
      'raised eye pressure',
      'Do you have glaucoma or raised pressure in the eyes?',
      ['eye pressure', 'ocular hypertension'],
      {
        degrees: [
          ['unsettled', 'not under control, or narrow-angle'],
          ['treated', 'treated and under control'],
        ],
      },
    ],
    [
      'retina',
      'Trouble with the retina',
      'detachment, retinopathy',
      'Have you had trouble with the retina?',
      ['detached retina', 'retinal tear', 'macular degeneration', 'bleeding in the eye'],
      {
        degrees: [
          ['recent', 'in the last year, or still watched'],
          ['old', 'longer ago, and settled'],
        ],
      },
    ],
    [
      'eye-operation',
      'An operation on an eye',
      'cataract, laser, vitrectomy',
      'Have you had an operation on an eye? When?',
      ['eye surgery', 'lens replacement', 'eye op'],
      { since: 'day' },
    ],
    [
      'head-pressure',
      'Raised pressure in the head',
      'intracranial hypertension, shunt',
      'Have you been told that the pressure in your head is raised?',
      ['IIH', 'brain shunt', 'hydrocephalus', 'concussion'],
    ],
    [
      'migraine',
      'Migraine',
      'migraine, cluster headache',
      'Do you get migraine?',
      ['migraines', 'bad headaches', 'aura'],
    ],
    [
      'vertigo',
      'Dizziness',
      'vertigo, BPPV',
      'Do you get dizzy when you lie down, turn over or stand up?',
      ['benign positional vertigo', 'Menière', 'Meniere', 'labyrinthitis', 'spinning', 'balance trouble'],
      {
        degrees: [
          ['now', 'in the last weeks'],
          ['past', 'a spell longer ago'],
        ],
      },
    ],
    [
      'sinus',
      'Blocked sinuses',
      'sinusitis',
      'Are your sinuses inflamed or blocked?',
      ['sinus infection', 'sinusitis'],
    ],
    [
      'ear',
      'Ear trouble',
      'ear infection, perforated eardrum',
      'Does an ear hurt, or is an eardrum damaged?',
      ['earache', 'grommet', 'burst eardrum', 'tinnitus'],
    ],
  ),
  ...of(
    'breathing',
    [
      'cold',
      'A cold or blocked nose',
      'rhinitis, hay fever',
      'Do you have a cold, or is your nose blocked?',
      ['cough', 'flu', 'hayfever', 'sore throat', 'blocked nose'],
    ],
    [
      'asthma',
      'Asthma',
      'bronchial asthma',
      'Do you have asthma? How often does it trouble you?',
      ['inhaler', 'wheezing', 'wheeze'],
      {
        degrees: [
          ['often', 'it troubles me in most weeks'],
          ['seldom', 'seldom, and I know what to do'],
        ],
      },
    ],
    [
      'copd',
      'COPD or lasting lung disease',
      'COPD, emphysema, fibrosis',
      'Do you have a lasting lung disease?',
      ['chronic bronchitis', 'lung disease', 'bronchiectasis', 'long-term lung trouble'],
    ],
  ),
  ...of(
    'belly',
    [
      'operation-belly',
      'An operation on the belly',
      'abdominal surgery, caesarean',
      'Have you had an operation on the belly? When?',
      [
        'hysterectomy',
        'appendix out',
        'gallbladder out',
        'hernia repair',
        'c-section',
        'caesarean',
        'keyhole surgery',
        'stomach operation',
      ],
      { since: 'day' },
    ],
    [
      'operation-chest',
      'An operation on the chest or breast',
      'heart, lung or breast surgery',
      'Have you had an operation on the chest or breast? When?',
      ['mastectomy', 'lumpectomy', 'open heart surgery', 'breast surgery', 'lung operation', 'bypass operation'],
      { since: 'day' },
    ],
    [
      'operation-other',
      'An operation on a joint or elsewhere',
      'joint or other surgery',
      'Have you had another operation in the last months? When?',
      ['joint operation', 'keyhole knee', 'arthroscopy', 'surgery', 'operation', 'broken bone', 'fracture'],
      { since: 'day' },
    ],
    [
      'cancer',
      'Cancer treatment',
      'chemotherapy, radiotherapy',
      'Are you being treated for cancer, or have you been in the last year?',
      ['chemo', 'radiation', 'tumour', 'port', 'breast cancer'],
    ],
    [
      'hernia-belly',
      'A hernia in the belly or groin',
      'inguinal, umbilical hernia',
      'Do you have a hernia in the belly or groin?',
      ['groin hernia', 'navel hernia', 'incisional hernia'],
      {
        degrees: [
          ['open', 'not operated on'],
          ['repaired', 'operated on, and healed'],
        ],
      },
    ],
    [
      'hernia-hiatal',
      'A hiatal hernia',
      'hiatus hernia',
      'Do you have a hiatus hernia?',
      ['hiatus hernia', 'diaphragm hernia', 'hernia of the midriff'],
    ],
    [
      'reflux',
      'Reflux or heartburn',
      'GERD, GORD',
      'Do you get heartburn when you lie down or bend over?',
      ['acid reflux', 'GERD', 'GORD', 'heartburn', 'indigestion'],
      {
        degrees: [
          ['often', 'in most weeks'],
          ['seldom', 'seldom, or settled by medicine'],
        ],
      },
    ],
  ),
  ...of(
    'back',
    [
      'low-back',
      'Low-back pain',
      'non-specific low-back pain',
      'Does your low back hurt?',
      ['back pain', 'lumbago', 'bad back', 'sore back', 'back ache', 'lower back'],
      {
        degrees: [
          ['often', 'it hurts now or is easily set off'],
          ['seldom', 'now and then'],
        ],
      },
    ],
    [
      'disc-low-back',
      'A disc in the low back',
      'lumbar disc prolapse',
      'Do you have a disc problem in the low back?',
      ['slipped disc', 'herniated disc', 'bulging disc', 'disc bulge', 'prolapsed disc', 'trapped nerve in the back'],
      {
        degrees: [
          ['fresh', 'in the last weeks, or with pain down a leg'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
    [
      'disc-neck',
      'A disc in the neck',
      'cervical disc prolapse',
      'Do you have a disc problem in the neck?',
      ['slipped disc in the neck', 'trapped nerve in the neck', 'pinched nerve in the neck'],
      {
        degrees: [
          ['fresh', 'in the last weeks, or with tingling in an arm'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
    [
      'sciatica',
      'Sciatica',
      'pain down the leg',
      'Does pain run from the buttock down a leg?',
      ['trapped nerve', 'pinched nerve', 'piriformis', 'nerve pain in the leg'],
      {
        degrees: [
          ['now', 'now, or easily set off'],
          ['past', 'longer ago'],
        ],
      },
    ],
    [
      'si-pain',
      'Pain at the back of the pelvis',
      'sacroiliac or pelvic girdle pain',
      'Does one side of your pelvis hurt, at the back or in front?',
      ['sacroiliac joint', 'SI joint', 'SIJ', 'pelvic girdle pain', 'PGP', 'SPD', 'symphysis'],
    ],
    [
      'slipped-vertebra',
      'A slipped vertebra',
      'spondylolisthesis',
      'Have you been told that a vertebra has slipped?',
      ['spondylolysis', 'slipped bone in the back', 'pars defect'],
    ],
    [
      'fused-spine',
      'A fused or fixed spine',
      'spinal fusion, ankylosing spondylitis',
      'Is part of your spine fused or fixed with metal?',
      ['rods in the back', 'spinal surgery', 'back operation', 'Bechterew'],
    ],
    [
      'osteoporosis',
      'Thin bones',
      'osteoporosis, osteopenia',
      'Are your bones thin? Has a bone in your back broken?',
      ['brittle bones', 'bone loss', 'vertebral fracture', 'compression fracture'],
      {
        degrees: [
          ['fractured', 'a bone in the back has broken'],
          ['thin', 'thin, none broken'],
        ],
      },
    ],
    [
      'stenosis',
      'A narrow spinal canal',
      'spinal stenosis',
      'Have you been told that your spinal canal is narrow?',
      ['stenosis', 'narrowing of the spine'],
    ],
    [
      'scoliosis',
      'A curved spine',
      'scoliosis',
      'Does your spine curve to the side?',
      ['curvature of the spine', 'curved back'],
    ],
    [
      'neck',
      'A sore or injured neck',
      'whiplash, neck strain',
      'Is your neck sore, or has it been injured?',
      ['stiff neck', 'neck pain', 'whiplash'],
      {
        degrees: [
          ['sore', 'sore or healing now'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
  ),
  ...of(
    'joints',
    [
      'shoulder',
      'A sore or injured shoulder',
      'rotator cuff, frozen shoulder',
      'Is a shoulder sore, or has it been injured?',
      ['shoulder pain', 'impingement of the shoulder', 'dislocated shoulder', 'bursitis'],
      {
        degrees: [
          ['sore', 'sore, swollen or healing now'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
    [
      'wrist',
      'A sore or injured wrist',
      'carpal tunnel, sprain',
      'Is a wrist sore, or has it been injured?',
      ['sore wrists', 'RSI', 'ganglion', 'broken wrist'],
      {
        degrees: [
          ['sore', 'sore, swollen or healing now'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
    [
      'knee',
      'A sore or injured knee',
      'meniscus, ligament, cartilage',
      'Is a knee sore, or has it been injured?',
      ['knee pain', 'bad knee', 'torn meniscus', 'ACL', 'cruciate ligament', "runner's knee", "housemaid's knee"],
      {
        degrees: [
          ['sore', 'sore, swollen or healing now'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
    [
      'ankle',
      'A sore or injured ankle or foot',
      'sprain, fracture',
      'Is an ankle or foot sore, or has it been injured?',
      ['sprained ankle', 'plantar fasciitis', 'Achilles', 'bunion', 'foot pain'],
      {
        degrees: [
          ['sore', 'sore, swollen or healing now'],
          ['old', 'long ago, quiet now'],
        ],
      },
    ],
    [
      'hip-replaced',
      'A replaced hip',
      'hip replacement',
      'Has a hip been replaced? When, and from the front or the back?',
      ['new hip', 'artificial hip', 'hip operation', 'hip prosthesis'],
      {
        since: 'day',
        degrees: [
          ['unknown', 'I do not know from which side'],
          ['back', 'from the back'],
          ['front', 'from the front'],
        ],
      },
    ],
    [
      'hip-impingement',
      'A hip that pinches',
      'hip impingement, labral tear',
      'Does the front of a hip pinch when you fold it?',
      ['FAI', 'labrum', 'hip pain', 'groin pain', 'femoroacetabular'],
    ],
    [
      'hamstring',
      'A sore hamstring tendon',
      'proximal hamstring tendinopathy',
      'Does it hurt at the sitting bone when you fold forward?',
      ['sitting bone pain', 'pulled hamstring', 'torn hamstring'],
    ],
    [
      'knee-replaced',
      'A replaced knee',
      'knee replacement',
      'Has a knee been replaced? When?',
      ['new knee', 'artificial knee', 'knee prosthesis'],
      { since: 'day' },
    ],
    [
      'hypermobile',
      'Very flexible joints',
      'hypermobility, Ehlers-Danlos',
      'Do your joints bend further than most people’s?',
      ['hypermobile', 'double-jointed', 'EDS', 'loose joints', 'bendy'],
    ],
    [
      'arthritis',
      'Inflamed joints',
      'rheumatoid arthritis',
      'Are your joints inflamed? Is it a flare-up now?',
      ['rheumatism', 'RA', 'psoriatic arthritis', 'gout', 'lupus', 'arthritis'],
      {
        degrees: [
          ['flare', 'in a flare-up now'],
          ['quiet', 'quiet now'],
        ],
      },
    ],
    [
      'worn-joints',
      'Worn joints',
      'osteoarthritis',
      'Do you have worn joints (osteoarthritis)?',
      ['osteoarthritis', 'arthrosis', 'wear and tear', 'arthritic knees', 'arthritic hip', 'arthritis'],
    ],
  ),
  ...of(
    'nerves',
    [
      'epilepsy',
      'Epilepsy',
      'seizures',
      'Do you have epilepsy? When was the last seizure?',
      ['seizures', 'fits', 'fit', 'convulsions'],
      {
        degrees: [
          ['recent', 'a seizure in the last year'],
          ['quiet', 'none for longer'],
        ],
      },
    ],
    ['parkinsons', 'Parkinson’s', 'Parkinson’s disease', 'Do you have Parkinson’s?', ['parkinson', 'tremor']],
    ['ms', 'Multiple sclerosis', 'MS', 'Do you have multiple sclerosis?', ['MS']],
    [
      'panic',
      'Anxiety or panic',
      'anxiety disorder, panic attacks',
      'Do you get anxious, or have panic attacks?',
      ['anxious', 'panic attack', 'claustrophobia', 'stress'],
      {
        degrees: [
          ['now', 'in the last months'],
          ['past', 'longer ago'],
        ],
      },
    ],
    [
      'trauma',
      'Something that still frightens you',
      'trauma, PTSD',
      'Is there anything we should know so that you feel safe here?',
      ['PTSD', 'abuse', 'flashbacks', 'traumatic stress'],
    ],
    [
      'low-mood',
      'Low mood',
      'depression',
      'Has your mood been low for some time?',
      ['depressed', 'depression', 'burnout', 'grief'],
    ],
    [
      'bipolar',
      'Bipolar disorder or psychosis',
      'mania, psychosis',
      'Have you ever had mania or psychosis?',
      ['manic depression', 'schizophrenia', 'hearing voices', 'manic'],
    ],
    [
      'insulin',
      'Diabetes with insulin',
      'insulin, sulfonylurea',
      'Do you take insulin or tablets that can drop your sugar?',
      ['diabetes', 'diabetic', 'type 1 diabetes', 'type 2 diabetes', 'low sugar', 'hypo', 'hypoglycaemia'],
    ],
    [
      'diabetes-feeling',
      'Less feeling in feet or hands',
      'neuropathy',
      'Do your feet or hands feel less than they used to?',
      ['diabetic neuropathy', 'numb feet', 'numbness', 'peripheral neuropathy', 'tingling feet'],
    ],
    [
      'fatigue',
      'An illness of exhaustion',
      'ME/CFS, long covid, fibromyalgia',
      'Do you have an illness that exhausts you after effort?',
      ['chronic fatigue', 'ME', 'CFS', 'long covid', 'fibromyalgia', 'post-viral'],
    ],
  ),
  ...of(
    'today',
    [
      'heavy-meal',
      'A heavy meal today',
      'eaten within two hours',
      'Have you eaten in the last two hours?',
      ['full stomach', 'ate a lot', 'just eaten'],
    ],
    [
      'menstruation',
      'Period',
      'menstruation',
      'Would you like it quieter during your period?',
      ['menstruating', 'time of the month', 'cramps', 'endometriosis'],
    ],
  ),
];
