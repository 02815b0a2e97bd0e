import { chmodSync, closeSync, existsSync, mkdirSync, openSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, extname, join } from 'node:path';
import type { Sequelize } from 'sequelize';
import { OWNER_ONLY, OWNER_ONLY_FOLDER } from './owner-only';
import { faultOf, flush } from './sqlite';

/** Backups are kept of so many days, the latest of each day. Days without one do not count. */
export const BACKUP_DAYS = 14;
/** Of so many months before, the latest of each month is kept. Months without one do not count. */
const BACKUP_MONTHS = 12;

/** The folder of a database file's backups, beside it. */
export const backupFolder = (file: string): string => join(dirname(file), 'backups');

const nameOf = (file: string): string => basename(file, extname(file));
const stamp = (ms: number): string => new Date(ms).toISOString().replace(/:/g, '').slice(0, 17);

export interface Backup {
  path: string;
  /** The day in UTC: `2026-11-29`. */
  day: string;
  madeAtMs: number;
}

/** The backups of a database file, the newest first. */
export function backupsOf(file: string): Backup[] {
  const folder = backupFolder(file);
  if (!existsSync(folder)) return [];
  const pattern = /-(\d{4}-\d{2}-\d{2})T(\d{2})(\d{2})(\d{2})\.sqlite$/;
  const name = nameOf(file);
  return readdirSync(folder)
    .flatMap((entry) => {
      const [, day, hours, minutes, seconds] = pattern.exec(entry) ?? [];
      const isOurs = day !== undefined && entry.startsWith(`${name}-${day}T`);
      const madeAtMs = Date.parse(`${day}T${hours}:${minutes}:${seconds}Z`);
      return isOurs ? [{ path: join(folder, entry), day, madeAtMs }] : [];
    })
    .sort((a, b) => b.path.localeCompare(a.path));
}

/**
 * Deletes backups of the same day but the latest. Of what is older than the newest 14 days, the latest of each of the
 * 12 months before is kept. The clock has no say in it.
 */
function pruneBackups(file: string): void {
  const [days, months] = [new Set<string>(), new Set<string>()];
  for (const { path, day } of backupsOf(file)) {
    const isLatestOfItsDay = !days.has(day);
    days.add(day);
    if (isLatestOfItsDay && days.size <= BACKUP_DAYS) continue;
    const month = day.slice(0, 7);
    const isLatestOfItsMonth = isLatestOfItsDay && !months.has(month);
    months.add(month);
    if (!isLatestOfItsMonth || months.size > BACKUP_MONTHS) rmSync(path, { force: true });
  }
}

/** Writes a copy of the whole database, as it is at one moment, to a path that only its owner can read. */
async function writeCopy(database: Sequelize, path: string): Promise<void> {
  mkdirSync(dirname(path), { recursive: true, mode: OWNER_ONLY_FOLDER });
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
    await flush(dirname(path));
  } finally {
    rmSync(unfinished, { force: true });
  }
}

/**
 * Writes a copy of the whole database beside it, and checks it by opening it. Returns its path; throws if it could not
 * be written or does not open, and then there is none.
 */
export async function backUp(database: Sequelize, file: string, nowMs: number): Promise<string> {
  const path = join(backupFolder(file), `${nameOf(file)}-${stamp(nowMs)}.sqlite`);
  await writeCopy(database, path);
  pruneBackups(file);
  return path;
}

/** A folder of its own among the backups, for what a restore replaces. It is never cleared away by itself. */
export const folderBeforeRestore = (file: string, nowMs: number): string =>
  join(backupFolder(file), `before-restore-${new Date(nowMs).toISOString().replace(/[:.]/g, '')}`);

/** Writes a copy of the whole database, as it is before a restore, into a folder of its own. Returns its path. */
export async function keepBeforeRestore(database: Sequelize, file: string, nowMs: number): Promise<string> {
  const path = join(folderBeforeRestore(file, nowMs), basename(file));
  await writeCopy(database, path);
  return path;
}

/** The copies that were kept before a restore, the newest first. */
export function keptBeforeRestores(file: string): Omit<Backup, 'day'>[] {
  const folder = backupFolder(file);
  if (!existsSync(folder)) return [];
  const pattern = /^before-restore-(\d{4}-\d{2}-\d{2})T(\d{2})(\d{2})(\d{2})\d{3}Z$/;
  return readdirSync(folder)
    .flatMap((entry) => {
      const [, day, hours, minutes, seconds] = pattern.exec(entry) ?? [];
      const path = join(folder, entry, basename(file));
      return day !== undefined && existsSync(path)
        ? [{ path, madeAtMs: Date.parse(`${day}T${hours}:${minutes}:${seconds}Z`) }]
        : [];
    })
    .sort((a, b) => b.madeAtMs - a.madeAtMs);
}
