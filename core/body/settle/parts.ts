import type { Ellipsoid, Part } from '../flesh';

/** Areas of the body that can come to rest on something. */
export const AREAS_OF_CONTACT = [
  'everything',
  'pelvis',
  'lowerTrunk',
  'trunk',
  'upperTrunk',
  'shoulders',
  'ribs',
  'head',
  'thighs',
  'shanks',
  'knees',
  'feet',
  'upperArms',
  'forearms',
  'hands',
] as const;
export type ContactArea = (typeof AREAS_OF_CONTACT)[number];

interface Wanted {
  parts: readonly Part[];
  only?: (piece: Ellipsoid) => boolean;
}

export const CONTACT: Record<ContactArea, Wanted> = {
  everything: {
    parts: ['torso', 'neck', 'head', 'ear', 'hair', 'thigh', 'shank', 'foot', 'upperArm', 'forearm', 'hand'],
  },
  pelvis: { parts: ['torso'], only: ({ s }) => s < 6 },
  lowerTrunk: { parts: ['torso'], only: ({ s }) => s < 14 },
  trunk: { parts: ['torso'] },
  upperTrunk: { parts: ['torso'], only: ({ s }) => s > 26 },
  ribs: { parts: ['torso'], only: ({ s }) => s > 18 },
  shoulders: { parts: ['torso'], only: ({ s }) => s > 42 },
  head: { parts: ['head', 'hair', 'ear'] },
  thighs: { parts: ['thigh'] },
  knees: { parts: ['thigh', 'shank'], only: ({ part, s }) => (part === 'thigh' ? s > 0.85 : s < 0.2) },
  shanks: { parts: ['shank'] },
  feet: { parts: ['foot'] },
  upperArms: { parts: ['upperArm'] },
  forearms: { parts: ['forearm'] },
  hands: { parts: ['hand'] },
};
