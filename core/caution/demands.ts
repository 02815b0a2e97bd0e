import { BREATH_TRAIT_WORDS, TRAIT_WORDS } from '#core/catalogue';
import type { StepTrait } from '#core/people';

/** What a rule can look at: what entries state of themselves, and the fold of the hips, which is only measured. */
export type CautionTrait = StepTrait | 'hipFold';

/** Demands in words: `Head below the heart`. */
export const CAUTION_TRAIT_WORDS: Record<CautionTrait, string> = {
  ...TRAIT_WORDS,
  ...BREATH_TRAIT_WORDS,
  hipFold: 'Hips folded far',
};

/**
 * What a step demands of a body, and how much, in the unit of the trait (`TRAIT_UNITS`). Infinity if it is stated, not
 * measured: it then meets any threshold.
 */
export type Demands = ReadonlyMap<CautionTrait, number>;

/** The units of what is measured or counted. */
export const TRAIT_UNITS: Partial<Record<CautionTrait, string>> = {
  headBelowHeart: 'cm',
  deepKneeBend: '°',
  hipFold: '°',
  armsOverhead: '°',
  longUnmovingHold: 's',
  holdFull: 's',
  holdEmpty: 's',
  strokes: 'strokes',
  fast: 'a minute',
};

/** What a whole class demands: in seconds, but pumps by their number and getting up by how often. */
export const SESSION_DEMANDS = ['flatRest', 'strokes', 'retention', 'gettingUp', 'prone', 'length'] as const;
export type SessionDemand = (typeof SESSION_DEMANDS)[number];
