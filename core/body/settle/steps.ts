import { z } from 'zod';
import { PROP_PLACE_NAMES } from '#core/props';
import { JOINT_NAMES } from '../joints';
import { AREAS_OF_CONTACT } from './parts';

const Of = z.enum(['left', 'right', 'both']);
const On = z.array(z.enum(AREAS_OF_CONTACT)).min(1).max(12);
/** The body's own limbs that count as something to rest on. */
const OwnLimb = z.enum(['leftLeg', 'rightLeg', 'leftArm', 'rightArm']);
export type OwnLimb = z.infer<typeof OwnLimb>;

/**
 * How a body comes to rest, one movement after the other. Everything is the same movement: a joint (or the height of
 * the hips) goes from one value towards another until the areas named touch the floor, a prop, the wall or one of the
 * body's own limbs, or until the joint goes no further in this body.
 */
export const SettleStep = z.discriminatedUnion('do', [
  /** Lets the hips down from above. */
  z.strictObject({ do: z.literal('lower'), on: On, of: Of, onto: z.array(OwnLimb) }),
  z.strictObject({
    do: z.literal('turn'),
    joint: z.enum(JOINT_NAMES),
    of: Of,
    from: z.number().min(-200).max(200),
    to: z.number().min(-200).max(200),
    on: On,
    onto: z.array(OwnLimb),
    /** Only where something lies at one of these places; without them always. */
    onlyWith: z.array(z.enum(PROP_PLACE_NAMES)).min(1).optional(),
  }),
  /** Puts down the props of these places at the body as it is then. Places never named are put down at the end. */
  z.strictObject({ do: z.literal('put'), places: z.array(z.enum(PROP_PLACE_NAMES)).min(1) }),
]);
export type SettleStep = z.infer<typeof SettleStep>;
