import { chmodSync, closeSync, existsSync, mkdirSync, openSync } from 'node:fs';
import { dirname } from 'node:path';
import { QueryTypes, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { backupsOf } from './backups';
import { OWNER_ONLY } from './owner-only';
import { migrations } from './migrations';
import { sqliteCode } from '../sqlite-code';
import { StartProblem } from './start-problem';

const BUSY_MS = 1000;

/**
 * Lets nobody but the owner read a database file and what lies beside it: people's health notes are in it. SQLite gives
 * the files beside it the mode of the first, so that is made before it is opened.
 */
function keepToOwner(file: string): void {
  if (!existsSync(file)) closeSync(openSync(file, 'a', OWNER_ONLY));
  for (const beside of ['', '-wal', '-shm', '-journal']) {
    if (existsSync(file + beside)) chmodSync(file + beside, OWNER_ONLY);
  }
}

/** A connection to the database file, which only its owner can read. The file is opened with the first query. */
export function connection(file: string): Sequelize {
  mkdirSync(dirname(file), { recursive: true });
  keepToOwner(file);
  return new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    retry: { match: [/SQLITE_BUSY/], max: 2 },
  });
}

/**
 * Makes a connection durable: a write-ahead log, so that readers never wait for the writer; synchronous FULL, so that a
 * write that was acknowledged is on the disk and survives a crash of the process, of the system and a loss of power. At
 * a teacher's rate of writing the extra flush costs nothing one could notice.
 */
export async function makeDurable(database: Sequelize): Promise<void> {
  // What is deleted is overwritten: someone who was forgotten is not left in free pages.
  for (const pragma of [
    'secure_delete = ON',
    'journal_mode = WAL',
    'synchronous = FULL',
    `busy_timeout = ${BUSY_MS}`,
  ]) {
    await database.query(`PRAGMA ${pragma}`);
  }
}

const DAMAGED: ReadonlySet<string | undefined> = new Set(['SQLITE_CORRUPT', 'SQLITE_NOTADB']);

/** The sentences for a damaged file: which it is, that it was left alone, and the newest backup. */
function damaged(file: string, fault: string): StartProblem {
  const [newest] = backupsOf(file);
  const next = newest
    ? `The newest backup is ${newest.path}. To go back to it: bin/restore ${newest.path}`
    : 'There is no backup beside it. Keep the file: parts of it may still be readable.';
  return new StartProblem(`The database ${file} is damaged (${fault}). Nothing in it was changed.\n${next}`);
}

/** Runs some work on a database that is being opened. Throws a StartProblem where the file turns out to be damaged. */
export async function expectSound<T>(file: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (DAMAGED.has(sqliteCode(error))) throw damaged(file, (error as Error).message.replace(/^SQLITE_\w+: /, ''));
    throw error;
  }
}

/** What SQLite says of a fault, without the stars it puts around the name of the database. */
const inOneLine = (fault: string): string => fault.replace(/\*{3}.*\*{3}\s*/, '').replace(/\s+/g, ' ');

/** Checks a database file that was opened. Throws a StartProblem where it is damaged. */
export async function checkSound(database: Sequelize, file: string): Promise<void> {
  const [first] = await database.query<{ quick_check: string }>('PRAGMA quick_check(1)', { type: QueryTypes.SELECT });
  if (first?.quick_check !== 'ok') throw damaged(file, inOneLine(first?.quick_check ?? 'it could not be checked'));
}

/** Throws a StartProblem where a database was written by a Zovrin that has migrations this one does not know. */
export async function checkNotNewer(database: Sequelize, file: string): Promise<void> {
  const tables = await database.getQueryInterface().showAllTables();
  if (!tables.includes('SequelizeMeta')) return;
  const done = await database.query<{ name: string }>('SELECT name FROM SequelizeMeta', { type: QueryTypes.SELECT });
  const known = new Set(migrations.map(({ name }) => name));
  const unknown = done.filter(({ name }) => !known.has(name)).map(({ name }) => name);
  if (unknown.length === 0) return;
  throw new StartProblem(
    `The database ${file} was written by a newer Zovrin than this one (it has ${unknown.join(', ')}). ` +
      'Nothing in it was changed. Start the newer Zovrin, or go back to a backup from before: bin/restore',
  );
}

/** Brings the tables up to date: all of what is missing or, where it is interrupted, none of it. */
export async function migrate(database: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations,
    context: database.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize: database }),
    logger: undefined,
  });
  await database.query('BEGIN IMMEDIATE');
  try {
    await umzug.up();
    await database.query('COMMIT');
  } catch (error) {
    await database.query('ROLLBACK').catch(() => undefined);
    throw error;
  }
}
