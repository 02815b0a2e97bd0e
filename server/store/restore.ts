import { chmodSync, copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import sqlite3 from 'sqlite3';
import { folderBeforeRestore } from './backups';
import { OWNER_ONLY, OWNER_ONLY_FOLDER } from './owner-only';
import { faultOf, flush } from './sqlite';
import { StartProblem } from './start-problem';

const PARTS = ['', '-wal', '-shm'] as const;

/** Whether another program, usually a running Zovrin, has a database file open. A damaged file counts as not open. */
async function isOpenElsewhere(file: string): Promise<boolean> {
  const database = new sqlite3.Database(file);
  try {
    return await new Promise<boolean>((resolve) => {
      // In exclusive mode SQLite gives the write-ahead log only to who is alone on the file.
      database.exec('PRAGMA locking_mode = EXCLUSIVE; BEGIN IMMEDIATE; ROLLBACK;', (error) => {
        const code = (error as { code?: string } | null)?.code;
        resolve(code === 'SQLITE_BUSY' || code === 'SQLITE_LOCKED');
      });
    });
  } finally {
    await new Promise<void>((done) => database.close(() => done()));
  }
}

/**
 * Puts a backup in the place of a database file. What was there is kept: it is copied into a folder beside the backups
 * first, and that folder is given back; undefined if there was nothing. Interrupted at any moment, either the old
 * file or the backup is in place, and the copy is whole before the old one is touched.
 * Throws a StartProblem where the backup is not sound or Zovrin is still running.
 */
export async function restoreBackup(file: string, backup: string, nowMs: number): Promise<string | undefined> {
  if (!existsSync(backup)) throw new StartProblem(`There is no backup ${backup}. Nothing was changed.`);
  const fault = await faultOf(backup);
  if (fault !== undefined) throw new StartProblem(`${backup} is damaged (${fault}). Nothing was changed.`);
  if (existsSync(file) && (await isOpenElsewhere(file))) {
    throw new StartProblem(`${file} is in use. Stop Zovrin first, then restore. Nothing was changed.`);
  }
  const folder = dirname(file);
  mkdirSync(folder, { recursive: true });
  const incoming = `${file}.restoring`;
  copyFileSync(backup, incoming);
  chmodSync(incoming, OWNER_ONLY);
  await flush(incoming);

  const kept = await setAside(file, nowMs);
  // The log belongs to the old file; SQLite would play it into the new one.
  for (const part of ['-wal', '-shm']) rmSync(file + part, { force: true });
  renameSync(incoming, file);
  await flush(folder);
  return kept;
}

/** Copies a database file and its log into a folder of their own. Returns the folder. */
async function setAside(file: string, nowMs: number): Promise<string | undefined> {
  const parts = PARTS.filter((part) => existsSync(file + part));
  if (parts.length === 0) return undefined;
  const folder = folderBeforeRestore(file, nowMs);
  mkdirSync(folder, { recursive: true, mode: OWNER_ONLY_FOLDER });
  for (const part of parts) {
    const copy = join(folder, basename(file) + part);
    copyFileSync(file + part, copy);
    chmodSync(copy, OWNER_ONLY);
    await flush(copy);
  }
  await flush(folder);
  return folder;
}
