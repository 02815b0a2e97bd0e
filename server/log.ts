/**
 * What is written of a fault into the log: its kind, its message and where it came from. Nothing else it carries: a
 * fault of the database holds the statement with all its values, and these may be about somebody's health.
 */
export function loggedError(error: unknown): { type: string; message: string; stack: string } {
  if (!(error instanceof Error))
    return { type: typeof error, message: 'Something was thrown that is no error.', stack: '' };
  return { type: error.name, message: error.message, stack: error.stack ?? '' };
}
