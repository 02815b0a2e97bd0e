import type { Request } from 'express';
import { HttpProblem } from './problems';

const SECOND_MS = 1000;

/** Whole seconds until a limit lets somebody in again, from what the limiter noted on the request. */
export function secondsToWait(request: Request): number {
  const { rateLimit } = request as Request & { rateLimit?: { resetTime?: Date } };
  return Math.max(1, Math.ceil(((rateLimit?.resetTime?.getTime() ?? 0) - Date.now()) / SECOND_MS));
}

/** Answers who asked too often: 429, with how long to wait. For a limiter's `handler`. */
export function tooMany(request: Request): never {
  const seconds = secondsToWait(request);
  throw new HttpProblem(429, 'Too many requests', `Too many requests. Wait ${seconds} s.`, undefined, {}, seconds);
}
