import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { QueryTypes, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { migrations } from './migrations';

/**
 * Opens the database file, makes it durable and brings it up to date.
 *
 * Write-ahead log, so that readers never wait for the writer; synchronous FULL, so that a write that was acknowledged
 * is on the disk and survives a crash of the process, of the system and a loss of power. At a teacher's rate of writing
 * the extra flush costs nothing one could notice.
 */
export async function openDatabase(file: string): Promise<Sequelize> {
  mkdirSync(dirname(file), { recursive: true });
  const database = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    retry: { match: [/SQLITE_BUSY/], max: 2 },
  });
  await database.query('PRAGMA journal_mode = WAL', { type: QueryTypes.SELECT });
  await database.query('PRAGMA synchronous = FULL', { type: QueryTypes.RAW });
  await database.query('PRAGMA busy_timeout = 3000', { type: QueryTypes.RAW });
  const umzug = new Umzug({
    migrations,
    context: database.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize: database }),
    logger: undefined,
  });
  await umzug.up();
  return database;
}
