/** What people come from or go to, as teachers put it when they look for a position. */
export const SITUATIONS = ['onFeet', 'beforeSleep', 'afterTravel', 'desk', 'tiredBack', 'restless'] as const;
export type Situation = (typeof SITUATIONS)[number];

export const SITUATION_WORDS: Readonly<Record<Situation, string>> = {
  onFeet: 'After a long day on your feet',
  beforeSleep: 'Before sleep',
  afterTravel: 'After travel',
  desk: 'Shoulders after desk work',
  tiredBack: 'With a tired low back',
  restless: 'With a lot on your mind',
};
