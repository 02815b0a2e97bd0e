import type { Position } from '#core/catalogue';
import type { PropKind, PropPlace, SetUpRow } from '#core/props';

/** Why a prop usually lies at a place, in a few words; an entry says it where its own reason is another. */
const BY_PLACE: Record<PropPlace, string> = {
  head: 'keeps the chin no higher than the forehead',
  forehead: 'gives the head a rest, so the neck can let go',
  neck: 'fills the curve of the neck',
  shoulders: 'lifts the chest without effort',
  upperBack: 'makes a slope for the back to lean on',
  spine: 'supports the back and opens the chest',
  chest: 'supports the trunk, so nothing has to hold it up',
  chestToCollarbones: 'supports the chest while the forehead comes down to the mat',
  belly: 'supports the belly and ribs',
  onBelly: 'a gentle weight that rises with the breath',
  waist: 'fills the curve of the waist',
  lowBack: 'fills the hollow of the low back',
  sacrum: 'supports the pelvis',
  seat: 'tips the pelvis forward, so the back can lengthen',
  hip: 'keeps the hips level',
  thighs: 'supports the legs, so the hips can let go',
  onThighs: 'brings support up to the chest and head',
  betweenThighs: 'gives the thighs something to hold',
  knees: 'supports the knees, so the low back can settle',
  betweenKnees: 'keeps the upper hip level with the lower one',
  shins: 'pads the shins and feet',
  onShins: 'a gentle weight',
  calves: 'supports the lower legs',
  ankles: 'makes room for the feet, so the shins can rest',
  betweenHeels: 'keeps the feet hip-width apart',
  soles: 'gives the feet something to press against',
  underFeet: 'for feet that do not reach the floor',
  onFeet: 'a gentle weight, and warmth',
  feet: 'for hands that do not reach the foot',
  arms: 'supports the arms, so the shoulders can let go',
  hands: 'brings the floor up to the hands',
  eyes: 'darkness, and a light weight',
  cover: 'keeps the body warm: it cools down in a long rest',
  legs: 'supports the legs, so nothing has to hold them up',
  behind: 'something to lean on',
  alongSides: 'a border on both sides, and a rest for the arms',
};

/** Where the way one is held in the room gives a place another sense. */
const BY_FAMILY: Partial<Record<Position['family'], Partial<Record<PropPlace, string>>>> = {
  kneeling: {
    knees: 'pads the knees',
    seat: 'takes weight off the knees and ankles',
    hip: 'keeps the pelvis level',
  },
  prone: { hip: 'pads the front of the hips', knees: 'lifts the thigh a little' },
  standing: { ankles: 'brings the floor up to the heels', seat: 'takes some of the weight' },
  seated: { knees: 'supports the knee, so the leg can let go', hip: 'levels the sitting bones' },
};

const BANDS: Partial<Record<PropPlace, string>> = {
  hands: 'lengthens the arms',
  thighs: 'keeps the knees together without effort',
  calves: 'keeps the legs together without effort',
  shins: 'keeps the legs together without effort',
};
/** And where the prop does. */
const BY_KIND: Partial<Record<PropKind, Partial<Record<PropPlace, string>>>> = {
  chair: { seat: 'brings the seat up to knee height', hands: 'brings the floor up to the hands' },
  wall: { hands: 'something steady to press into' },
  strap: BANDS,
  belt: BANDS,
};

/** The usual reason for a prop at its place in a family of positions. */
export const usualWhy = ({ kind, place }: Pick<SetUpRow, 'kind' | 'place'>, family: Position['family']): string =>
  BY_KIND[kind]?.[place] ?? BY_FAMILY[family]?.[place] ?? BY_PLACE[place];
