import { copyFileSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join, relative, sep } from 'node:path';
import { backupFolder, backupsOf, keptBeforeRestores } from '../store/backups';
import { checkNotNewer, connection, migrate } from '../store/database';
import { defineModels } from '../store/models';
import { faultOf } from '../store/sqlite';
import { StartProblem } from '../store/start-problem';
import type { StoredKind } from '#api';
import { BackupProblem } from './archive';
import { contentsOf, type Contents } from './contents';

/**
 * Reads everything in a copy of the database, of this version or an older one. The copy itself is left as it is. Throws
 * a BackupProblem where it is damaged or was written by a newer Zovrin.
 */
export async function contentsOfCopy(path: string): Promise<Contents> {
  const fault = await faultOf(path);
  if (fault !== undefined) throw new BackupProblem(`${basename(path)} is damaged (${fault}). Try an earlier one.`);
  // Only its owner can read it: mkdtemp makes the folder so.
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-copy-'));
  try {
    const file = join(folder, 'copy.sqlite');
    copyFileSync(path, file);
    const database = connection(file);
    try {
      await checkNotNewer(database, path);
      await migrate(database);
      return await contentsOf(defineModels(database), true);
    } finally {
      await database.close();
    }
  } catch (error) {
    throw error instanceof StartProblem ? new BackupProblem(error.message) : error;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A copy of the database: its name below the folder of backups, and when and why it was made. */
interface Copy {
  path: string;
  name: string;
  madeAtMs: number;
  bytes: number;
  beforeRestore: boolean;
}

/** The copies of a database, made daily or before a restore, the newest first. */
export function copiesOf(file: string): Copy[] {
  const copy = (beforeRestore: boolean) => (one: { path: string; madeAtMs: number }) => ({
    path: one.path,
    name: relative(backupFolder(file), one.path).replaceAll(sep, '/'),
    madeAtMs: one.madeAtMs,
    bytes: statSync(one.path).size,
    beforeRestore,
  });
  const all = [...backupsOf(file).map(copy(false)), ...keptBeforeRestores(file).map(copy(true))];
  return all.sort((one, other) => other.madeAtMs - one.madeAtMs);
}

/** What was found when a copy was read back: how much of each kind, or why it cannot be read. */
export type ReadBack = { ok: true; counts: Partial<Record<StoredKind, number>> } | { ok: false; reason: string };

/** Reads copies back to see whether they can be. A copy does not change: each is read once, as long as it is there. */
export function copyReader() {
  const known = new Map<string, ReadBack>();

  async function attempt(path: string): Promise<ReadBack> {
    try {
      const { documents, damaged } = await contentsOfCopy(path);
      const counts: Partial<Record<StoredKind, number>> = {};
      for (const { kind } of documents) counts[kind] = (counts[kind] ?? 0) + 1;
      const reason = damaged === 1 ? '1 document in it is damaged.' : `${damaged} documents in it are damaged.`;
      return damaged === 0 ? { ok: true, counts } : { ok: false, reason };
    } catch (error) {
      return { ok: false, reason: (error as Error).message };
    }
  }

  return async (path: string): Promise<ReadBack> => {
    const { mtimeMs, size } = statSync(path);
    const key = `${path} ${mtimeMs} ${size}`;
    const found = known.get(key) ?? (await attempt(path));
    known.set(key, found);
    return found;
  };
}
