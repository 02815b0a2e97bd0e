import { z } from 'zod';
import { PROP_PLACE_NAMES } from '#core/props';
import { jointsPastLimits } from './joint-limits';
import { jointPath } from './joints';
import { Pose } from './pose';
import { SettleStep } from './settle/steps';

/** The direction of view: round the body (0 from its right, 90 from the front) and elevation, in degrees. */
export const View = z.strictObject({ azimuth: z.number().min(-180).max(180), elevation: z.number().min(-10).max(90) });
export type View = z.infer<typeof View>;

/** The views a figure is shown from. */
export const VIEWS = {
  side: { azimuth: 0, elevation: 0 },
  above: { azimuth: 0, elevation: 90 },
  front: { azimuth: 90, elevation: 0 },
  back: { azimuth: -90, elevation: 0 },
  threeQuarter: { azimuth: 38, elevation: 24 },
  threeQuarterFront: { azimuth: 58, elevation: 26 },
  threeQuarterBack: { azimuth: -30, elevation: 22 },
} as const satisfies Record<string, View>;
export type ViewName = keyof typeof VIEWS;

const Shift = z.tuple([z.number().min(-150).max(150), z.number().min(-150).max(150), z.number().min(-150).max(150)]);

/**
 * Everything needed to draw a position: its pose, how it comes to rest, props shifted from their usual places, and its
 * best view. Written for the left side.
 */
export const Figure = z
  .strictObject({
    pose: Pose,
    settle: z.array(SettleStep).max(40),
    shifts: z.partialRecord(z.enum(PROP_PLACE_NAMES), Shift),
    view: View,
  })
  .superRefine(({ pose }, context) => {
    for (const { joint, side, reason } of jointsPastLimits(pose)) {
      context.addIssue({ code: 'custom', path: ['pose', ...(jointPath(pose, joint, side) ?? [])], message: reason });
    }
  });
export type Figure = z.infer<typeof Figure>;
