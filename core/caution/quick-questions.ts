import type { TRAITS } from '#core/catalogue';

type Stated = (typeof TRAITS)[number];

/** How one is in a custom hold: the first of three quick questions. */
export const LYING_HOW = ['back', 'front', 'side', 'sitting', 'kneeling', 'standing'] as const;
/** What bears weight in it, beyond what one lies, sits or stands on. */
export const WEIGHT_ON = ['hands', 'knees', 'neck', 'roundedBack'] as const;

/** The answers to the three quick questions that make a custom hold one that can be screened. */
export interface QuickAnswers {
  how: (typeof LYING_HOW)[number];
  headLow: boolean;
  weight: readonly (typeof WEIGHT_ON)[number][];
}

const HOW_DEMANDS: Record<QuickAnswers['how'], readonly Stated[]> = {
  back: ['flatSupine'],
  front: ['prone'],
  side: [],
  sitting: [],
  kneeling: ['deepKneeBend', 'anklesStretched'],
  standing: [],
};
const WEIGHT_DEMANDS: Record<QuickAnswers['weight'][number], Stated> = {
  hands: 'handsBear',
  knees: 'kneesBear',
  neck: 'neckLoad',
  roundedBack: 'loadedSpinalFold',
};

/** What a hold demands by the answers: each demand once. */
export const demandsOfAnswers = ({ how, headLow, weight }: QuickAnswers): Stated[] => [
  ...HOW_DEMANDS[how],
  ...(headLow ? (['headBelowHeart'] as const) : []),
  ...weight.map((one) => WEIGHT_DEMANDS[one]),
];

/** The answers that demands were given by; where several ways of lying come to the same, sitting. */
export function answersOfDemands(demands: readonly Stated[]): QuickAnswers {
  const how = (['back', 'front', 'kneeling'] as const).find((one) =>
    HOW_DEMANDS[one].every((demand) => demands.includes(demand)),
  );
  return {
    how: how ?? 'sitting',
    headLow: demands.includes('headBelowHeart'),
    weight: WEIGHT_ON.filter((one) => demands.includes(WEIGHT_DEMANDS[one])),
  };
}
