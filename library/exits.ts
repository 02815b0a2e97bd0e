import type { Position } from '#core/catalogue';

/** A usual way of coming out of a position, beside the one that its entry describes. */
export interface Exit {
  id: string;
  /** In a few words: `Head first, with a long back`. */
  name: string;
  lines: readonly string[];
}

const FROM_A_FOLD: readonly Exit[] = [
  {
    id: 'roll-up',
    name: 'Rolling up from the tailbone',
    lines: ['Let the chin sink to the chest.', 'Roll up from the tailbone, bone by bone; the head comes last.'],
  },
  {
    id: 'head-first',
    name: 'Head first, with a long back',
    lines: ['Hands on the floor under the shoulders.', 'Lift the head first, and come up with a long back.'],
  },
];
const FROM_THE_BACK: readonly Exit[] = [
  {
    id: 'over-the-side',
    name: 'Over the side',
    lines: ['Bend the knees and roll to one side.', 'Rest there for some breaths, then press up with both hands.'],
  },
  {
    id: 'hold-a-thigh',
    name: 'Sitting up, hands behind the thighs',
    lines: ['Bend the knees and hold the backs of the thighs.', 'Draw the chin in and rock up to sit.'],
  },
];
const FROM_THE_FRONT: readonly Exit[] = [
  {
    id: 'through-child',
    name: 'Through child’s pose',
    lines: ['Hands under the shoulders.', 'Press back onto the heels, and rest there for some breaths.'],
  },
  {
    id: 'over-the-side',
    name: 'Over the side',
    lines: [
      'Bend one knee out and roll onto that side.',
      'Rest there for some breaths, then press up with both hands.',
    ],
  },
];

/** The usual ways of coming out of a position that can be chosen for it. */
export function exitsOf({ family, traits }: Pick<Position, 'family' | 'traits'>): readonly Exit[] {
  if (family === 'supine' || family === 'wall' || family === 'sideLying') return FROM_THE_BACK;
  if (family === 'prone') return FROM_THE_FRONT;
  return traits.includes('loadedSpinalFold') ? FROM_A_FOLD : [];
}
