import { chmodSync, closeSync, existsSync, mkdirSync, openSync } from 'node:fs';
import { dirname } from 'node:path';
import { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { migrations } from './migrations';

const BUSY_MS = 1000;

const OWNER_ONLY = 0o600;

/**
 * Lets nobody but the owner read a database file and what lies beside it: people's health notes are in it. SQLite gives the
 * files beside it the mode of the first, so that is made before it is opened.
 */
function keepToOwner(file: string): void {
  if (!existsSync(file)) closeSync(openSync(file, 'a', OWNER_ONLY));
  for (const beside of ['', '-wal', '-shm', '-journal']) {
    if (existsSync(file + beside)) chmodSync(file + beside, OWNER_ONLY);
  }
}

/**
 * A connection to the database file, made durable.
 *
 * Write-ahead log, so that readers never wait for the writer; synchronous FULL, so that a write that was acknowledged
 * is on the disk and survives a crash of the process, of the system and a loss of power. At a teacher's rate of writing
 * the extra flush costs nothing one could notice.
 */
export async function connect(file: string): Promise<Sequelize> {
  mkdirSync(dirname(file), { recursive: true });
  keepToOwner(file);
  const database = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    retry: { match: [/SQLITE_BUSY/], max: 2 },
  });
  // What is deleted is overwritten: someone who was forgotten is not left in free pages.
  for (const pragma of [
    'secure_delete = ON',
    'journal_mode = WAL',
    'synchronous = FULL',
    `busy_timeout = ${BUSY_MS}`,
  ]) {
    await database.query(`PRAGMA ${pragma}`);
  }
  return database;
}

/** Brings the tables up to date. */
export async function migrate(database: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations,
    context: database.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize: database }),
    logger: undefined,
  });
  await umzug.up();
}
