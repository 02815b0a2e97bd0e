/** What a class should know before something else comes, and why. */
export interface Prerequisite {
  /** Ids of library entries. */
  knows: readonly string[];
  /** Of a position; what a technique comes after, it says itself (`gates`). */
  reason?: string;
}

/**
 * The order in which teachers bring positions and techniques, where it matters: what is strong, or what joins two
 * things, comes after the gentler one, or after both. Our own, after common practice in yin, restorative and breath
 * classes, and for techniques after what they say themselves; a teacher may overrule each of them.
 */
export const PREREQUISITES: Readonly<Record<string, Prerequisite>> = {
  seal: { knows: ['sphinx'], reason: 'It bends the low back further than Sphinx.' },
  'swan-twisted': { knows: ['sleeping-swan'], reason: 'The twist comes on top of what the hip does there.' },
  'swan-upright': { knows: ['sleeping-swan'], reason: 'Folded, the hip is loaded less than upright.' },
  'dragon-splits': { knows: ['lunge-hands-inside'], reason: 'It goes further than the lunge, with less support.' },
  'lunge-forearms': { knows: ['lunge-hands-inside'], reason: 'It goes deeper than on the hands.' },
  'reclined-kneeling': {
    knows: ['kneeling-seat', 'reclined-half-kneeling'],
    reason: 'Both knees are bent under weight; one at a time shows what they allow.',
  },
  'half-lotus': { knows: ['easy-seat'], reason: 'The hips have to open first, or the knees pay for it.' },
  snail: { knows: ['legs-up-wall'], reason: 'Upside down comes gently first; here the neck bears weight.' },
  'half-plough-on-chair': { knows: ['legs-up-wall'], reason: 'Upside down comes gently first.' },
  'crossed-twist': { knows: ['reclined-twist'], reason: 'The crossed legs pull the twist further.' },
  camel: { knows: ['sphinx'], reason: 'A back-bend that is lain in comes before one that is held up.' },
  bow: { knows: ['sphinx', 'locust'], reason: 'The back lifts and bends at the same time.' },
  frog: { knows: ['butterfly-fold'], reason: 'The inner thighs are stretched under the weight of the hips.' },
  'cow-face-arms': { knows: ['eagle-arms'], reason: 'The shoulders turn further than there.' },
  'humming-ears-closed': { knows: ['humming'] },
  'hold-full': { knows: ['long-out-breath'] },
  'hold-empty': { knows: ['hold-full'] },
  'box-breathing': { knows: ['hold-full', 'hold-empty'] },
  'alternate-with-hold': { knows: ['alternate-nostrils', 'hold-full'] },
  'right-in-left-out': { knows: ['alternate-nostrils'] },
  'left-in-right-out': { knows: ['alternate-nostrils'] },
  'interrupted-both': { knows: ['interrupted-in', 'interrupted-out'] },
  bellows: { knows: ['belly-strokes'] },
  'chin-lock': { knows: ['hold-full'] },
  'root-lock': { knows: ['hold-full'] },
  'belly-pulses': { knows: ['hold-empty'] },
  'great-lock': { knows: ['chin-lock', 'root-lock', 'hold-empty'] },
};

/** What comes before an entry; nothing where none is usual. */
export const prerequisiteOf = (id: string): Prerequisite | undefined => PREREQUISITES[id];
