import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { migrations } from './migrations';

const BUSY_MS = 1000;

/**
 * A connection to the database file, made durable.
 *
 * Write-ahead log, so that readers never wait for the writer; synchronous FULL, so that a write that was acknowledged
 * is on the disk and survives a crash of the process, of the system and a loss of power. At a teacher's rate of writing
 * the extra flush costs nothing one could notice.
 */
export async function connect(file: string): Promise<Sequelize> {
  mkdirSync(dirname(file), { recursive: true });
  const database = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    retry: { match: [/SQLITE_BUSY/], max: 2 },
  });
  for (const pragma of ['journal_mode = WAL', 'synchronous = FULL', `busy_timeout = ${BUSY_MS}`]) {
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
