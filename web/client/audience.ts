import { AudienceNow, AudienceState } from '#api';
import { ask, tell } from './http';

export const readAudience = () => ask(AudienceState, 'GET', '/audience');
/** Lets phones on the same network view the session of a plan. */
export const openAudience = (planId: string) => ask(AudienceState, 'PUT', '/audience', { planId });
export const closeAudience = () => tell('DELETE', '/audience');

/** The session of a plan as it is now, for whoever has its code; without the session where it still has this tag. */
export const audienceNow = (planId: string, code: string, tag: string) =>
  ask(AudienceNow, 'GET', `/audience/${encodeURIComponent(planId)}/now?${new URLSearchParams({ tag })}`, undefined, {
    authorization: `Bearer ${code}`,
  });
