import type { Request, Response } from 'express';
import { Id } from '#core/document';
import { accept, unprocessable } from './problems';

/** The id in the address of a request. Throws an HttpProblem (422) where it can be none. */
export const idOf = (request: Request, name = 'id'): string => accept(Id, request.params[name]);

/** The revision that a save is made over: named in the body, or as a tag in `If-Match`. Throws an HttpProblem (422). */
export function revisionOf(request: Request, named: number | undefined): number {
  if (named !== undefined) return named;
  const tag = /^"(\d{1,9})"$/.exec(request.get('if-match') ?? '')?.[1];
  if (tag !== undefined) return Number(tag);
  const reason = 'A save names the revision it was made from, here or as a tag in the header If-Match.';
  throw unprocessable([{ field: 'revision', reason }]);
}

/** Tags an answer with the revision of its document. */
export const tagWith = (response: Response, revision: number): void => void response.set('etag', `"${revision}"`);
