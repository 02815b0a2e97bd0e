/** What people come from or go to, as teachers put it when they look for a position. */
export const SITUATIONS = ['onFeet', 'beforeSleep', 'afterTravel', 'desk', 'tiredBack', 'restless'] as const;
export type Situation = (typeof SITUATIONS)[number];

export const SITUATION_WORDS: Readonly<Record<Situation, string>> = {
  onFeet: 'A long day on your feet',
  beforeSleep: 'Before sleep',
  afterTravel: 'After travel',
  desk: 'Desk shoulders',
  tiredBack: 'A tired low back',
  restless: 'Too much going on',
};
