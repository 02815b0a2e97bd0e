import type { z } from 'zod';
import { fieldIssues, type FieldIssue } from './issues';

type Document = Record<string, unknown>;

/** Turns a document of version n into one of version n + 1. */
export type Migration = (document: Document) => Document;

/** A kind of document: what it calls itself, what it is called, its newest version and the way there. */
export interface DocumentKind<T> {
  format: string;
  /** With its article: `a plan`. */
  called: string;
  version: number;
  /** By the version they start from. */
  migrations: Readonly<Record<number, Migration>>;
  schema: z.ZodType<T>;
}

/** A document, or every invalid field with the reason. */
export type Read<T> = { ok: true; value: T } | { ok: false; issues: FieldIssue[] };

/**
 * Brings a document up to `target`, one numbered migration after the other.
 * Throws a RangeError where a migration is missing; the caller has checked that the version is known.
 */
export function migrate(document: Document, migrations: Readonly<Record<number, Migration>>, target: number): Document {
  let current = document;
  for (let version = Number(document.version); version < target; version++) {
    const step = migrations[version];
    if (!step) throw new RangeError(`No migration from version ${version}.`);
    current = { ...step(current), version: version + 1 };
  }
  return current;
}

/**
 * Reads a document from any value: a request, a file, the database. Older versions are migrated first. Returns the
 * document, or every invalid field with the reason. Never throws.
 */
export function readDocument<T>(kind: DocumentKind<T>, value: unknown): Read<T> {
  const refuse = (field: string, reason: string): Read<T> => ({ ok: false, issues: [{ field, reason }] });
  const named = kind.called.replace(/^a/, 'A');
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return refuse('', `This is not ${kind.called}.`);
  const document = value as Document;
  if (document.format !== kind.format) return refuse('format', `${named} has the format “${kind.format}”.`);
  const { version } = document;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refuse('version', `${named} has a version, a whole number from 1.`);
  }
  if (version > kind.version) {
    const noun = kind.called.replace(/^an? /, '');
    return refuse('version', `This ${noun} has version ${version}; this Zovrin reads up to version ${kind.version}.`);
  }
  const parsed = kind.schema.safeParse(migrate(document, kind.migrations, kind.version));
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: fieldIssues(parsed.error) };
}
