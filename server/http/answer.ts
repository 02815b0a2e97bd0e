import type { Response } from 'express';
import type { z } from 'zod';

/** Sends a response that has been checked against its schema: what leaves the server is what was promised. */
export function answer<T>(response: Response, schema: z.ZodType<T>, value: T, status = 200): void {
  response.status(status).json(schema.parse(value));
}
