/** Where a prop goes at the body, as the words that follow the prop's name in a set-up row. */
export const PROP_PLACES = {
  head: 'under the head',
  forehead: 'under the forehead',
  neck: 'under the neck',
  shoulders: 'under the shoulders',
  upperBack: 'under the upper back',
  spine: 'along the spine',
  chest: 'under the chest',
  belly: 'under the belly',
  onBelly: 'on the belly',
  lowBack: 'under the low back',
  sacrum: 'under the sacrum',
  seat: 'under the seat',
  hip: 'under the hip',
  thighs: 'under the thighs',
  onThighs: 'on the thighs',
  knees: 'under the knees',
  betweenKnees: 'between the knees',
  shins: 'under the shins',
  onShins: 'on the shins',
  calves: 'under the calves',
  ankles: 'under the ankles',
  soles: 'against the soles',
  underFeet: 'under the feet',
  feet: 'round the feet',
  arms: 'under the arms',
  hands: 'under the hands',
  eyes: 'over the eyes',
  cover: 'over the body',
  legs: 'behind the legs',
  behind: 'behind the back',
} as const;

export type PropPlace = keyof typeof PROP_PLACES;

export const PROP_PLACE_NAMES = Object.keys(PROP_PLACES) as [PropPlace, ...PropPlace[]];
