import type { Position } from './position';
import type { Technique } from './technique';

/** What a position demands of a body, in words. */
export const TRAIT_WORDS: Record<Position['traits'][number], string> = {
  headBelowHeart: 'Head below the heart',
  prone: 'Face down',
  flatSupine: 'Flat on the back',
  deepKneeBend: 'Deep knee bend',
  loadedSpinalFold: 'Back rounded under load',
  endRangeHip: 'Hips at end range',
  backBend: 'Back bend',
  twist: 'Twist',
  neckLoad: 'Weight on the neck',
  armsOverhead: 'Arms overhead',
  inversion: 'Legs above the heart',
  longUnmovingHold: 'Long and still',
  handsBear: 'Weight on the hands',
  kneesBear: 'Weight on the knees',
  anklesStretched: 'Tops of the feet stretched',
  shoulderLoaded: 'Shoulder under load or at its end',
  closedTwist: 'Closed twist, belly pressed',
};

/** What a technique demands of a body, in words. */
export const BREATH_TRAIT_WORDS: Record<Technique['traits'][number], string> = {
  holdFull: 'Breath held in',
  holdEmpty: 'Breath held out',
  strokes: 'Pumps',
  fast: 'Fast breathing',
  nostrils: 'Clear nose needed',
  bellyPressed: 'Belly pressed in',
  cooling: 'Cooling',
  sound: 'Sound',
  neckBent: 'Neck bent',
  handOnFace: 'A hand on the face',
};
