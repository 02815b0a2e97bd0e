import type { Position } from '#core/catalogue';
import type { PropKind, PropPlace, SetUpRow } from '#core/props';

/** Why a prop usually lies at a place, in a few words; an entry says it where its own reason is another. */
const BY_PLACE: Record<PropPlace, string> = {
  head: 'chin no higher than the brow',
  forehead: 'the head rests, so the back of the neck lets go',
  neck: 'fills the curve of the neck',
  shoulders: 'lifts the chest without work',
  upperBack: 'makes the slope the back leans on',
  spine: 'carries the back and opens the chest',
  chest: 'carries the trunk, so nothing has to hold it',
  chestToCollarbones: 'carries the chest, and the forehead comes down to the mat',
  belly: 'carries belly and ribs',
  onBelly: 'a quiet weight that the breath lifts',
  waist: 'fills the curve of the waist',
  lowBack: 'fills the hollow of the low back',
  sacrum: 'carries the pelvis',
  seat: 'tips the pelvis forward, so the back can be long',
  hip: 'keeps the hips level',
  thighs: 'holds the legs, so the hips need not',
  onThighs: 'brings the floor nearer to chest and head',
  betweenThighs: 'gives the thighs something to hold',
  knees: 'the knees are held, so the low back lies down',
  betweenKnees: 'keeps the upper hip level with the lower',
  shins: 'soft under shins and feet',
  onShins: 'a quiet weight',
  calves: 'carries the lower legs',
  ankles: 'room for the feet, so the shins lie down',
  betweenHeels: 'keeps the feet as far apart as the hips',
  soles: 'something to press against',
  underFeet: 'the feet do not reach the floor by themselves',
  onFeet: 'a quiet weight, and warmth',
  feet: 'reaches the foot where the hands do not',
  arms: 'carries the arms, so the shoulders let go',
  hands: 'brings the floor up to the hands',
  eyes: 'dark, and a light weight',
  cover: 'warmth: the body cools in a long rest',
  legs: 'carries the legs, so nothing has to hold them',
  behind: 'something to lean on',
  alongSides: 'a border on both sides, and something for the arms to rest on',
};

/** Where the way one is held in the room gives a place another sense. */
const BY_FAMILY: Partial<Record<Position['family'], Partial<Record<PropPlace, string>>>> = {
  kneeling: { knees: 'soft under the knees', seat: 'takes weight off knees and ankles', hip: 'keeps the pelvis level' },
  prone: { hip: 'soft under the front of the hips', knees: 'lifts the thigh a little' },
  standing: { ankles: 'brings the floor up to the heels', seat: 'carries some of the weight' },
  seated: { knees: 'the knee is held, so the leg can let go', hip: 'brings both sitting bones level' },
};

/** And where the prop does. */
const BY_KIND: Partial<Record<PropKind, Partial<Record<PropPlace, string>>>> = {
  chair: { seat: 'brings the seat up to the height of the knees', hands: 'brings the floor up to the hands' },
  wall: { hands: 'something steady to press' },
  strap: {
    hands: 'makes the arms longer',
    thighs: 'the knees need not be held',
    calves: 'the legs stay together by themselves',
  },
};

/** The usual reason for a prop at its place in a family of positions. */
export const usualWhy = ({ kind, place }: Pick<SetUpRow, 'kind' | 'place'>, family: Position['family']): string =>
  BY_KIND[kind]?.[place] ?? BY_FAMILY[family]?.[place] ?? BY_PLACE[place];
