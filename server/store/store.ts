import { Mutex } from 'async-mutex';
import { Transaction, type Sequelize } from 'sequelize';
import { openDatabase } from './database';
import { defineModels, type Models } from './models';

/** What the routes keep things in: the tables, a clock, and one writer at a time. */
export interface Store extends Models {
  now: () => number;
  /** Runs a change as one transaction; changes wait for each other, so that a revision is read and raised in one piece. */
  write<T>(change: (transaction: Transaction) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

export const BIN_DAYS = 30;
export const BIN_MS = BIN_DAYS * 24 * 3600 * 1000;

/** Opens the store in a file. `now` gives milliseconds since 1970 UTC. Throws where the file cannot be opened. */
export async function openStore(file: string, now: () => number = Date.now): Promise<Store> {
  const database: Sequelize = await openDatabase(file);
  const writer = new Mutex();
  return {
    ...defineModels(database),
    now,
    write: (change) => writer.runExclusive(() => database.transaction({ type: Transaction.TYPES.IMMEDIATE }, change)),
    close: () => database.close(),
  };
}

export const iso = (ms: number): string => new Date(ms).toISOString();
