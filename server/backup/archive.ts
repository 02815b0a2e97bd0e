import { createHash } from 'node:crypto';
import { setImmediate as breathe } from 'node:timers/promises';
import { unzipSync, Zip, ZipDeflate } from 'fflate';
import { z } from 'zod';
import { StoredKind } from '#api';
import { sliced } from '../store/sliced';
import type { BackedUp, Contents } from './contents';

/** A file that is no backup, or one that cannot be taken; the message says why and what to do. */
export class BackupProblem extends Error {}

const BACKUP_FORMAT = 'zovrin-backup';
const BACKUP_VERSION = 1;
/** No backup holds more than this when it is unpacked: a small file can pretend to be a very large one. */
const MAX_UNPACKED_BYTES = 2_000_000_000;
const MANIFEST = 'manifest.json';

const Moment = z.int().min(0);
const ManifestFile = z.strictObject({
  path: z.string(),
  kind: StoredKind,
  id: z.string().min(1).max(64),
  title: z.string(),
  bytes: z.int().min(0),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  createdMs: Moment,
  updatedMs: Moment,
  deletedMs: Moment.nullable(),
});
/** What a backup says of itself: when it was made, whether people are in it, and each file with its checksum. */
const Manifest = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(BACKUP_VERSION),
  madeAtMs: Moment,
  withPeople: z.boolean(),
  /** Rows that were left out because their text is damaged. */
  damaged: z.int().min(0),
  counts: z.partialRecord(StoredKind, z.int().min(0)),
  files: z.array(ManifestFile),
});
type Manifest = z.infer<typeof Manifest>;

const FOLDERS: Readonly<Record<StoredKind, string>> = {
  plan: 'plans',
  variants: 'variants',
  run: 'sessions',
  entry: 'entries',
  person: 'people',
  group: 'groups',
  class: 'decisions',
  place: 'places',
  course: 'courses',
  journal: 'journal',
  settings: 'settings',
};
const pathOf = ({ kind, id }: Pick<BackedUp, 'kind' | 'id'>): string =>
  `${FOLDERS[kind]}/${encodeURIComponent(id)}.json`;
const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

function countsOf(documents: readonly BackedUp[]): Manifest['counts'] {
  const counts: Partial<Record<StoredKind, number>> = {};
  for (const { kind } of documents) counts[kind] = (counts[kind] ?? 0) + 1;
  return counts;
}

/** Writes a backup as one ZIP file, a piece at a time, so that other requests are answered meanwhile. */
export async function writeArchive(contents: Contents, withPeople: boolean, madeAtMs: number): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  const failures: Error[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) failures.push(error);
    else chunks.push(chunk);
  });
  const put = (path: string, bytes: Uint8Array): void => {
    const file = new ZipDeflate(path, { level: 6 });
    file.mtime = madeAtMs;
    zip.add(file);
    file.push(bytes, true);
  };
  const files = await sliced(contents.documents, (document) => {
    const bytes = Buffer.from(document.text, 'utf8');
    const path = pathOf(document);
    put(path, bytes);
    const { kind, id, title, createdMs, updatedMs, deletedMs } = document;
    return { path, kind, id, title, bytes: bytes.length, sha256: sha256(bytes), createdMs, updatedMs, deletedMs };
  });
  const manifest: Manifest = {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    madeAtMs,
    withPeople,
    damaged: contents.damaged,
    counts: countsOf(contents.documents),
    files,
  };
  put(MANIFEST, Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`, 'utf8'));
  zip.end();
  if (failures[0]) throw failures[0];
  return Buffer.concat(chunks);
}

/** A backup that was read: its documents, what it says of itself, and what in it is damaged, in sentences. */
export interface ReadArchive {
  manifest: Manifest;
  documents: BackedUp[];
  faults: string[];
}

/** Whether bytes begin as a ZIP file does. */
export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b && (bytes[2] ?? 9) < 9;

function unpack(bytes: Uint8Array): Record<string, Uint8Array> {
  let left = MAX_UNPACKED_BYTES;
  try {
    return unzipSync(bytes, {
      filter: ({ originalSize }) => {
        left -= originalSize;
        if (left < 0) throw new BackupProblem('This file says that it holds more than 2 GB. It was not opened.');
        return true;
      },
    });
  } catch (error) {
    if (error instanceof BackupProblem) throw error;
    throw new BackupProblem('This backup is damaged: it cannot be unpacked. Try an earlier one.');
  }
}

function readManifest(bytes: Uint8Array | undefined): Manifest {
  if (!bytes) throw new BackupProblem('This is a ZIP file, but no backup of Zovrin: it has no manifest.json.');
  let value: unknown;
  try {
    value = JSON.parse(Buffer.from(bytes).toString('utf8'));
  } catch {
    throw new BackupProblem('This backup is damaged: its manifest cannot be read. Try an earlier one.');
  }
  const { format, version } = (value ?? {}) as { format?: unknown; version?: unknown };
  if (format !== BACKUP_FORMAT) throw new BackupProblem('This is a ZIP file, but no backup of Zovrin.');
  if (typeof version === 'number' && version > BACKUP_VERSION) {
    throw new BackupProblem('This backup was made by a newer Zovrin than this one. Update Zovrin, then restore it.');
  }
  const read = Manifest.safeParse(value);
  if (!read.success)
    throw new BackupProblem('This backup is damaged: its manifest is not complete. Try an earlier one.');
  return read.data;
}

/**
 * Reads a backup and checks every file in it against its checksum. What is damaged is named and left out. Throws a
 * BackupProblem where it is no backup, is of a newer version, or cannot be unpacked.
 */
export async function readArchive(bytes: Uint8Array): Promise<ReadArchive> {
  if (!isZip(bytes)) throw new BackupProblem('This is no backup of Zovrin.');
  const files = unpack(bytes);
  await breathe();
  const manifest = readManifest(files[MANIFEST]);
  const faults: string[] = [];
  const read = await sliced(
    manifest.files,
    ({ path, kind, id, title, sha256: sum, createdMs, updatedMs, deletedMs }) => {
      const file = Object.hasOwn(files, path) ? files[path] : undefined;
      if (!file) faults.push(`${path} (“${title}”) is missing`);
      else if (sha256(file) !== sum) faults.push(`${path} (“${title}”) is damaged`);
      else return [{ kind, id, title, text: Buffer.from(file).toString('utf8'), createdMs, updatedMs, deletedMs }];
      return [];
    },
  );
  return { manifest, documents: read.flat(), faults };
}
