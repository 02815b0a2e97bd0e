import { emptyPlan, PLAN_VERSION } from './plan';
import { readPlan } from './read';
import type { Step } from './step';

/** The type under which copied steps stand on the clipboard, beside the outline as plain text. */
export const STEPS_MEDIA_TYPE = 'application/x-zovrin-steps+json';

/** What copied steps call themselves. */
export const STEPS_FORMAT = 'zovrin-steps';

/** Steps as they stand on the clipboard: JSON that `readCopiedSteps` reads, also in a later version. */
export const copiedSteps = (steps: readonly Step[]): string =>
  JSON.stringify({ format: STEPS_FORMAT, version: PLAN_VERSION, steps });

/**
 * Reads copied steps. Undefined for what is something else, damaged, or of a newer version; what an older version
 * copied is migrated as its plans are.
 */
export function readCopiedSteps(text: string): Step[] | undefined {
  let copied: unknown;
  try {
    copied = JSON.parse(text);
  } catch {
    return undefined;
  }
  if (typeof copied !== 'object' || copied === null || !('format' in copied) || copied.format !== STEPS_FORMAT)
    return undefined;
  const { version, steps } = copied as { version?: unknown; steps?: unknown };
  const read = readPlan({ ...emptyPlan('Copied steps'), version, steps });
  return read.ok ? read.value.steps : undefined;
}
