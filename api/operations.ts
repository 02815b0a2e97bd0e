import { z } from 'zod';
import { Id } from '#core/document';
import {
  AddEventsRequest,
  AddEventsResponse,
  EventsQuery,
  EventsResponse,
  ListRunsQuery,
  ListRunsResponse,
  StartRunRequest,
  StoredRun,
} from './runs';
import { AudienceNow, AudienceState, OpenAudienceRequest } from './audience';
import {
  FitRequest,
  FitResponse,
  ForecastRequest,
  ForecastResponse,
  OrderRequest,
  OrderResponse,
  PaceResponse,
} from './arrange';
import { PageQuery, pageOf, SavedDocument, type Resource } from './documents';
import { ENTRIES } from './entries';
import { JOURNAL } from './journal';
import {
  DECISIONS,
  ForgetResponse,
  GROUPS,
  LockState,
  OpenLockRequest,
  PEOPLE,
  PersonFileResponse,
  SetLockRequest,
} from './people';
import { PLACES } from './places';
import {
  BinKind,
  BinResponse,
  ListPlansQuery,
  ListPlansResponse,
  ListVersionsResponse,
  PLANS,
  StoredRevision,
} from './plans';
import { PractisedQuery, PractisedResponse } from './practised';
import { SETTINGS } from './settings';
import { TimelineRequest, TimelineResponse } from './timeline';
import { ListUnreadableResponse, StoredKind } from './unreadable';
import { VARIANTS } from './variants';

/** One thing that can be asked of the API. `:name` in a path is a part of the address. */
export interface Operation {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  /** What it is about, as the page of the API groups it. */
  tag: string;
  summary: string;
  params?: Readonly<Record<string, z.ZodType>>;
  query?: z.ZodObject;
  body?: z.ZodType;
  /** The status of success, and what comes with it; nothing where there is no body, `text` for plain text. */
  status: 200 | 201 | 204;
  answer?: z.ZodType | 'text';
  /** What else it may answer with, besides what every operation may. */
  refuses?: readonly (404 | 409 | 403 | 410 | 429)[];
  /** Whether people’s data is in it, so that it needs the lock to be open. */
  isPrivate?: boolean;
  /** Where it is answered: on this machine, or on the port for phones as well. */
  door?: 'phones';
}

const Revision = z.int().min(0);
const creation = (document: z.ZodType) => z.strictObject({ id: Id.optional(), document });
const saving = (document: z.ZodType) => z.strictObject({ revision: Revision.optional(), document });
const oneId = { id: Id };

/** List, make, read, save and delete documents of a kind. */
function ofResource(
  {
    path,
    noun,
    document,
    stored,
  }: Pick<Resource<unknown, { revision: number; document: unknown }>, 'path' | 'noun' | 'document' | 'stored'>,
  tag: string,
  isPrivate: boolean,
  list: Pick<Operation, 'query' | 'answer'> = { query: PageQuery, answer: pageOf(stored) },
): Operation[] {
  const shared = { tag, isPrivate } as const;
  const a = /^[aeiou]/.test(noun) ? `an ${noun}` : `a ${noun}`;
  return [
    { ...shared, ...list, method: 'get', path, summary: `List, a page at a time`, status: 200 },
    {
      ...shared,
      method: 'post',
      path,
      summary: `Create ${a}; sent twice with the same id, it is created once`,
      body: creation(document),
      status: 201,
      answer: stored,
      refuses: [409],
    },
    {
      ...shared,
      method: 'get',
      path: `${path}/:id`,
      summary: `Read ${a}`,
      params: oneId,
      status: 200,
      answer: stored,
      refuses: [404],
    },
    {
      ...shared,
      method: 'put',
      path: `${path}/:id`,
      summary: `Save ${a} over the revision it was made from`,
      params: oneId,
      body: saving(document),
      status: 200,
      answer: SavedDocument,
      refuses: [404, 409],
    },
    {
      ...shared,
      method: 'delete',
      path: `${path}/:id`,
      summary: `Put ${a} into the bin for 30 days`,
      params: oneId,
      status: 204,
      refuses: [404],
    },
  ];
}

/** Read and save the only document of a kind. */
const ofOnly = (
  {
    noun,
    document,
    stored,
  }: Pick<Resource<unknown, { revision: number; document: unknown }>, 'noun' | 'document' | 'stored'>,
  path: string,
  tag: string,
  isPrivate: boolean,
): Operation[] => {
  const params = path.includes(':id') ? { params: oneId, refuses: [404] as const } : {};
  return [
    {
      method: 'get',
      path,
      tag,
      isPrivate,
      summary: `Read the ${noun}; revision 0 before it was ever saved`,
      status: 200,
      answer: stored,
      ...params,
    },
    {
      method: 'put',
      path,
      tag,
      isPrivate,
      summary: `Save the ${noun}`,
      body: saving(document),
      status: 200,
      answer: SavedDocument,
      ...params,
      refuses: path.includes(':id') ? [404, 409] : [409],
    },
  ];
};

type AnyResource = Parameters<typeof ofResource>[0];
const any = (resource: unknown): AnyResource => resource as AnyResource;

/** Everything that can be asked of the API, in the order in which its page shows it. */
export const OPERATIONS: readonly Operation[] = [
  ...ofResource(any(PLANS), 'Plans', false, { query: ListPlansQuery, answer: ListPlansResponse }),
  {
    method: 'get',
    path: '/plans/:id/revisions',
    tag: 'Plans',
    summary: 'List the versions that are kept, each with what changed',
    params: oneId,
    status: 200,
    answer: ListVersionsResponse,
    refuses: [404],
  },
  {
    method: 'get',
    path: '/plans/:id/revisions/:revision',
    tag: 'Plans',
    summary: 'Read one version',
    params: { id: Id, revision: Revision },
    status: 200,
    answer: StoredRevision,
    refuses: [404],
  },
  ...ofOnly(any(VARIANTS), '/plans/:id/variants', 'Plans', false),
  ...ofOnly(any(DECISIONS), '/plans/:id/decisions', 'Plans', true),
  {
    method: 'post',
    path: '/timeline',
    tag: 'Arithmetic',
    summary: 'Compile a plan into its timeline and totals; nothing is stored',
    body: TimelineRequest,
    status: 200,
    answer: TimelineResponse,
  },
  {
    method: 'post',
    path: '/fit',
    tag: 'Arithmetic',
    summary: 'Fit a plan to a length or an end time',
    body: FitRequest,
    status: 200,
    answer: FitResponse,
  },
  {
    method: 'post',
    path: '/order',
    tag: 'Arithmetic',
    summary: 'Find the order of steps with the fewest prop changes',
    body: OrderRequest,
    status: 200,
    answer: OrderResponse,
  },
  {
    method: 'post',
    path: '/forecast',
    tag: 'Arithmetic',
    summary: 'Forecast when a session would end',
    body: ForecastRequest,
    status: 200,
    answer: ForecastResponse,
  },
  {
    method: 'get',
    path: '/pace',
    tag: 'Arithmetic',
    summary: 'How the latest sessions went against their plans',
    status: 200,
    answer: PaceResponse,
  },
  {
    method: 'get',
    path: '/runs',
    tag: 'Sessions',
    isPrivate: true,
    summary: 'List sessions, the latest first',
    query: ListRunsQuery,
    status: 200,
    answer: ListRunsResponse,
  },
  {
    method: 'post',
    path: '/runs',
    tag: 'Sessions',
    isPrivate: true,
    summary: 'Begin a session of a plan as it was at a revision',
    body: StartRunRequest,
    status: 201,
    answer: StoredRun,
    refuses: [404, 409],
  },
  {
    method: 'get',
    path: '/runs/:id',
    tag: 'Sessions',
    isPrivate: true,
    summary: 'Read a session with its plan and its events',
    params: oneId,
    status: 200,
    answer: StoredRun,
    refuses: [404],
  },
  {
    method: 'get',
    path: '/runs/:id/events',
    tag: 'Sessions',
    isPrivate: true,
    summary: 'Read the events from a place in their order on',
    params: oneId,
    query: EventsQuery,
    status: 200,
    answer: EventsResponse,
    refuses: [404],
  },
  {
    method: 'post',
    path: '/runs/:id/events',
    tag: 'Sessions',
    isPrivate: true,
    summary: 'Add events; each is stored once by its id',
    params: oneId,
    body: AddEventsRequest,
    status: 200,
    answer: AddEventsResponse,
    refuses: [404, 409],
  },
  {
    method: 'delete',
    path: '/runs/:id',
    tag: 'Sessions',
    isPrivate: true,
    summary: 'Put a session into the bin for 30 days',
    params: oneId,
    status: 204,
    refuses: [404],
  },
  {
    method: 'get',
    path: '/practised',
    tag: 'Sessions',
    isPrivate: true,
    summary: 'What was practised between two moments',
    query: PractisedQuery,
    status: 200,
    answer: PractisedResponse,
  },
  ...ofResource(any(JOURNAL), 'Journal', true),
  ...ofResource(any(PEOPLE), 'People', true),
  {
    method: 'get',
    path: '/people/:id/file',
    tag: 'People',
    isPrivate: true,
    summary: 'Everything that is kept of one person',
    params: oneId,
    status: 200,
    answer: PersonFileResponse,
    refuses: [404],
  },
  {
    method: 'delete',
    path: '/people/:id/forever',
    tag: 'People',
    isPrivate: true,
    summary: 'Forget a person for good',
    params: oneId,
    status: 200,
    answer: ForgetResponse,
    refuses: [404],
  },
  ...ofResource(any(GROUPS), 'People', true),
  ...ofResource(any(PLACES), 'Places', false),
  ...ofResource(any(ENTRIES), 'Library', false),
  ...ofOnly(any(SETTINGS), '/settings', 'Settings', false),
  {
    method: 'get',
    path: '/lock',
    tag: 'Lock',
    summary: 'Whether people’s data is behind a passphrase, and open',
    status: 200,
    answer: LockState,
  },
  {
    method: 'put',
    path: '/lock',
    tag: 'Lock',
    summary: 'Set or change the passphrase',
    body: SetLockRequest,
    status: 204,
    refuses: [403, 429],
  },
  {
    method: 'delete',
    path: '/lock',
    tag: 'Lock',
    summary: 'Remove the passphrase',
    body: OpenLockRequest,
    status: 204,
    refuses: [403, 429],
  },
  {
    method: 'post',
    path: '/lock/open',
    tag: 'Lock',
    summary: 'Open with the passphrase',
    body: OpenLockRequest,
    status: 204,
    refuses: [403, 429],
  },
  { method: 'post', path: '/lock/close', tag: 'Lock', summary: 'Lock', status: 204 },
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
  {
    method: 'get',
    path: '/bin',
    tag: 'Bin',
    summary: 'What was deleted in the last 30 days',
    status: 200,
    answer: BinResponse,
  },
  {
    method: 'post',
    path: '/bin/:kind/:id/restore',
    tag: 'Bin',
    summary: 'Restore one of it',
    params: { kind: BinKind, id: Id },
    status: 204,
    refuses: [404],
  },
  {
    method: 'get',
    path: '/unreadable',
    tag: 'Bin',
    isPrivate: true,
    summary: 'What is stored and cannot be read, with the reasons',
    status: 200,
    answer: ListUnreadableResponse,
  },
  {
    method: 'get',
    path: '/unreadable/:kind/:id',
    tag: 'Bin',
    isPrivate: true,
    summary: 'Its stored text',
    params: { kind: StoredKind, id: Id },
    status: 200,
    answer: 'text',
    refuses: [404],
  },
  {
    method: 'get',
    path: '/health',
    tag: 'Service',
    summary: 'Whether the server answers',
    status: 200,
    answer: z.object({ ok: z.boolean() }),
  },
  {
    method: 'get',
    path: '/openapi.json',
    tag: 'Service',
    summary: 'This description',
    status: 200,
    answer: z.looseObject({ openapi: z.string() }),
  },
  { method: 'get', path: '/docs', tag: 'Service', summary: 'A page to read and try it', status: 200, answer: 'text' },
  {
    method: 'get',
    path: '/docs/page.js',
    tag: 'Service',
    summary: 'The script of that page',
    status: 200,
    answer: 'text',
  },
];
