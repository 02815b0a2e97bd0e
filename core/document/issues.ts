import type { z } from 'zod';

/** One problem with a document: where, as a path like `steps.3.sides.seconds`, and why, in words. */
export interface FieldIssue {
  field: string;
  reason: string;
}

/** The issues of a zod error as fields and reasons, at most `most` of them. */
export function fieldIssues(error: z.core.$ZodError, most = 100): FieldIssue[] {
  return error.issues.slice(0, most).map((issue) => ({
    field: issue.path.map(String).join('.'),
    reason: issue.code === 'unrecognized_keys' ? `Unknown: ${issue.keys.join(', ')}.` : issue.message,
  }));
}
