import { z } from 'zod';
import { Plan } from '#core/plan';
import { RunEvent } from '#core/run';
import { PlanId } from './plans';

/** Whether phones on the same network may look on, at which addresses, and at which plan's session. */
export const RoomDoorState = z.object({
  open: z.boolean(),
  planId: PlanId.nullable(),
  addresses: z.array(z.string()),
});
export type RoomDoorState = z.infer<typeof RoomDoorState>;

export const OpenRoomRequest = z.strictObject({ planId: PlanId });

/** What a phone sees of the session: the plan as it is taught, what happened, and the server's clock at that moment. */
export const RoomNow = z.object({
  runId: PlanId.nullable(),
  plan: Plan.nullable(),
  events: z.array(RunEvent),
  nowMs: z.number(),
});
export type RoomNow = z.infer<typeof RoomNow>;
