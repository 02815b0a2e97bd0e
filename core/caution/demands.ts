import { BREATH_TRAIT_WORDS, TRAIT_WORDS } from '#core/catalogue';
import type { StepTrait } from '#core/people';

/** What is never stated of an entry: it is measured on the figure, or read from the set-up. */
export const MEASURED_TRAITS = [
  'hipFold',
  'hipExtended',
  'hipsHigh',
  'spineRounded',
  'legsStretched',
  'loadedTwist',
  'bellyFolded',
  'longLegsFlat',
  'legsOpen',
  'faceDown',
  'standingStill',
  'bellyWeighed',
  'eyesCovered',
  'foreheadPressed',
  'strappedIn',
] as const;

/** What a rule can look at: what entries state of themselves, and what is measured or read from a set-up. */
export type CautionTrait = StepTrait | (typeof MEASURED_TRAITS)[number];

/** Demands in words: `Head below the heart`. */
export const CAUTION_TRAIT_WORDS: Record<CautionTrait, string> = {
  ...TRAIT_WORDS,
  ...BREATH_TRAIT_WORDS,
  hipFold: 'Hips folded far',
  hipExtended: 'Thigh behind the body',
  hipsHigh: 'Hips above the heart',
  spineRounded: 'Back rounded',
  legsStretched: 'Back of the legs stretched',
  loadedTwist: 'Twist under load',
  bellyFolded: 'Belly pressed by the thighs',
  longLegsFlat: 'Flat with straight legs',
  legsOpen: 'Legs wide open',
  faceDown: 'Face to the floor',
  standingStill: 'Standing still',
  bellyWeighed: 'Weight on the belly',
  eyesCovered: 'Eyes covered',
  foreheadPressed: 'Forehead on a prop',
  strappedIn: 'Strapped in',
};

/**
 * What a step demands of a body, and how much, in the unit of the trait (`TRAIT_UNITS`). Infinity if it is stated, not
 * measured: it then meets any threshold.
 */
export type Demands = ReadonlyMap<CautionTrait, number>;

/** The units of what is measured or counted. */
export const TRAIT_UNITS: Partial<Record<CautionTrait, string>> = {
  headBelowHeart: 'cm',
  inversion: 'cm',
  hipsHigh: 'cm',
  flatSupine: '°',
  deepKneeBend: '°',
  hipFold: '°',
  hipExtended: '°',
  spineRounded: '°',
  legsStretched: '°',
  backBend: '°',
  bellyFolded: '°',
  armsOverhead: '°',
  longUnmovingHold: 's',
  standingStill: 's',
  holdFull: 's',
  holdEmpty: 's',
  strokes: 'pumps',
  fast: 'a minute',
};

/**
 * From how much on a measured demand is watched, changed and avoided. A rule that says `avoid` says so from the last on,
 * and less before it; nothing turns from harmless to forbidden at one centimetre. What is below the first is no demand.
 * The figures are rules of thumb as teachers hand them on, set wide enough that a better way is better by a margin.
 */
export const FROM = {
  headBelowHeart: { watch: 6, change: 7, avoid: 10 },
  /** The lower ankle over the heart: calves on a chair are at 60, legs up a wall at 88. */
  inversion: { watch: 64, change: 68, avoid: 72 },
  hipsHigh: { watch: 8, change: 10, avoid: 20 },
  /** A right angle less the slope of the trunk: a trunk under 30° is flat. */
  flatSupine: { watch: 57, change: 60, avoid: 60 },
  deepKneeBend: { watch: 105, change: 115, avoid: 135 },
  hipFold: { watch: 93, change: 98, avoid: 108 },
  hipExtended: { watch: 12, change: 18, avoid: 22 },
  spineRounded: { watch: 15, change: 20, avoid: 35 },
  /** The fold of a hip less the bend of its knee: a seat with straight legs is at 85, a fold over them at 103 to 116. */
  legsStretched: { watch: 70, change: 92, avoid: 112 },
  backBend: { watch: 1, change: 20, avoid: 45 },
  bellyFolded: { watch: 105, change: 112, avoid: 120 },
  armsOverhead: { watch: 130, change: 140, avoid: 150 },
  holdFull: { watch: 3, change: 4, avoid: 4 },
  holdEmpty: { watch: 3, change: 4, avoid: 4 },
} as const satisfies Partial<Record<CautionTrait, Record<'watch' | 'change' | 'avoid', number>>>;

/** From how much on a demand is watched, changed and avoided; undefined for what is there or is not. */
export const gradesOf = (trait: CautionTrait): Record<'watch' | 'change' | 'avoid', number> | undefined =>
  trait in FROM ? FROM[trait as keyof typeof FROM] : undefined;

/** By how much less a way out has to demand: who measures anew, or lies a little otherwise, is not over the limit again. */
export const MARGIN: Record<keyof typeof FROM, number> = {
  headBelowHeart: 2,
  inversion: 3,
  hipsHigh: 2,
  flatSupine: 3,
  deepKneeBend: 4,
  hipFold: 3,
  hipExtended: 2,
  spineRounded: 2,
  legsStretched: 3,
  backBend: 0,
  bellyFolded: 3,
  armsOverhead: 4,
  holdFull: 0.5,
  holdEmpty: 0.5,
};

/** What a whole class demands: in seconds, but pumps by their number and getting up by how often. */
export const SESSION_DEMANDS = [
  'flatRest',
  'strokes',
  'retention',
  'gettingUp',
  'fromFloor',
  'eyesClosed',
  'prone',
  'length',
] as const;
export type SessionDemand = (typeof SESSION_DEMANDS)[number];
