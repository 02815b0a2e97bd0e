import { z } from 'zod';
import { Approach, type Position } from '#core/catalogue';
import { seconds } from '#core/document';

const Weight = z.int('A weight is a whole number.').min(0, 'A weight is 0 or more.').max(20, 'A weight is at most 20.');

/** Where breath practice belongs: before the holds, after them, before or after but not between, or anywhere. */
export const BREATH_SPOTS = ['first', 'last', 'ends', 'anywhere'] as const;
export type BreathSpot = (typeof BREATH_SPOTS)[number];

/** What an order of steps is chosen by: what costs how much, and which rules it keeps. */
export const OrderRules = z.strictObject({
  /** What one of each counts. */
  weights: z.strictObject({
    /** From lying to sitting, from sitting to kneeling: the whole group changes how it is in the room. */
    family: Weight,
    /** One prop put down, taken away, refolded or moved. */
    propMove: Weight,
    /** The whole group goes to the wall. */
    wall: Weight,
    /** A step begins on the side the one before did not end on. */
    side: Weight,
  }),
  /** A deep fold or a back bend is answered within the next two steps. */
  answer: z.boolean(),
  /** Something neutral between a back bend and a deep fold, whichever comes first. */
  neutral: z.boolean(),
  /** What rouses comes before what quiets. */
  rousing: z.boolean(),
  /** No two holds at least so long on the same joint one after the other; null: they may follow. Seconds a side. */
  longSeconds: seconds('A long hold', 30, 3600).nullable(),
  /** Where each approach wants breath practice. */
  breath: z.record(Approach, z.enum(BREATH_SPOTS)),
});
export type OrderRules = z.infer<typeof OrderRules>;

/**
 * A change of position counts as much as three props, a way to the wall as four. Breath comes after the holds where it
 * is the class's own work and the body is made ready for it, before them where it is a way to arrive, and in yin it
 * opens or closes.
 */
export const ORDER_RULES: OrderRules = {
  weights: { family: 3, propMove: 1, wall: 4, side: 1 },
  answer: true,
  neutral: true,
  rousing: true,
  longSeconds: 180,
  breath: { restorative: 'first', yin: 'ends', pranayama: 'last', blended: 'anywhere' },
};

/** What a position loads, by its traits: the joints that should not be long at it twice in a row. */
const JOINTS: Partial<Record<Position['traits'][number], string>> = {
  endRangeHip: 'hips',
  deepKneeBend: 'knees',
  neckLoad: 'neck',
  armsOverhead: 'shoulders',
  loadedSpinalFold: 'low back',
  backBend: 'low back',
};

/** The joints a position works on at the end of their range or under load. */
export const jointsOf = ({ traits }: Pick<Position, 'traits'>): string[] => [
  ...new Set(traits.flatMap((trait) => JOINTS[trait] ?? [])),
];
