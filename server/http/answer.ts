import type { Response } from 'express';
import type { z } from 'zod';

/** Sends a response that has been checked against its schema: what leaves the server is what was promised. */
export function answer<S extends z.ZodType>(response: Response, schema: S, value: z.input<S>, status = 200): void {
  response.status(status).json(schema.parse(value));
}
