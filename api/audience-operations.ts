import { z } from 'zod';
import { Id } from '#core/document';
import { AudienceNow, AudienceState, OpenAudienceRequest } from './audience';
import type { Operation } from './operation';

/** What can be asked about phones that view a session. */
export const AUDIENCE: readonly Operation[] = [
  {
    method: 'get',
    path: '/audience',
    tag: 'Audience view',
    summary: 'Whether phones may view a session',
    status: 200,
    answer: AudienceState,
  },
  {
    method: 'put',
    path: '/audience',
    tag: 'Audience view',
    summary: 'Let phones on the same network view the session of a plan',
    body: OpenAudienceRequest,
    status: 200,
    answer: AudienceState,
    refuses: [404],
  },
  { method: 'delete', path: '/audience', tag: 'Audience view', summary: 'End that', status: 204 },
  {
    method: 'get',
    path: '/audience/:planId/now',
    tag: 'Audience view',
    door: 'phones',
    summary: 'The session as a phone sees it; the code of the link is sent as a bearer token',
    params: { planId: Id },
    query: z.strictObject({ tag: z.string().optional() }),
    status: 200,
    answer: AudienceNow,
    refuses: [404, 410, 429],
  },
];
