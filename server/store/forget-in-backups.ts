import { existsSync, readdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import { backupFolder } from './backups';
import { connection } from './database';
import { forgetPerson } from './forget';
import { defineModels } from './models';

/** Every database in the folder of backups, those that were set aside by a restore too. */
function backedUp(file: string): string[] {
  const folder = backupFolder(file);
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && entry.name.endsWith('.sqlite'))
    .map((entry) => join(entry.parentPath, entry.name));
}

/** Forgets someone in one database file: all of it or nothing. Throws what SQLite throws. */
async function forgetIn(path: string, id: string, nowMs: number): Promise<void> {
  const database = connection(path);
  try {
    await database.query('PRAGMA secure_delete = ON');
    await database.query('BEGIN IMMEDIATE');
    try {
      await forgetPerson(defineModels(database), id, nowMs);
      await database.query('COMMIT');
    } catch (error) {
      await database.query('ROLLBACK').catch(() => undefined);
      throw error;
    }
    await database.query('PRAGMA wal_checkpoint(TRUNCATE)');
  } finally {
    await database.close();
  }
}

/**
 * Forgets someone in every backup of a database file as well. Returns the names of those in which that was not
 * possible.
 */
export async function forgetInBackups(file: string, id: string, nowMs: number): Promise<string[]> {
  const left: string[] = [];
  for (const path of backedUp(file)) await forgetIn(path, id, nowMs).catch(() => left.push(basename(path)));
  return left;
}
