import type { Ellipsoid } from '../flesh';
import { dot, type Vec3 } from '../vector';

/** The tones of a figure from the farthest to the nearest layer; a far limb is a step darker. */
export const TONES = ['farTrousers', 'trousers', 'farTop', 'top', 'farSkin', 'skin', 'hair'] as const;
export type Tone = (typeof TONES)[number];

/** A tone by its place in the list. */
export type ToneIndex = number;
const index = Object.fromEntries(TONES.map((tone, i) => [tone, i])) as Record<Tone, ToneIndex>;

/** The darker tone of a far limb, by the tone it stands for. */
export const FARTHER: readonly ToneIndex[] = TONES.map((tone) => {
  const far = { trousers: index.farTrousers, top: index.farTop, skin: index.farSkin } as Partial<Record<Tone, number>>;
  return far[tone] ?? index[tone];
});

/** Where the clothes end: over the hips, below the neck (lower in front), at the ankle, below the elbow. */
const WAIST = 7;
const NECKLINE = 52.6;
const TROUSER_HEM = 0.86;
const SLEEVE_HEM = 0.55;

/** The tone of a place of the body, from where it is inside its ellipsoid (x forward, y up, body centimetres). */
export function toneOf(piece: Ellipsoid, x: number, y: number): ToneIndex {
  switch (piece.part) {
    case 'torso': {
      if (piece.slope) return index.top;
      const s = piece.s + y;
      if (s < WAIST - 0.12 * x) return index.trousers;
      return s + (x > 0 ? x * 0.28 : 0) > NECKLINE ? index.skin : index.top;
    }
    case 'thigh':
      return index.trousers;
    case 'shank':
      return piece.s - y / 41 > TROUSER_HEM ? index.skin : index.trousers;
    case 'upperArm':
      return index.top;
    case 'forearm':
      return piece.s - y / 24 > SLEEVE_HEM ? index.skin : index.top;
    case 'hair':
      return index.hair;
    default:
      return index.skin;
  }
}

const LIMB: Partial<Record<Ellipsoid['part'], 'leg' | 'arm'>> = {
  thigh: 'leg',
  shank: 'leg',
  foot: 'leg',
  upperArm: 'arm',
  forearm: 'arm',
  hand: 'arm',
};
/** Nearer than this (body centimetres) two limbs count as beside each other, and neither is far. */
const BESIDE = 7;

/** Whether a piece belongs to the limb that is farther from the viewer; judged for whole limbs. */
export function farLimbs(flesh: readonly Ellipsoid[], towards: Vec3, k: number): (piece: Ellipsoid) => boolean {
  const level: Vec3 = [towards[0], 0, towards[2]];
  const near = (limb: 'leg' | 'arm', side: number) => {
    const pieces = flesh.filter((piece) => LIMB[piece.part] === limb && piece.side === side);
    return pieces.reduce((sum, { at }) => sum + dot(level, at), 0) / Math.max(1, pieces.length);
  };
  const far = new Set<string>();
  for (const limb of ['leg', 'arm'] as const) {
    const apart = near(limb, 1) - near(limb, -1);
    if (Math.abs(apart) > BESIDE * k) far.add(`${limb}${apart > 0 ? -1 : 1}`);
  }
  return (piece) => far.has(`${LIMB[piece.part]}${piece.side}`);
}
