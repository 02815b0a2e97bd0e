import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { z } from 'zod';
import { fieldIssues, type FieldIssue } from '#core/document';
import type { Problem } from '#api';
import { sqliteCode } from '../sqlite-code';

/** An error with an answer for whoever sent the request. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly errors?: FieldIssue[],
    readonly extra: Record<string, unknown> = {},
    /** Seconds after which it is worth another try. */
    readonly retryAfter?: number,
  ) {
    super(detail);
  }
}

export const notFound = (what: string): HttpProblem => new HttpProblem(404, 'Not found', `There is no ${what} here.`);

export const unprocessable = (errors: FieldIssue[]): HttpProblem =>
  new HttpProblem(422, 'Not accepted', 'Nothing was saved. Each field below says what to correct.', errors);

/** The same for the document in a request, whose fields stand below it. */
export const unprocessableDocument = (issues: readonly FieldIssue[]): HttpProblem =>
  unprocessable(
    issues.map(({ field, reason }) => ({ field: field === '' ? 'document' : `document.${field}`, reason })),
  );

/** Parses a part of a request; every wrong field is named. Throws an HttpProblem. */
export function accept<T>(schema: z.ZodType<T>, value: unknown): T {
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw unprocessable(fieldIssues(parsed.error));
  return parsed.data;
}

function ofDatabase(error: unknown): HttpProblem | undefined {
  const code = sqliteCode(error);
  if (code === 'SQLITE_BUSY' || code === 'SQLITE_LOCKED') {
    return new HttpProblem(503, 'Database busy', 'Another program is using the database. Keep this and send it again.');
  }
  if (code === 'SQLITE_FULL' || code === 'SQLITE_IOERR') {
    return new HttpProblem(507, 'Disk full', 'The disk is full or cannot be written. Make room, then send this again.');
  }
  if (code === 'SQLITE_READONLY' || code === 'SQLITE_CANTOPEN') {
    return new HttpProblem(
      503,
      'Database not writable',
      'The database file cannot be written. Keep this and send it again.',
    );
  }
  return undefined;
}

const MEGABYTE = 2 ** 20;
const USUAL_LIMIT = 2 * MEGABYTE;

/**
 * What express and its parsers throw: bodies that are no JSON, too large, or cut off, and addresses that do not decode.
 */
function ofRequest(error: unknown): HttpProblem | undefined {
  const { status, type, limit = USUAL_LIMIT } = error as { status?: number; type?: string; limit?: number };
  if (status === 413) {
    return new HttpProblem(413, 'Too large', `A request holds at most ${Math.round(limit / MEGABYTE)} MB.`);
  }
  if (type === 'entity.parse.failed') return new HttpProblem(400, 'Not JSON', 'The body of the request is not JSON.');
  if (status !== undefined && status >= 400 && status < 500) {
    return new HttpProblem(status, 'Not understood', 'The request could not be read.');
  }
  return undefined;
}

export const unknownRoute: RequestHandler = () => {
  throw notFound('such address');
};

/**
 * Answers every error as problem details (RFC 9457). An unexpected error is logged, and answered without its details.
 */
export function answerProblems(log: (error: unknown) => void): ErrorRequestHandler {
  return (error, _request, response, next) => {
    if (response.headersSent) return next(error);
    const known = error instanceof HttpProblem ? error : (ofDatabase(error) ?? ofRequest(error));
    if (!known) log(error);
    const problem = known ?? new HttpProblem(500, 'Something went wrong', 'This is our mistake. Nothing was stored.');
    const { status, title, detail, errors, extra } = problem;
    const body: Problem = { type: 'about:blank', title, status, detail, ...(errors ? { errors } : {}), ...extra };
    if (problem.retryAfter !== undefined) response.setHeader('retry-after', String(problem.retryAfter));
    response.status(status).type('application/problem+json').send(JSON.stringify(body));
  };
}
