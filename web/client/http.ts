import type { z } from 'zod';
import { API_BASE, Problem } from '#api';

/** The server answered that something is wrong. */
export class ApiProblem extends Error {
  constructor(
    readonly problem: Problem,
    readonly body: unknown,
  ) {
    super(problem.detail);
  }
  get status(): number {
    return this.problem.status;
  }
  /** Which fields of what was sent are wrong, and why; empty where it is no field’s fault. */
  get fields(): readonly { field: string; reason: string }[] {
    return this.problem.errors ?? [];
  }
}

/** The server could not be reached, or its answer made no sense. Trying again later may help. */
export class Unreachable extends Error {}

/** Sent to the window where a list comes without rows that cannot be read. */
export const UNREADABLE = 'zovrin:unreadable';
const LOCKED_STATUS = 423;
const TOO_MANY = 429;

/**
 * Whether sending the same again later may work: not reached, busy, disk full, a server's own fault, or people are
 * locked just now.
 */
export const worthRetrying = (error: unknown): boolean =>
  error instanceof Unreachable ||
  (error instanceof ApiProblem && (error.status >= 500 || [LOCKED_STATUS, TOO_MANY].includes(error.status)));

/** Sent to the window where the server says that people are behind the passphrase. */
export const LOCKED = 'zovrin:locked';

/** The event on the window when the server answers again after it could not be reached. */
export const REACHED = 'zovrin:reached';
let isAway = false;
function unreachable(): Unreachable {
  isAway = true;
  return new Unreachable('The server cannot be reached.');
}
function reached(): void {
  if (!isAway) return;
  isAway = false;
  if ('dispatchEvent' in globalThis) globalThis.dispatchEvent(new Event(REACHED));
}

type Headers = Readonly<Record<string, string>>;

/** The response of the server, where it is one of success. Throws ApiProblem or Unreachable. */
async function reach(method: string, path: string, init: Pick<RequestInit, 'body' | 'headers'>): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`${API_BASE}${path}`, { method, ...init });
  } catch {
    throw unreachable();
  }
  // A proxy's answer for a server that is away is not the server's answer.
  if (response.ok || response.status < 500) reached();
  if (response.ok) return response;
  const json: unknown = await response.json().catch(() => undefined);
  const problem = Problem.safeParse(json);
  if (response.status === LOCKED_STATUS) window.dispatchEvent(new Event(LOCKED));
  if (problem.success) throw new ApiProblem(problem.data, json);
  throw unreachable();
}

async function fetchJson(method: string, path: string, body?: unknown, headers: Headers = {}): Promise<unknown> {
  const response = await reach(
    method,
    path,
    body === undefined
      ? { headers }
      : { headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) },
  );
  return response.status === 204 ? undefined : response.json().catch(() => undefined);
}

function understood<T>(schema: z.ZodType<T>, value: unknown): T {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  throw new Unreachable('The server answered in a way this page does not understand. Reload it.');
}

/** Asks the server and checks the answer. Throws ApiProblem or Unreachable. */
export async function ask<T>(
  schema: z.ZodType<T>,
  method: string,
  path: string,
  body?: unknown,
  headers?: Headers,
): Promise<T> {
  const answer = understood(schema, await fetchJson(method, path, body, headers));
  const { unreadable } = (answer ?? {}) as { unreadable?: unknown };
  if (typeof unreadable === 'number' && unreadable > 0) window.dispatchEvent(new Event(UNREADABLE));
  return answer;
}

/** Asks the server for a file. Throws ApiProblem or Unreachable. */
export async function askForFile(method: string, path: string, body: unknown): Promise<Blob> {
  const headers = { 'content-type': 'application/json' };
  return (await reach(method, path, { headers, body: JSON.stringify(body) })).blob();
}

/** Sends a file, and checks the answer. Throws ApiProblem or Unreachable. */
export async function sendFile<T>(schema: z.ZodType<T>, path: string, file: Blob): Promise<T> {
  const headers = { 'content-type': 'application/octet-stream' };
  const response = await reach('POST', path, { headers, body: file });
  return understood(schema, await response.json().catch(() => undefined));
}

/** Sends a request that has no answer. Throws ApiProblem or Unreachable. */
export const tell = async (method: string, path: string, body?: unknown): Promise<void> => {
  await fetchJson(method, path, body);
};
