import { isBand, type Sized } from './kinds';

/** Where a prop goes at the body, as the words that follow the prop's name in a set-up row; bands have others. */
export const PROP_PLACES = {
  head: 'under the head',
  forehead: 'under the forehead',
  neck: 'under the neck',
  shoulders: 'under the shoulders',
  upperBack: 'under the upper back',
  spine: 'along the spine',
  chest: 'under the chest',
  chestToCollarbones: 'under the chest, up to the collarbones',
  belly: 'under the belly',
  onBelly: 'on the belly',
  waist: 'under the waist',
  lowBack: 'under the low back',
  sacrum: 'under the sacrum',
  seat: 'under the seat',
  hip: 'under the hip',
  thighs: 'under the thighs',
  onThighs: 'on the thighs',
  betweenThighs: 'between the thighs',
  knees: 'under the knees',
  betweenKnees: 'between the knees',
  shins: 'under the shins',
  onShins: 'on the shins',
  calves: 'under the calves',
  ankles: 'under the ankles',
  betweenHeels: 'between the heels',
  soles: 'against the soles',
  underFeet: 'under the feet',
  onFeet: 'on the feet',
  feet: 'round the feet',
  arms: 'under the arms',
  hands: 'under the hands',
  eyes: 'over the eyes',
  cover: 'over the body',
  legs: 'behind the legs',
  behind: 'behind the back',
  alongSides: 'along the sides',
} as const;

export type PropPlace = keyof typeof PROP_PLACES;

export const PROP_PLACE_NAMES = Object.keys(PROP_PLACES) as [PropPlace, ...PropPlace[]];

/** Where a strap, a belt or a cord is, where it is not simply round what lies there. */
const BAND_WORDS: Partial<Record<PropPlace, string>> = {
  hands: 'from hand to hand',
  belly: 'round the waist',
  onBelly: 'round the waist',
  lowBack: 'round the waist',
  sacrum: 'round the hips',
  seat: 'round the hips',
  hip: 'round the hips',
  calves: 'round the shins',
  underFeet: 'round the feet',
  spine: 'round the ribs',
  chest: 'round the ribs',
  chestToCollarbones: 'round the ribs',
  alongSides: 'round the body',
  betweenKnees: 'round the knees',
  betweenThighs: 'round the thighs',
  betweenHeels: 'round the heels',
  cover: 'round the body',
  eyes: 'over the eyes',
};

/** Where a piece is, as the words that follow its name: a strap is `round the thighs`, a bolster `under the thighs`. */
export function placeInWords(piece: Pick<Sized, 'kind' | 'state'>, place: PropPlace): string {
  const words = PROP_PLACES[place];
  if (!isBand(piece)) return words;
  return BAND_WORDS[place] ?? words.replace(/^(under|on|against|behind) /, 'round ');
}

/** The places a piece can be put, the one it is at now among them, each said in its own words only once. */
export function placesFor(piece: Pick<Sized, 'kind' | 'state'>, now: PropPlace): PropPlace[] {
  const taken = new Map<string, PropPlace>();
  for (const place of PROP_PLACE_NAMES) {
    const words = placeInWords(piece, place);
    // A place that is called so for everything comes before one that is called so for a strap alone.
    if (!taken.has(words) || PROP_PLACES[place] === words) taken.set(words, place);
  }
  taken.set(placeInWords(piece, now), now);
  return PROP_PLACE_NAMES.filter((place) => taken.get(placeInWords(piece, place)) === place);
}
