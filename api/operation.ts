import { z } from 'zod';
import { Id } from '#core/document';
import { PageQuery, pageOf, SavedDocument, type Resource } from './documents';

/** One thing that can be asked of the API. `:name` in a path is a part of the address. */
export interface Operation {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  /** What it is about, as the page of the API groups it. */
  tag: string;
  summary: string;
  params?: Readonly<Record<string, z.ZodType>>;
  query?: z.ZodObject;
  /** What is sent with it; `bytes` for a file. */
  body?: z.ZodType | 'bytes';
  /** The status of success, and what comes with it: nothing where there is no body, plain text, or a file. */
  status: 200 | 201 | 204;
  answer?: z.ZodType | 'text' | 'bytes';
  /** What else it may answer with, besides what every operation may. */
  refuses?: readonly (404 | 409 | 403 | 410 | 429)[];
  /** Whether people’s data is in it, so that it needs the lock to be open. */
  isPrivate?: boolean;
  /** Where it is answered: on this machine, or on the port for phones as well. */
  door?: 'phones';
}

export const Revision = z.int().min(0);
const creation = (document: z.ZodType) => z.strictObject({ id: Id.optional(), document });
const saving = (document: z.ZodType) => z.strictObject({ revision: Revision.optional(), document });
export const oneId = { id: Id };

/** List, make, read, save and delete documents of a kind. */
export function ofResource(
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
export const ofOnly = (
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
/** A resource of any kind: what its operations need of it is the same for all. */
export const anyResource = (resource: unknown): AnyResource => resource as AnyResource;
