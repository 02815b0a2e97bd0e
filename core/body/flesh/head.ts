import type { Skeleton } from '../skeleton';
import { add, scale, toWorld, type Vec3 } from '../vector';
import type { Add, Cut, Ellipsoid } from './ellipsoid';

type Local = Pick<Ellipsoid, 'part' | 'side'> & { at: Vec3; radii: Vec3; cut?: Cut };

const mix = (from: number, to: number, t: number) => from + (to - from) * t;

/** Balls from one end of a row to the other: places and half-axes run evenly between the two. */
const chain = (pieces: number, from: readonly [Vec3, Vec3], to: readonly [Vec3, Vec3]): Local[] =>
  Array.from({ length: pieces + 1 }, (_, i) => {
    const t = i / pieces;
    const at: Vec3 = [mix(from[0][0], to[0][0], t), mix(from[0][1], to[0][1], t), mix(from[0][2], to[0][2], t)];
    const radii: Vec3 = [mix(from[1][0], to[1][0], t), mix(from[1][1], to[1][1], t), mix(from[1][2], to[1][2], t)];
    return { part: 'head', side: 0, at, radii };
  });

/** The hairline: over the brow it leans back, over the ear it turns down and leaves the ear free. */
const FRONT_HAIR: Cut = (x, y) => (y > -1 ? x - (2.7 + 1.3 * y) : x - (1.4 + 0.9 * (y + 1)));
const BACK_HAIR: Cut = (x, y) => x - (3 + 0.55 * y);

/** The head in its own frame (origin where it sits on the neck), centimetres of the tables' height. */
const HEAD: readonly Local[] = [
  { part: 'head', side: 0, at: [0.6, 7.2, 0], radii: [9.2, 7.9, 7.2] },
  ...chain(
    8,
    [
      [4, 5.2, 0],
      [5.3, 5, 6.2],
    ],
    [
      [6.4, -3.3, 0],
      [2.7, 2.5, 2.5],
    ],
  ),
  ...chain(
    5,
    [
      [0, 0.4, 0],
      [4, 3.5, 5.5],
    ],
    [
      [5, -2.6, 0],
      [2.8, 2.6, 3.4],
    ],
  ),
  ...chain(
    5,
    [
      [8.7, 4.4, 0],
      [0.7, 0.9, 0.7],
    ],
    [
      [10.4, 1.5, 0],
      [1.15, 1, 1.35],
    ],
  ),
  { part: 'head', side: 0, at: [8.6, -0.9, 0], radii: [1.1, 1.2, 2] },
  { part: 'ear', side: -1, at: [0.2, 4, -7.1], radii: [1.5, 2.6, 0.8] },
  { part: 'ear', side: 1, at: [0.2, 4, 7.1], radii: [1.5, 2.6, 0.8] },
  { part: 'hair', side: 0, at: [0.1, 7.7, 0], radii: [9.7, 8.3, 7.8], cut: FRONT_HAIR },
  { part: 'hair', side: 0, at: [-3.2, 3.6, 0], radii: [6.2, 6.2, 6.7], cut: BACK_HAIR },
];

/** A bun high at the back of the head, where it clears the floor. */
const BUN: Local = { part: 'hair', side: 0, at: [-6.6, 15.6, 0], radii: [3.9, 3.7, 3.9] };

export type Hair = 'bun' | 'short';

/** A place of the head in the room, from its own frame in centimetres of the tables' height. */
export const onHead = (body: Skeleton, local: Vec3): Vec3 =>
  add(body.spine.skull, toWorld(body.spine.head, scale(local, body.k)));

/** Skull, face, ears and hair. */
export function addHead(body: Skeleton, put: Add, hair: Hair): void {
  const { k, spine } = body;
  for (const piece of hair === 'bun' ? [...HEAD, BUN] : HEAD) {
    put({
      part: piece.part,
      side: piece.side,
      at: onHead(body, piece.at),
      frame: spine.head,
      radii: scale(piece.radii, k),
      s: 0,
      ...(piece.cut ? { cut: piece.cut } : {}),
    });
  }
}
