import { Mutex } from 'async-mutex';
import { connect, migrate } from './database';
import { defineModels, type Models } from './models';

/** What the routes keep things in: the tables to read from, one writer at a time, and a clock. */
export interface Store extends Models {
  now: () => number;
  /**
   * Makes a change as one transaction, on the tables it is given. Changes wait for each other, so that a revision is
   * read and raised in one piece; they have a connection of their own, so that nobody reads what is not committed.
   */
  write<T>(change: (tables: Models) => Promise<T>): Promise<T>;
  /** Writes what waits in the log into the file and empties the log, so that nothing deleted is left in it. */
  sweep(): Promise<void>;
  close(): Promise<void>;
}

const BIN_DAYS = 30;
/** How long the bin keeps what was deleted, in milliseconds. */
export const BIN_MS = BIN_DAYS * 24 * 3600 * 1000;

/** Opens the store in a file. `now` gives milliseconds since 1970 UTC. Throws where the file cannot be opened. */
export async function openStore(file: string, now: () => number = Date.now): Promise<Store> {
  const writer = await connect(file);
  await migrate(writer);
  const reader = await connect(file);
  const tables = defineModels(writer);
  const turn = new Mutex();

  async function transact<T>(change: (tables: Models) => Promise<T>): Promise<T> {
    await writer.query('BEGIN IMMEDIATE');
    try {
      const result = await change(tables);
      await writer.query('COMMIT');
      return result;
    } catch (error) {
      await writer.query('ROLLBACK').catch(() => undefined);
      throw error;
    }
  }

  return {
    ...defineModels(reader),
    now,
    write: (change) => turn.runExclusive(() => transact(change)),
    sweep: () => turn.runExclusive(async () => void (await writer.query('PRAGMA wal_checkpoint(TRUNCATE)'))),
    async close() {
      await reader.close();
      await writer.close();
    },
  };
}

export const iso = (ms: number): string => new Date(ms).toISOString();
