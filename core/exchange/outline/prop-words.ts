import { PROP_PLACES, type KnownKind, type PropPlace } from '#core/props';

/** How a kind of prop is written, with the fold or face that a name brings along; those that hold others first. */
export const KIND_FORMS: readonly { pattern: string; kind: KnownKind; state?: string; plural?: true }[] = [
  { pattern: 'weighted blankets?', kind: 'weightedBlanket' },
  { pattern: 'half[- ]?moons?(?: cushions?)?', kind: 'halfMoon' },
  { pattern: 'round bolsters?', kind: 'roundBolster' },
  { pattern: 'eye (?:pillows?|bags?|covers?)|eye ?bags?', kind: 'eyePillow' },
  { pattern: '(?:soft|head) rings?', kind: 'headRing' },
  { pattern: 'blanket rolls?|(?:rolled|rolled[- ]up) blankets?', kind: 'blanket', state: 'rolled' },
  { pattern: '(?:rolled|rolled[- ]up) towels?|towel rolls?', kind: 'towel', state: 'rolled' },
  { pattern: 'folded pillows?', kind: 'pillow', state: 'folded' },
  { pattern: 'folded blankets?', kind: 'blanket', state: 'basic' },
  { pattern: 'blankets?', kind: 'blanket' },
  { pattern: 'bolsters?', kind: 'flatBolster' },
  { pattern: 'blocks?|bricks?', kind: 'block' },
  { pattern: 'belts? or cords?|belts?|dressing[- ]gown cords?|cords?', kind: 'belt' },
  { pattern: 'straps?', kind: 'strap' },
  { pattern: 'cushions?', kind: 'cushion' },
  { pattern: 'pillows?', kind: 'pillow' },
  { pattern: 'chairs?', kind: 'chair' },
  { pattern: 'sand ?bags?', kind: 'sandbag' },
  { pattern: 'towels?', kind: 'towel' },
  { pattern: 'thick books?|books?', kind: 'book' },
  { pattern: 'sticks?|broom ?sticks?', kind: 'stick' },
  { pattern: 'scar(?:f|fs|ves)', kind: 'scarf' },
  { pattern: 'walls?', kind: 'wall' },
];

/** Kinds whose names are long enough to be known with a letter or two wrong. */
export const LONG_KIND_NAMES: readonly (readonly [string, KnownKind])[] = [
  ['bolster', 'flatBolster'],
  ['bolsters', 'flatBolster'],
  ['blanket', 'blanket'],
  ['blankets', 'blanket'],
  ['cushion', 'cushion'],
  ['pillow', 'pillow'],
  ['sandbag', 'sandbag'],
];

/** What people call a fold or a face besides its own label. */
export const STATE_FORMS: Partial<Record<KnownKind, readonly (readonly [string, string])[]>> = {
  block: [
    ['on (?:its|their|the) edge|edge|on (?:its|their) side|medium', 'edge'],
    ['standing|upright|tall|highest?', 'tall'],
    ['flat|lowest?', 'flat'],
  ],
  blanket: [
    ['basic fold|folded', 'basic'],
    ['long half', 'longHalf'],
    ['long thirds', 'longThirds'],
    ['quarter fold|folded small', 'quarter'],
    ['rolled(?: up)?', 'rolled'],
    ['open|unfolded', 'open'],
  ],
  pillow: [['folded in two|folded', 'folded']],
  strap: [
    ['in a loop|looped', 'loop'],
    ['open', 'open'],
  ],
  chair: [
    ['turned sideways|sideways', 'sideways'],
    ['upright', 'upright'],
  ],
  weightedBlanket: [
    ['open', 'open'],
    ['folded', 'folded'],
  ],
  towel: [
    ['folded flat|folded', 'folded'],
    ['rolled(?: up)?', 'rolled'],
  ],
  scarf: [
    ['folded', 'folded'],
    ['open', 'open'],
  ],
};

/** The places as Zovrin writes them, the longest first. */
export const PLACE_PHRASES: readonly (readonly [string, PropPlace])[] = (
  Object.entries(PROP_PLACES) as [PropPlace, string][]
)
  .map(([place, words]) => [words, place] as const)
  .sort(([a], [b]) => b.length - a.length);

type How = 'under' | 'between' | 'on' | 'along' | 'behind' | 'against' | 'round' | 'over';
/** The words for how a prop is to a part of the body. */
export const HOW_FORMS: readonly (readonly [string, How])[] = [
  ['underneath|under|beneath|below|supporting|for|at|to', 'under'],
  ['between|betw\\.?|btwn?\\.?|b\\/w|in between', 'between'],
  ['on top of|on', 'on'],
  ['over|across', 'over'],
  ['along', 'along'],
  ['behind', 'behind'],
  ['against', 'against'],
  ['around|round', 'round'],
];

/** Parts of the body as people write them, the longest first, with where a prop is by how it is to them. */
export const PART_FORMS: readonly {
  pattern: string;
  under: PropPlace;
  others?: Partial<Record<How, PropPlace>>;
  /** A word for a whole region: where in it a prop lies, the position says. */
  vague?: true;
}[] = [
  { pattern: 'upper back|shoulder ?blades|mid(?:dle)? back', under: 'upperBack' },
  { pattern: 'low(?:er)? back|lumbar', under: 'lowBack', others: { behind: 'behind' } },
  { pattern: 'foreheads?|brow', under: 'forehead' },
  { pattern: 'heads?', under: 'head' },
  { pattern: 'necks?', under: 'neck' },
  { pattern: 'shoulders?', under: 'shoulders' },
  { pattern: 'spine', under: 'spine', others: { along: 'spine' } },
  { pattern: 'backs?', vague: true, under: 'upperBack', others: { along: 'spine', behind: 'behind' } },
  { pattern: 'chest|torso|breastbone|sternum', under: 'chest' },
  { pattern: 'belly|tummy|abdomen|stomach', under: 'belly', others: { on: 'onBelly', over: 'onBelly' } },
  { pattern: 'waist', under: 'waist' },
  { pattern: 'sacrum|pelvis|tailbone', under: 'sacrum' },
  { pattern: 'sit(?:ting)? ?bones|seat|bottom|bum|buttocks', under: 'seat' },
  { pattern: 'hips', vague: true, under: 'seat' },
  { pattern: 'hip', under: 'hip' },
  { pattern: 'thighs?', under: 'thighs', others: { on: 'onThighs', over: 'onThighs', between: 'betweenThighs' } },
  { pattern: 'knees?', under: 'knees', others: { between: 'betweenKnees' } },
  { pattern: 'shins?', under: 'shins', others: { on: 'onShins', over: 'onShins' } },
  { pattern: 'calves|calf', under: 'calves' },
  {
    pattern: 'legs?',
    vague: true,
    under: 'calves',
    others: { behind: 'legs', between: 'betweenKnees', over: 'onThighs', on: 'onThighs' },
  },
  { pattern: 'ankles?', under: 'ankles', others: { between: 'betweenHeels' } },
  { pattern: 'heels', under: 'ankles', others: { between: 'betweenHeels' } },
  { pattern: 'soles?', under: 'underFeet', others: { against: 'soles' } },
  {
    pattern: 'feet|foot',
    under: 'underFeet',
    others: { on: 'onFeet', over: 'onFeet', round: 'feet', against: 'soles', between: 'betweenHeels' },
  },
  { pattern: 'elbows?|arms?|forearms?', under: 'arms' },
  { pattern: 'hands?', under: 'hands' },
  { pattern: 'eyes', under: 'eyes', others: { on: 'eyes', over: 'eyes' } },
  { pattern: 'body', under: 'cover', others: { on: 'cover', over: 'cover' } },
];

/** Places that people call by the same word: which of them is meant, the position says. */
export const NEAR_PLACES: readonly (readonly PropPlace[])[] = [
  ['seat', 'hip', 'sacrum', 'lowBack'],
  ['upperBack', 'spine', 'shoulders', 'behind', 'chest'],
  ['chest', 'chestToCollarbones', 'belly'],
  ['head', 'forehead', 'neck'],
  ['calves', 'knees', 'thighs', 'shins', 'legs'],
  ['underFeet', 'onFeet', 'feet', 'soles', 'ankles'],
];
