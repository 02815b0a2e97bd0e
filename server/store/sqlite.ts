import { open } from 'node:fs/promises';
import sqlite3 from 'sqlite3';

/** Runs some work on a connection of its own, read-only, and closes it. Throws what SQLite throws. */
async function withReadOnly<T>(file: string, work: (database: sqlite3.Database) => Promise<T>): Promise<T> {
  const database = await new Promise<sqlite3.Database>((resolve, reject) => {
    const opened = new sqlite3.Database(file, sqlite3.OPEN_READONLY, (error) =>
      error ? reject(error) : resolve(opened),
    );
  });
  try {
    return await work(database);
  } finally {
    await new Promise<void>((done) => database.close(() => done()));
  }
}

const rows = <T>(database: sqlite3.Database, sql: string): Promise<T[]> =>
  new Promise((resolve, reject) =>
    database.all<T>(sql, (error: Error | null, found: T[]) => (error ? reject(error) : resolve(found))),
  );

/**
 * What is wrong with a database file, as SQLite says it, or undefined if the file is sound and holds Zovrin's
 * tables. A file that is no database at all is described too. Never throws.
 */
export async function faultOf(file: string): Promise<string | undefined> {
  try {
    return await withReadOnly(file, async (database) => {
      const [first] = await rows<{ quick_check: string }>(database, 'PRAGMA quick_check(1)');
      if (first?.quick_check !== 'ok') return first?.quick_check ?? 'it could not be checked';
      const tables = await rows<{ name: string }>(database, "SELECT name FROM sqlite_master WHERE name = 'plans'");
      return tables.length === 0 ? 'it has no plans table' : undefined;
    });
  } catch (error) {
    return (error as Error).message;
  }
}

/** Resolves when what was written to a file, or to a folder, is on the disk. */
export async function flush(path: string): Promise<void> {
  const handle = await open(path, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}
