import { DataTypes, type QueryInterface } from 'sequelize';
import type { MigrationParams } from 'umzug';

// Made anew for each column: Sequelize writes into the objects it is given.
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const integer = () => ({ type: DataTypes.INTEGER, allowNull: false });
const id = () => ({ type: DataTypes.STRING(64), primaryKey: true });

/** The columns of a table that keeps documents of one kind. */
const documentColumns = () => ({
  id: id(),
  revision: integer(),
  title: text(),
  document: text(),
  createdMs: integer(),
  updatedMs: integer(),
  deletedMs: { type: DataTypes.INTEGER, allowNull: true },
});

type Step = (params: MigrationParams<QueryInterface>) => Promise<unknown>;

/**
 * The migrations of the database, in order; one that has landed is never changed. Moments are milliseconds since 1970
 * UTC.
 */
export const migrations: { name: string; up: Step; down: Step }[] = [
  {
    name: '0001-plans-and-runs',
    up: async ({ context }) => {
      await context.createTable('plans', {
        id: id(),
        revision: integer(),
        title: text(),
        document: text(),
        /** Title, group and intent without accents, for search. */
        searchable: text(),
        createdMs: integer(),
        updatedMs: integer(),
        deletedMs: { type: DataTypes.INTEGER, allowNull: true },
      });
      await context.addIndex('plans', ['deletedMs', 'updatedMs']);
      await context.createTable('plan_revisions', {
        planId: id(),
        revision: { ...integer(), primaryKey: true },
        document: text(),
        savedMs: integer(),
      });
      await context.createTable('runs', {
        id: id(),
        planId: { type: DataTypes.STRING(64), allowNull: false },
        planRevision: integer(),
        title: text(),
        document: text(),
        createdMs: integer(),
        deletedMs: { type: DataTypes.INTEGER, allowNull: true },
      });
      await context.addIndex('runs', ['planId', 'createdMs']);
      await context.addIndex('runs', ['deletedMs', 'createdMs']);
      await context.createTable('run_events', {
        id: id(),
        runId: { type: DataTypes.STRING(64), allowNull: false },
        seq: integer(),
        event: text(),
      });
      await context.addIndex('run_events', ['runId', 'seq'], { unique: true });
    },
    down: async ({ context }) => {
      for (const table of ['run_events', 'runs', 'plan_revisions', 'plans']) await context.dropTable(table);
    },
  },
  {
    name: '0002-own-entries',
    up: ({ context }) => context.createTable('entries', documentColumns()),
    down: ({ context }) => context.dropTable('entries'),
  },
  {
    name: '0003-people-and-house',
    up: async ({ context }) => {
      for (const table of ['people', 'house']) await context.createTable(table, documentColumns());
    },
    down: async ({ context }) => {
      for (const table of ['people', 'house']) await context.dropTable(table);
    },
  },
  {
    name: '0004-places',
    up: ({ context }) => context.createTable('places', documentColumns()),
    down: ({ context }) => context.dropTable('places'),
  },
  {
    name: '0005-journal',
    up: ({ context }) => context.createTable('journal', documentColumns()),
    down: ({ context }) => context.dropTable('journal'),
  },
  {
    name: '0006-variants',
    up: ({ context }) => context.createTable('plan_variants', documentColumns()),
    down: ({ context }) => context.dropTable('plan_variants'),
  },
  {
    name: '0007-groups-classes-lock',
    up: async ({ context }) => {
      for (const table of ['groups', 'class_people', 'locks']) await context.createTable(table, documentColumns());
    },
    down: async ({ context }) => {
      for (const table of ['locks', 'class_people', 'groups']) await context.dropTable(table);
    },
  },
  {
    name: '0008-clocks',
    up: ({ context }) => context.createTable('clocks', { id: id(), ms: integer() }),
    down: ({ context }) => context.dropTable('clocks'),
  },
  {
    name: '0009-calendar-feed',
    up: ({ context }) => context.createTable('calendar_feeds', { id: id(), token: text(), madeMs: integer() }),
    down: ({ context }) => context.dropTable('calendar_feeds'),
  },
  {
    name: '0010-courses',
    up: ({ context }) => context.createTable('courses', documentColumns()),
    down: ({ context }) => context.dropTable('courses'),
  },
];
