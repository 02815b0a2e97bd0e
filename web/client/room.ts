import { RoomDoorState, RoomNow } from '#api';
import { ask, tell } from './http';

export const roomDoor = () => ask(RoomDoorState, 'GET', '/room');
/** Lets phones on the same network look on at the session of a plan. */
export const openRoomDoor = (planId: string) => ask(RoomDoorState, 'PUT', '/room', { planId });
export const shutRoomDoor = () => tell('DELETE', '/room');

/** The session of a plan as it is now, for who has the link with its code. */
export const roomNow = (planId: string, code: string) =>
  ask(RoomNow, 'GET', `/room/${encodeURIComponent(planId)}/now?${new URLSearchParams({ code })}`);
