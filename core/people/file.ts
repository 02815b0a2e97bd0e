import type { FieldIssue } from '#core/document';
import { PERSON_FORMAT, readPerson, type Person } from './person';

export const PERSON_FILE_FORMAT = 'zovrin-person-file';

/** A class someone came to. Length in seconds, `at` a moment in UTC. */
export interface AttendedClass {
  title: string;
  at: string;
  seconds: number;
}

/**
 * Everything that is kept of one person, as open JSON: the document, the groups by name, and the classes they came to.
 */
export interface PersonFile {
  format: typeof PERSON_FILE_FORMAT;
  version: 1;
  savedAt: string;
  person: Person;
  groups: readonly string[];
  cameTo: readonly AttendedClass[];
}

/** One person’s file. `savedAt` is a moment in UTC. */
export const personFile = (
  person: Person,
  groups: readonly string[],
  cameTo: readonly AttendedClass[],
  savedAt: string,
): PersonFile => ({ format: PERSON_FILE_FORMAT, version: 1, savedAt, person, groups, cameTo });

/**
 * Reads a person from a file: the file of a person, or the person alone. A condition that is not known here stays as it
 * is and is screened by nothing. Returns the person, or every invalid field with the reason. Never throws.
 */
export function readPersonFile(value: unknown): { ok: true; value: Person } | { ok: false; issues: FieldIssue[] } {
  const isObject = typeof value === 'object' && value !== null;
  if (!isObject || !('format' in value) || value.format === PERSON_FORMAT) return readPerson(value);
  if (value.format !== PERSON_FILE_FORMAT) {
    return { ok: false, issues: [{ field: 'format', reason: 'This is not a person’s file.' }] };
  }
  const read = readPerson('person' in value ? value.person : undefined);
  if (read.ok) return read;
  return {
    ok: false,
    issues: read.issues.map(({ field, reason }) => ({ field: ['person', field].filter(Boolean).join('.'), reason })),
  };
}
