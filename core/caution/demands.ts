import { BREATH_TRAIT_WORDS, TRAIT_WORDS } from '#core/catalogue';
import type { StepTrait } from '#core/people';

/** What a rule can look at: what entries state of themselves, and the fold of the hips, which is only measured. */
export type CautionTrait = StepTrait | 'hipFold';

/** What is asked, in words: `Head below the heart`. */
export const CAUTION_TRAIT_WORDS: Record<CautionTrait, string> = {
  ...TRAIT_WORDS,
  ...BREATH_TRAIT_WORDS,
  hipFold: 'Hips folded far',
};

/**
 * What a step asks of a body, and how much of it, in the unit of the trait (`TRAIT_UNITS`). Infinity where it is stated,
 * not measured: however much a rule asks for, it is taken to be there.
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

/** What a whole class asks: in seconds, but strokes by their number and getting up by how often. */
export const SESSION_DEMANDS = ['flatRest', 'strokes', 'retention', 'gettingUp', 'prone', 'length'] as const;
export type SessionDemand = (typeof SESSION_DEMANDS)[number];
