import { chmodSync, closeSync, existsSync, mkdirSync, openSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, extname, join } from 'node:path';
import type { Sequelize } from 'sequelize';
import { faultOf, flush } from './sqlite';

/** Backups are kept of so many days, the latest of each day. Days without one do not count. */
export const BACKUP_DAYS = 14;
const OWNER_ONLY = 0o600;
const FOLDER_MODE = 0o700;

/** The folder of a database file's backups, beside it. */
export const backupFolder = (file: string): string => join(dirname(file), 'backups');

const nameOf = (file: string): string => basename(file, extname(file));
const stamp = (ms: number): string => new Date(ms).toISOString().replace(/:/g, '').slice(0, 17);

export interface Backup {
  path: string;
  /** The day in UTC: `2026-11-29`. */
  day: string;
}

/** The backups of a database file, the newest first. */
export function backupsOf(file: string): Backup[] {
  const folder = backupFolder(file);
  if (!existsSync(folder)) return [];
  const pattern = /-(\d{4}-\d{2}-\d{2})T\d{6}\.sqlite$/;
  const name = nameOf(file);
  return readdirSync(folder)
    .flatMap((entry) => {
      const day = pattern.exec(entry)?.[1];
      const isOurs = day !== undefined && entry.startsWith(`${name}-${day}T`);
      return isOurs ? [{ path: join(folder, entry), day }] : [];
    })
    .sort((a, b) => b.path.localeCompare(a.path));
}

/** Deletes backups of the same day but the latest, and days beyond the newest 14. The clock has no say in it. */
function pruneBackups(file: string): void {
  const days = new Set<string>();
  for (const { path, day } of backupsOf(file)) {
    const isLatestOfItsDay = !days.has(day);
    days.add(day);
    if (!isLatestOfItsDay || days.size > BACKUP_DAYS) rmSync(path, { force: true });
  }
}

/**
 * Writes a copy of the whole database, as it is at one moment, beside it, and checks it by opening it. Only its owner
 * can read it. Returns its path; throws if it could not be written or does not open, and then there is none.
 */
export async function backUp(database: Sequelize, file: string, nowMs: number): Promise<string> {
  const folder = backupFolder(file);
  mkdirSync(folder, { recursive: true, mode: FOLDER_MODE });
  const path = join(folder, `${nameOf(file)}-${stamp(nowMs)}.sqlite`);
  const unfinished = `${path}.unfinished`;
  rmSync(unfinished, { force: true });
  // SQLite writes into an empty file that is there, and leaves its mode as it is.
  closeSync(openSync(unfinished, 'wx', OWNER_ONLY));
  chmodSync(unfinished, OWNER_ONLY);
  try {
    await database.query('VACUUM INTO $1', { bind: [unfinished] });
    const fault = await faultOf(unfinished);
    if (fault !== undefined) throw new Error(`The backup was written but does not open: ${fault}`);
    await flush(unfinished);
    renameSync(unfinished, path);
    await flush(folder);
  } finally {
    rmSync(unfinished, { force: true });
  }
  pruneBackups(file);
  return path;
}
