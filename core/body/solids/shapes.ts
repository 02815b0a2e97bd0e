import { propState, sizeOfPiece, type PlacedProp, type Sized } from '#core/props';
import { aboutY, aboutZ, add, IDENTITY, multiply, toWorld, type Mat3, type Vec3 } from '../vector';
import type { Box, Roll, Solid } from './solid';

const ROUNDED: Partial<Record<PlacedProp['kind'], number>> = {
  flatBolster: 5,
  block: 0.9,
  blanket: 2.2,
  halfMoon: 6,
  cushion: 4.5,
  pillow: 6.5,
  sandbag: 2.2,
  eyePillow: 1,
  headRing: 3.4,
  weightedBlanket: 2.2,
  towel: 0.8,
  chair: 0.8,
  stick: 1.2,
};
const LAYERS: Partial<Record<PlacedProp['kind'], number>> = { flatBolster: 2, blanket: 3, towel: 2, cushion: 2 };
const ROLLED = new Set(['roundBolster:whole', 'blanket:rolled', 'towel:rolled', 'stick:whole']);

export interface Size {
  /** Along its own length, across it, and up. */
  long: number;
  wide: number;
  high: number;
  give: number;
}

/** How much of what a prop gives is pressed out of it when a body lies on it. */
const LOADED = 0.6;

/** The size of one piece as it lies under a body. */
export function sizeOf(prop: Sized): Size {
  const state = sizeOfPiece(prop);
  return {
    long: state?.widthCm ?? 20,
    wide: state?.depthCm ?? 20,
    high: (state?.heightCm ?? 5) - LOADED * (state?.giveCm ?? 0),
    give: (1 - LOADED) * (state?.giveCm ?? 0),
  };
}

/** Whether its long side lies along the mat (X) or across it (Z), as a frame whose X is the long side. */
export const lieFrame = (lie: PlacedProp['lie']): Mat3 => (lie === 'lengthwise' ? IDENTITY : aboutY(90));

/** One piece with its middle at `at`; `frame` has the long side as X and up as Y. */
export function pieceOf(prop: Pick<PlacedProp, 'kind' | 'state' | 'size'>, at: Vec3, frame: Mat3): Box | Roll {
  const { long, wide, high, give } = sizeOf(prop);
  const common = { prop: prop.kind, giveCm: give, loose: false, at };
  if (prop.size?.shape === 'roll' || ROLLED.has(`${prop.kind}:${prop.state}`)) {
    return { ...common, shape: 'roll', radius: high / 2, lengthCm: long, frame: multiply(frame, aboutY(-90)) };
  }
  return {
    ...common,
    shape: 'box',
    half: [long / 2, high / 2, wide / 2],
    frame,
    roundCm: Math.min(ROUNDED[prop.kind] ?? 0.6, high * 0.46),
    layers: LAYERS[prop.kind] ?? 0,
  };
}

const CHAIR_LEG_CM = 3;
const CHAIR_BACK_CM = 82;

/**
 * A chair with the middle of its seat over `at` on the floor. The frame's X is the way a sitter looks; its back is
 * behind. Legs, seat and back are parts of it; the back's rails leave its middle open.
 */
export function chairOf(at: Vec3, facing: number, giveCm = 1): Solid[] {
  // Its height is the seat's; a cushion on it gives, the seat hardly.
  const { long, wide } = sizeOf({ kind: 'chair', state: 'upright' });
  const high = propState('chair', 'upright')?.heightCm ?? 45;
  const frame = aboutY(facing);
  const part = (centre: Vec3, size: Vec3, give = 0): Box => ({
    shape: 'box',
    prop: 'chair',
    giveCm: give,
    loose: false,
    at: add(at, toWorld(frame, centre)),
    half: [size[0] / 2, size[1] / 2, size[2] / 2],
    frame,
    roundCm: 0.9,
    layers: 0,
  });
  const edge = long / 2 - CHAIR_LEG_CM / 2;
  const side = wide / 2 - CHAIR_LEG_CM / 2;
  const legs = [-1, 1].flatMap((x) =>
    [-1, 1].map((z) => part([x * edge, (high - 3) / 2, z * side], [CHAIR_LEG_CM, high - 3, CHAIR_LEG_CM])),
  );
  const posts = [-1, 1].map((z) =>
    part([-edge, (high + CHAIR_BACK_CM) / 2, z * side], [CHAIR_LEG_CM, CHAIR_BACK_CM - high, CHAIR_LEG_CM]),
  );
  const rails = [part([-edge, CHAIR_BACK_CM - 6, 0], [2.4, 12, wide]), part([-edge, high + 14, 0], [2, 4, wide - 4])];
  return [...legs, part([0, high - 1.5, 0], [long, 3, wide], giveCm), ...posts, ...rails];
}

/** A frame whose X (the long side) rises by so many degrees. */
export const rising = (frame: Mat3, degrees: number): Mat3 => multiply(frame, aboutZ(degrees));
