import { outcomeOfSave } from '#core/document';
import {
  COURSES,
  CourseSessionsResponse,
  CreateDocumentRequest,
  DECISIONS,
  ENTRIES,
  GROUPS,
  JOURNAL,
  PEOPLE,
  PLACES,
  PLANS,
  SaveDocumentRequest,
  SETTINGS,
  VARIANTS,
  type CourseSessionOnce,
  type Resource,
} from '#api';
import type { Answer, Call } from './browser';

interface Stored {
  revision: number;
  document: unknown;
}

/** What becomes of a call on its way: it arrives, it is lost before the server, or its answer is lost. */
export type Fate = 'arrives' | 'lostRequest' | 'lostAnswer';

/**
 * A server in memory for documents of every kind. It reads and refuses with the code of the real one, keeps text as a
 * database does, and loses the requests and answers that a test asks it to lose.
 */
export interface FakeServer {
  answer: (call: Call) => Answer;
  /** Puts a document at an address of the API, such as `/plans/p`. */
  put: (path: string, document: unknown, revision?: number) => void;
  stored: (path: string) => Stored | undefined;
  /** The sessions that every course counts. */
  sessions: readonly CourseSessionOnce[];
  /** Decides what becomes of each call. */
  fate: (call: Call) => Fate;
}

const MANY = [PLANS, ENTRIES, PEOPLE, GROUPS, PLACES, JOURNAL, COURSES];
const BESIDE = [VARIANTS, DECISIONS];
type AnyResource = Pick<Resource<unknown, { revision: number; document: unknown }>, 'read' | 'stored' | 'noun'> & {
  initial?: unknown;
};

/** The kind of document at an address, and its id; an address of a list has none. */
function kindAt(path: string): { resource: AnyResource; id: string | undefined } | undefined {
  if (path === SETTINGS.path) return { resource: SETTINGS as AnyResource, id: 'house' };
  const [, first = '', id, below] = path.split('/');
  const beside = BESIDE.find((one) => first === 'plans' && one.path === `/${below}`);
  if (beside) return { resource: beside as AnyResource, id };
  const many = below === undefined ? MANY.find((one) => one.path === `/${first}`) : undefined;
  return many && { resource: many as unknown as AnyResource, id };
}

export function fakeServer(nowMs: () => number = () => 1_790_000_000_000): FakeServer {
  /** By address: text, so that nothing is shared with who sent it. */
  const rows = new Map<string, { revision: number; text: string }>();
  const at = (): string => new Date(nowMs()).toISOString();
  const refuse = (status: number, title: string, extra: object = {}): Answer => ({
    status,
    body: { type: 'about:blank', title, status, detail: `${title}.`, ...extra },
  });
  const shown = (resource: AnyResource, id: string, { revision, document }: Stored) => {
    const times = { createdAt: at(), updatedAt: revision === 0 ? null : at(), deletedAt: null };
    // Parsed as an answer of the server is: what it does not promise is left out.
    return resource.stored.parse({ id, revision, document, ...times });
  };
  const read = (resource: AnyResource, document: unknown) => {
    const result = resource.read(document);
    if (result.ok) return { value: result.value };
    const errors = result.issues.map(({ field, reason }) => ({ field: `document.${field}`, reason }));
    return { refusal: refuse(422, 'Not accepted', { errors }) };
  };

  function stored(path: string): Stored | undefined {
    const row = rows.get(path);
    return row && { revision: row.revision, document: JSON.parse(row.text) as unknown };
  }
  const put = (path: string, document: unknown, revision = 1): void =>
    void rows.set(path, { revision, text: JSON.stringify(document) });

  function save(path: string, resource: AnyResource, id: string, body: unknown): Answer {
    const request = SaveDocumentRequest.safeParse(body);
    if (!request.success || request.data.revision === undefined) return refuse(422, 'Not accepted');
    const { value, refusal } = read(resource, request.data.document);
    if (refusal) return refusal;
    const current =
      stored(path) ?? (resource.initial === undefined ? undefined : { revision: 0, document: resource.initial });
    if (!current) return refuse(404, 'Not found');
    const outcome = outcomeOfSave(current, { revision: request.data.revision, document: value });
    if (outcome === 'stale')
      return refuse(409, 'Changed elsewhere', { current: shown(resource, id, current), yours: value });
    if (outcome === 'store') put(path, value, current.revision + 1);
    return { status: 200, body: { id, revision: stored(path)!.revision, updatedAt: at() } };
  }

  function create(path: string, resource: AnyResource, body: unknown): Answer {
    const request = CreateDocumentRequest.safeParse(body);
    if (!request.success) return refuse(422, 'Not accepted');
    const { value, refusal } = read(resource, request.data.document);
    if (refusal) return refusal;
    const id = request.data.id ?? `made-${rows.size}`;
    const current = stored(`${path}/${id}`);
    if (current && outcomeOfSave(current, { revision: current.revision - 1, document: value }) !== 'storedBefore') {
      return refuse(409, 'Changed elsewhere', { current: shown(resource, id, current), yours: value });
    }
    if (!current) put(`${path}/${id}`, value);
    return { status: 201, body: shown(resource, id, stored(`${path}/${id}`)!) };
  }

  function answerTo({ method, path: address, body }: Call): Answer {
    const [path = ''] = address.split('?');
    const ofCourse = /^(\/courses\/[^/]+)\/sessions$/.exec(path)?.[1];
    if (ofCourse !== undefined && method === 'GET') {
      if (!stored(ofCourse)) return refuse(404, 'Not found');
      return { status: 200, body: CourseSessionsResponse.parse({ sessions: server.sessions, unreadable: 0 }) };
    }
    const kind = kindAt(path);
    if (!kind) return refuse(404, 'Not found');
    const { resource, id } = kind;
    if (id === undefined) {
      if (method === 'POST') return create(path, resource, body);
      const ids = [...rows.keys()].filter(
        (key) => key.startsWith(`${path}/`) && !key.slice(path.length + 1).includes('/'),
      );
      const items = ids.map((key) => shown(resource, key.slice(path.length + 1), stored(key)!));
      return { status: 200, body: { items, total: items.length, unreadable: 0 } };
    }
    if (method === 'PUT') return save(path, resource, id, body);
    if (method !== 'GET') return refuse(404, 'Not found');
    const current =
      stored(path) ?? (resource.initial === undefined ? undefined : { revision: 0, document: resource.initial });
    return current ? { status: 200, body: shown(resource, id, current) } : refuse(404, 'Not found');
  }

  const server: FakeServer = {
    put,
    stored,
    sessions: [],
    fate: () => 'arrives',
    answer(call) {
      const fate = server.fate(call);
      if (fate === 'lostRequest') return 'unreachable';
      const answer = answerTo(call);
      return fate === 'lostAnswer' ? 'unreachable' : answer;
    },
  };
  return server;
}
