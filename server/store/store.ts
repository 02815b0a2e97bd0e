import { existsSync, statSync } from 'node:fs';
import { setTimeout as delay } from 'node:timers/promises';
import { Mutex } from 'async-mutex';
import type { Sequelize } from 'sequelize';
import { backUp, keepBeforeRestore } from './backups';
import { checkNotNewer, checkSound, connection, expectSound, makeDurable, migrate } from './database';
import { watchForLoss } from './lost-file';
import { defineModels, type Models } from './models';
import { statementsOf, type Statements } from './statements';
import { forgetWorkings, newWorkings, type Workings } from './workings';

/** The tables, and statements on the same connection for what is asked all the time. */
export interface Tables extends Models {
  sql: Statements;
}

/** What the routes keep things in: the tables to read from, one writer at a time, and a clock. */
export interface Store extends Tables {
  /** The path of the database file. */
  file: string;
  now: () => number;
  /**
   * Makes a change as one transaction, on the tables it is given. Changes wait for each other, so that a revision is
   * read and raised in one piece; they have a connection of their own, so that nobody reads what is not committed.
   * Throws an HttpProblem, and stores nothing, where the database file was deleted or replaced meanwhile.
   */
  write<T>(change: (tables: Tables) => Promise<T>): Promise<T>;
  /** Makes many changes as one transaction: all of them, or none. The store it gives is for the work inside only. */
  atomically<T>(work: (inside: Store) => Promise<T>): Promise<T>;
  /** Calls back after every change that was committed through this store. Returns what ends that. */
  afterWrite(listener: () => void): () => void;
  /** A number that is another one whenever the database was changed, by this process or by any other. */
  version(): Promise<number>;
  /** What was worked out of stored rows and is kept until they change. */
  workings(): Promise<Workings>;
  /** Drops everything: something was changed that no stamp covers. */
  forgetWorkings(): void;
  /**
   * Writes what waits in the log into the file and empties the log, so that nothing deleted is left in it. Tries for a
   * while where another program reads; false where it still does.
   */
  sweep(): Promise<boolean>;
  /** Backs the database up into its folder of backups, and gives the path. */
  backUp(): Promise<string>;
  /** Copies the database as it is before a restore, where it is kept for good, and gives the path. */
  keepBeforeRestore(): Promise<string>;
  close(): Promise<void>;
}

const BIN_DAYS = 30;
/** How long the bin keeps what was deleted, in milliseconds. */
export const BIN_MS = BIN_DAYS * 24 * 3600 * 1000;

/** After so many changes the log is written into the file, beside the writer. */
const CHECKPOINT_AFTER = 200;
const SWEEP_TRIES = 3;
const SWEEP_PAUSE_MS = 100;

/** Opens the file for writing, checks it, backs it up where it held something, and brings its tables up to date. */
async function openWriter(file: string, now: () => number): Promise<Sequelize> {
  const wasThere = existsSync(file) && statSync(file).size > 0;
  const writer = connection(file);
  try {
    await expectSound(file, async () => {
      await makeDurable(writer);
      if (wasThere) {
        await checkSound(writer, file);
        await checkNotNewer(writer, file);
        const tables = await writer.getQueryInterface().showAllTables();
        if (tables.includes('plans')) await backUp(writer, file, now());
      }
      await migrate(writer);
    });
  } catch (error) {
    await writer.close();
    throw error;
  }
  return writer;
}

/**
 * Opens the store in a file. `now` gives milliseconds since 1970 UTC. Throws a StartProblem, with what to do, where the
 * file is damaged or was written by a newer Zovrin.
 */
export async function openStore(file: string, now: () => number = Date.now): Promise<Store> {
  const writer = await openWriter(file, now);
  const reader = connection(file);
  /** For what would keep reads or writes waiting on their own connections. */
  const keeper = connection(file);
  for (const database of [reader, keeper]) await makeDurable(database);
  await writer.query('PRAGMA wal_autocheckpoint = 0');
  const [toRead, toWrite, toKeep] = [reader, writer, keeper].map(statementsOf) as [Statements, Statements, Statements];
  const tables: Tables = { ...defineModels(writer), sql: toWrite };
  const turn = new Mutex();
  const loss = watchForLoss(reader, file, now);
  const listeners = new Set<() => void>();
  const workings = newWorkings();
  let [sinceCheckpoint, checkpointing] = [0, false];
  let foreign = -1;

  async function transact<T>(change: (tables: Tables) => Promise<T>): Promise<T> {
    await loss.check();
    await toWrite.run('BEGIN IMMEDIATE');
    try {
      const result = await change(tables);
      await toWrite.run('COMMIT');
      await loss.check();
      return result;
    } catch (error) {
      await toWrite.run('ROLLBACK').catch(() => undefined);
      throw error;
    }
  }

  /** Writes the log into the file, where enough is in it; nobody waits for it. */
  function checkpoint(): void {
    sinceCheckpoint++;
    if (checkpointing || sinceCheckpoint < CHECKPOINT_AFTER) return;
    [sinceCheckpoint, checkpointing] = [0, true];
    toKeep
      .get('PRAGMA wal_checkpoint(PASSIVE)')
      .catch(() => undefined)
      .finally(() => (checkpointing = false));
  }

  async function write<T>(change: (tables: Tables) => Promise<T>): Promise<T> {
    const result = await turn.runExclusive(() => transact(change));
    checkpoint();
    for (const listener of listeners) listener();
    return result;
  }

  async function sweep(): Promise<boolean> {
    for (let tries = 0; tries < SWEEP_TRIES; tries++) {
      if (tries > 0) await delay(SWEEP_PAUSE_MS);
      const done = await turn.runExclusive(() => toWrite.get<{ busy: number }>('PRAGMA wal_checkpoint(TRUNCATE)'));
      if (done?.busy === 0) return true;
    }
    return false;
  }

  const dataVersion = async (sql: Statements): Promise<number> =>
    (await sql.get<{ data_version: number }>('PRAGMA data_version'))?.data_version ?? 0;

  const store: Store = {
    ...defineModels(reader),
    sql: toRead,
    async workings() {
      // On its own connection the writer sees another number only where somebody else has written.
      const version = await dataVersion(toWrite);
      if (version !== foreign) forgetWorkings(workings);
      foreign = version;
      return workings;
    },
    forgetWorkings: () => forgetWorkings(workings),
    file,
    now,
    write,
    atomically: (work) =>
      write((inside) => {
        const within: Store = {
          ...store,
          ...inside,
          write: (change) => change(inside),
          atomically: (nested) => nested(within),
        };
        return work(within);
      }),
    afterWrite(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    version: () => dataVersion(toRead),
    sweep,
    backUp: () => backUp(keeper, file, now()),
    keepBeforeRestore: () => keepBeforeRestore(keeper, file, now()),
    async close() {
      for (const statements of [toRead, toKeep, toWrite]) await statements.finalize();
      for (const database of [reader, keeper, writer]) await database.close();
    },
  };
  return store;
}

export const iso = (ms: number): string => new Date(ms).toISOString();
