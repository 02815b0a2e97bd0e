import type { Sequelize } from 'sequelize';
import type sqlite3 from 'sqlite3';

type Value = string | number | null;

/**
 * Statements prepared once on a connection, for the paths that are taken all the time. Each throws what SQLite throws.
 */
export interface Statements {
  /** The first row, or undefined. */
  get<T>(sql: string, ...values: Value[]): Promise<T | undefined>;
  /** All rows, in their order. */
  all<T>(sql: string, ...values: Value[]): Promise<T[]>;
  /** Gives how many rows were changed. */
  run(sql: string, ...values: Value[]): Promise<number>;
  /** Lets go of all of them: SQLite closes no connection before that. */
  finalize(): Promise<void>;
}

/**
 * Statements on the connection that Sequelize has to a database, so that they are part of its transactions. Building
 * the SQL and a model for each row costs more than SQLite itself.
 */
export function statementsOf(database: Sequelize): Statements {
  const prepared = new Map<string, sqlite3.Statement>();
  let connection: Promise<sqlite3.Database> | undefined;

  async function prepare(sql: string): Promise<sqlite3.Statement> {
    const known = prepared.get(sql);
    if (known) return known;
    connection ??= database.connectionManager.getConnection({ type: 'read' }) as Promise<sqlite3.Database>;
    const on = await connection;
    const statement = await new Promise<sqlite3.Statement>((resolve, reject) => {
      const made: sqlite3.Statement = on.prepare(sql, (error: Error | null) => (error ? reject(error) : resolve(made)));
    });
    prepared.set(sql, statement);
    return statement;
  }

  return {
    async get<T>(sql: string, ...values: Value[]) {
      const statement = await prepare(sql);
      const row = await new Promise<T | undefined>((resolve, reject) =>
        statement.get<T>(values, (error: Error | null, found) => (error ? reject(error) : resolve(found))),
      );
      // It holds a lock on the file until it is set back.
      statement.reset();
      return row;
    },
    async all<T>(sql: string, ...values: Value[]) {
      const statement = await prepare(sql);
      return new Promise<T[]>((resolve, reject) =>
        statement.all<T>(values, (error: Error | null, rows) => (error ? reject(error) : resolve(rows))),
      );
    },
    async run(sql, ...values) {
      const statement = await prepare(sql);
      return new Promise((resolve, reject) => {
        statement.run(values, function (error: Error | null) {
          if (error) reject(error);
          else resolve(this.changes);
        });
      });
    },
    async finalize() {
      const all = [...prepared.values()];
      prepared.clear();
      await Promise.all(all.map((statement) => new Promise<void>((done) => statement.finalize(() => done()))));
    },
  };
}
