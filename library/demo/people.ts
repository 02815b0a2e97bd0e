import { BREATHERS, simulatedBreather, type Breather, type BreathMeasure } from '#core/breath';
import { newPerson, type Person } from '#core/people';

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

/** Three people of the hall's groups, with how they breathe when it is easy. */
export const demoPeople: readonly DemoPerson[] = [
  {
    id: 'demo-ines',
    person: {
      ...newPerson('Ines Harrowgate'),
      note: 'Choir singers, second row. Likes to hold longer than she needs.',
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
      note: 'Potters. Shoulders forward after a day at the wheel.',
      keepInMind: [{ id: 'odo-a', words: 'left knee: a blanket behind it', asks: ['deepKneeBend'] }],
      breaths: [measured('odo-1', '2026-11-14T10:40', steady, 8)],
    },
  },
  {
    id: 'demo-bryony',
    person: {
      ...newPerson('Bryony Skerne'),
      note: 'Night-shift nurses. No holding: blood pressure, under treatment.',
      keepInMind: [
        { id: 'bryony-a', words: 'breath without holding', asks: ['holdFull', 'holdEmpty'] },
        { id: 'bryony-b', words: 'head high, up slowly', asks: ['headBelowHeart', 'inversion', 'flatSupine'] },
      ],
      breaths: [measured('bryony-1', '2026-11-19T17:50', short, 11)],
    },
  },
];
