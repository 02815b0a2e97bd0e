import { fieldIssues, migrate, type Migration, type Read } from '#core/document';
import { RunEvent } from './events';

/** The version in which events of a run are stored. What was stored before events had one is version 0. */
export const EVENT_VERSION = 2;
/**
 * By the version they start from. Version 1 is version 0 with its version said; version 2 has one kind more, `measured`.
 */
const MIGRATIONS: Readonly<Record<number, Migration>> = { 0: (event) => event, 1: (event) => event };

/** An event as it is stored: with its version. */
export const storedEvent = (event: RunEvent): RunEvent & { version: number } => ({ version: EVENT_VERSION, ...event });

/**
 * Reads an event of a run as it was stored by this version or an older one. Returns the event, or every invalid field
 * with the reason. Never throws.
 */
export function readStoredEvent(value: unknown): Read<RunEvent> {
  const refuse = (field: string, reason: string): Read<RunEvent> => ({ ok: false, issues: [{ field, reason }] });
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return refuse('', 'This is not an event.');
  const { version = 0 } = value as { version?: unknown };
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 0) {
    return refuse('version', 'An event has a version, a whole number.');
  }
  if (version > EVENT_VERSION) {
    return refuse('version', `This event has version ${version}; this Zovrin reads up to version ${EVENT_VERSION}.`);
  }
  const event = migrate({ ...value, version }, MIGRATIONS, EVENT_VERSION);
  delete event.version;
  const parsed = RunEvent.safeParse(event);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: fieldIssues(parsed.error) };
}
