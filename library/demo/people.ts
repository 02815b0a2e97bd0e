import { BREATHERS, simulatedBreather, type Breather, type BreathMeasure } from '#core/breath';
import {
  countedFrom,
  personCondition,
  newGroup,
  newPerson,
  type Group,
  type PersonCondition,
  type Person,
} from '#core/people';

export interface DemoPerson {
  id: string;
  person: Person;
}

const BREATHS = 7;
const HOLDS = 3;

/** A measuring as a simulated breather gives it; `longer` is how much their breath has grown since the first one. */
function measured(id: string, measuredAt: string, breather: Breather, seed: number, longer = 1): BreathMeasure {
  const grown = { ...breather, in: breather.in * longer, out: breather.out * longer, strains: false };
  const someone = simulatedBreather(grown, seed);
  const breaths = Array.from({ length: BREATHS }, () => someone.breath());
  const holds = (kind: 'holdFull' | 'holdEmpty') => Array.from({ length: HOLDS }, () => tidy(someone.hold(kind)));
  const tidy = (seconds: number): number => Math.round(seconds * 100) / 100;
  return {
    id,
    measuredAt,
    in: breaths.map((breath) => tidy(breath.in)),
    out: breaths.map((breath) => tidy(breath.out)),
    holdFull: breather.strains ? [] : holds('holdFull'),
    holdEmpty: breather.strains ? [] : holds('holdEmpty'),
  };
}

const [steady, singer, short] = BREATHERS as [Breather, Breather, Breather];

/** A reported condition; each is reported once, so that its name serves as its id. */
const condition = (of: string, patch: Partial<PersonCondition> = {}): PersonCondition => ({
  ...personCondition(of, of),
  ...patch,
});

/** Three who were measured, with how they breathe when it is easy. */
const MEASURED: readonly DemoPerson[] = [
  {
    id: 'demo-ines',
    person: {
      ...newPerson('Ines Harrowgate'),
      note: 'Second row. Likes to hold longer than she needs.',
      statureCm: 172,
      flexibility: { hipFold: 126, kneeOpening: 80, shoulder: 172 },
      askedOn: '2026-10-06',
      consentOn: '2026-10-06',
      conditions: [condition('migraine')],
      notes: [
        { id: 'n1', on: '2026-10-06', words: 'First evening. Sits high on two blankets and is content.' },
        { id: 'n2', on: '2026-11-03', words: 'Longer out-breath comes by itself; no wish to hold.' },
      ],
      breaths: [
        measured('ines-1', '2026-10-06T19:20', singer, 3, 0.86),
        measured('ines-2', '2026-11-03T19:25', singer, 4, 0.94),
        measured('ines-3', '2026-11-24T19:20', singer, 5),
      ],
    },
  },
  {
    id: 'demo-odo',
    person: {
      ...newPerson('Odo Maplin'),
      note: 'Shoulders forward after a day at the wheel.',
      statureCm: 181,
      flexibility: { hipFold: 96, kneeOpening: 54, shoulder: 140 },
      askedOn: '2026-11-07',
      consentOn: '2026-11-07',
      conditions: [condition('knee', { degree: 'old', note: 'Left. Meniscus, some years ago.' })],
      keepInMind: [{ id: 'odo-a', words: 'left knee: a blanket behind it', asks: ['deepKneeBend'] }],
      breaths: [measured('odo-1', '2026-11-14T10:40', steady, 8)],
    },
  },
  {
    id: 'demo-bryony',
    person: {
      ...newPerson('Bryony Skerne'),
      note: 'No holding: blood pressure, under treatment.',
      askedOn: '2026-10-15',
      consentOn: '2026-10-15',
      contact: 'by the notice board in the staff room',
      emergency: 'Corin Skerne, her brother',
      conditions: [condition('high-pressure', { degree: 'uncontrolled', note: 'New tablets since October.' })],
      notes: [{ id: 'n1', on: '2026-11-19', words: 'Came straight from a double shift; slept in the last rest.' }],
      keepInMind: [
        { id: 'bryony-a', words: 'breath without holding', asks: ['holdFull', 'holdEmpty'] },
        { id: 'bryony-b', words: 'head high, up slowly', asks: ['headBelowHeart', 'inversion', 'flatSupine'] },
      ],
      breaths: [measured('bryony-1', '2026-11-19T17:50', short, 11)],
    },
  },
];

/** Others of a group: a name, and their conditions. */
const of = (
  group: string,
  day: string,
  ...people: readonly (readonly [name: string, ...PersonCondition[]])[]
): DemoPerson[] =>
  people.map(([name, ...conditions], i) => ({
    id: `demo-${group}-${i + 1}`,
    person: { ...newPerson(name), conditions, askedOn: day, consentOn: day },
  }));

const NURSES = of(
  'nurse',
  '2026-10-15',
  ['Hollis Pengarry', condition('pregnancy', { since: countedFrom(24, '2026-11-26') })],
  ['Maren Trice', condition('low-pressure')],
  ['Wilf Addercombe'],
  ['Sunniva Kell', condition('disc-low-back', { degree: 'old' })],
  ['Tamsin Orrin'],
  ['Jory Hathersedge', condition('reflux'), condition('varicose')],
  ['Anneke Dray'],
  ['Peregrine Lusk', condition('panic', { note: 'Near the door, please.' })],
  ['Della Marchbank'],
  ['Isolde Quarry-Fenn'],
  ['Rufus Thale'],
);
const POTTERS = of(
  'potter',
  '2026-11-07',
  ['Greta Sallow', condition('wrist')],
  ['Emrys Cobb', condition('hip-replaced', { since: '2026-03-12' })],
  ['Linnea Farrow'],
  ['Bertil Oake', condition('arthritis', { degree: 'quiet' })],
  ['Una Ketteridge'],
  ['Silas Brome'],
  ['Philippa Wray-Longstaffe'],
  ['Dorrit Maund', condition('osteoporosis', { degree: 'thin' })],
  ['Ivo Straith'],
);
const SINGERS = of(
  'singer',
  '2026-10-06',
  ['Margery Tolland', condition('glaucoma')],
  ['Benedikt Aske', condition('hernia-hiatal')],
  ['Cressida Vane', condition('pregnancy', { since: countedFrom(17, '2026-12-01') })],
  ['Aurelio Pym'],
  ['Nessa Brightwater', condition('asthma', { degree: 'seldom' })],
  ['Torvald Eden', condition('knee-replaced', { since: '2026-08-03', note: 'Right.' })],
  ['Ottilie Marsh'],
  ['Fenwick Garrow', condition('high-pressure', { degree: 'controlled' })],
  ['Idony Hale', condition('shoulder', { degree: 'sore', note: 'Left.' })],
  ['Ambrose Leys'],
  ['Rosalind Teague', { ...condition('in-words'), words: 'a tired thyroid' }],
  ['Caspian Wroe'],
  ['Elfrida Montgomery-Sandringham-Beauchamp'],
);

/** The people of the hall's three groups. */
export const demoPeople: readonly DemoPerson[] = [...MEASURED, ...NURSES, ...POTTERS, ...SINGERS];

export interface DemoGroup {
  id: string;
  group: Group;
}

const idsOf = (people: readonly DemoPerson[]): string[] => people.map(({ id }) => id);

/** Who comes together. */
export const demoGroups: readonly DemoGroup[] = [
  {
    id: 'demo-group-nurses',
    group: {
      ...newGroup('Night-shift nurses'),
      note: 'Before the shift, so nobody should fall fast asleep.',
      members: ['demo-bryony', ...idsOf(NURSES)],
    },
  },
  { id: 'demo-group-potters', group: { ...newGroup('Potters'), members: ['demo-odo', ...idsOf(POTTERS)] } },
  { id: 'demo-group-singers', group: { ...newGroup('Choir singers'), members: ['demo-ines', ...idsOf(SINGERS)] } },
];
