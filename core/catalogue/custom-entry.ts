import { z } from 'zod';
import { practiceFromVersion1 } from '#core/breath';
import { migrate, readDocument, type DocumentKind, type Migration, type Read } from '#core/document';
import { Position } from './position';
import { Technique } from './technique';

const ENTRY_FORMAT = 'zovrin-entry';
export const ENTRY_VERSION = 5;

const document = {
  format: z.literal(ENTRY_FORMAT, 'This is not a library entry.'),
  version: z.literal(ENTRY_VERSION),
};

/** A custom entry as it is stored, sent, and saved with the plans that use it. */
export const CustomEntry = z.discriminatedUnion('kind', [
  z.strictObject({ ...document, kind: z.literal('position'), entry: Position }),
  z.strictObject({ ...document, kind: z.literal('technique'), entry: Technique }),
]);
export type CustomEntry = z.infer<typeof CustomEntry>;

/** Version 2: a technique's practice holds sounds, places, locks and changes over its rounds. */
const fromVersion1: Migration = (document) =>
  document.kind === 'technique' && typeof document.entry === 'object' && document.entry !== null
    ? {
        ...document,
        entry: {
          ...document.entry,
          practice: practiceFromVersion1((document.entry as Record<string, unknown>).practice),
        },
      }
    : document;

/** Version 3: the rows of a set-up may be custom props, with a size; older ones are rows as they are. */
const fromVersion2: Migration = (document) => document;
/** Version 4: a set-up may say on or at what it is made, and a wall how far away it is; older ones say neither. */
const fromVersion3: Migration = (document) => document;
/** Version 5: a technique may have lines to read aloud, and an entry what goes wrong and what is seen; older ones have neither. */
const fromVersion4: Migration = (document) => document;

const ENTRY_DOCUMENT: DocumentKind<CustomEntry> = {
  format: ENTRY_FORMAT,
  called: 'a library entry',
  version: ENTRY_VERSION,
  migrations: { 1: fromVersion1, 2: fromVersion2, 3: fromVersion3, 4: fromVersion4 },
  schema: CustomEntry,
};

/**
 * Reads an entry from anything: a request, a file, the database. Older versions are migrated first.
 * Returns the entry, or every invalid field with the reason. Never throws.
 */
export const readEntry = (value: unknown): Read<CustomEntry> => readDocument(ENTRY_DOCUMENT, value);

/**
 * Upgrades an entry of any version to the newest without validating it, for unfinished entries. A value of no known
 * version comes back unchanged. Never throws.
 */
export function upgradedEntry(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('version' in value)) return value;
  const { version } = value;
  const known = typeof version === 'number' && Number.isInteger(version) && version >= 1 && version <= ENTRY_VERSION;
  return known ? migrate(value as Record<string, unknown>, ENTRY_DOCUMENT.migrations, ENTRY_VERSION) : value;
}

/** The document of a position or a custom technique. */
export const positionDocument = (entry: Position): CustomEntry => ({
  format: ENTRY_FORMAT,
  version: ENTRY_VERSION,
  kind: 'position',
  entry,
});
export const techniqueDocument = (entry: Technique): CustomEntry => ({
  format: ENTRY_FORMAT,
  version: ENTRY_VERSION,
  kind: 'technique',
  entry,
});
