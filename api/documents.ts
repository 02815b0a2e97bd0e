import { z } from 'zod';
import { Id, type Read } from '#core/document';
import { Problem } from './problem';
import { Unreadable } from './unreadable';

export const Moment = z.iso.datetime();
/** How many times a document was saved, from 1. */
export const Revision = z.int('A revision is a whole number.').min(1);

/** What a save is answered with: the document is what was sent. */
export const SavedDocument = z.object({ id: Id, revision: Revision, updatedAt: Moment });
export type SavedDocument = z.infer<typeof SavedDocument>;

/** A document as it is stored. */
export interface StoredDocument<T> {
  id: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
  document: T;
}

/**
 * A page of a list: `total` counts all of it, `unreadable` what of this page was left out because it cannot be read.
 */
export interface Page<S> {
  items: S[];
  total: number;
  unreadable: number;
}
export const pageOf = <S extends z.ZodType>(item: S) =>
  z.object({ items: z.array(item), total: z.int().min(0), unreadable: Unreadable });

export const MAX_PAGE = 500;
/** Which page of a list. */
export const PageQuery = z.strictObject({
  limit: z.coerce.number().int().min(1).max(MAX_PAGE).default(100),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
});
export type PageQuery = z.infer<typeof PageQuery>;

/** A stale write: the document as it is now, and what was sent, so that neither is lost. */
export const conflictOver = (stored: z.ZodType, document: z.ZodType) =>
  Problem.extend({ current: stored, yours: document });

/**
 * A kind of document that the API keeps: where it is, what it is called, its shape, and how it is read from outside.
 */
export interface Resource<T, S extends { revision: number; document: T } = StoredDocument<T>> {
  /** `person`: as it stands in sentences. */
  noun: string;
  /** Where its documents are, below the address of the API. */
  path: string;
  document: z.ZodType<T>;
  read: (value: unknown) => Read<T>;
  stored: z.ZodType<S>;
}

type Named<T> = Pick<Resource<T>, 'noun' | 'path' | 'document' | 'read'>;

/** What every stored document has beside the document itself. */
export const STORED = { id: Id, revision: Revision, createdAt: Moment, updatedAt: Moment } as const;

/** A kind of document of which there are many. */
export const resourceOf = <T>(named: Named<T>): Resource<T> => ({
  ...named,
  stored: z.object({ ...STORED, document: named.document }),
});

/** The one document of its kind, or the one beside a plan. */
export interface OnlyDocument<T> {
  revision: number;
  /** Null before it was ever saved. */
  updatedAt: string | null;
  document: T;
}
/** A kind of document of which there is exactly one, from revision 0 on: the settings, or one beside each plan. */
export interface OnlyResource<T> extends Resource<T, OnlyDocument<T>> {
  /** What there is before anything was saved. */
  initial: T;
}
export const onlyResourceOf = <T>(named: Named<T> & { initial: T }): OnlyResource<T> => ({
  ...named,
  stored: z.object({ revision: z.int().min(0), updatedAt: Moment.nullable(), document: named.document }),
});

/** Makes a document. It is read by its kind, so that older versions are taken and every wrong field is named. */
export const CreateDocumentRequest = z.strictObject({ id: Id.optional(), document: z.unknown() });
/** Saves a document over a revision, which may stand in the header `If-Match` instead. */
export const SaveDocumentRequest = z.strictObject({
  revision: z.int('A revision is a whole number.').min(0).optional(),
  document: z.unknown(),
});
