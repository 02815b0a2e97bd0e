import type { Model } from 'sequelize';
import {
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

export interface PlanRow extends Model<InferAttributes<PlanRow>, InferCreationAttributes<PlanRow>> {
  id: string;
  revision: number;
  title: string;
  document: string;
  searchable: string;
  createdMs: number;
  updatedMs: number;
  deletedMs: number | null;
}

interface RevisionRow extends Model<InferAttributes<RevisionRow>, InferCreationAttributes<RevisionRow>> {
  planId: string;
  revision: number;
  document: string;
  savedMs: number;
}

export interface RunRow extends Model<InferAttributes<RunRow>, InferCreationAttributes<RunRow>> {
  id: string;
  planId: string;
  planRevision: number;
  title: string;
  document: string;
  createdMs: number;
  deletedMs: number | null;
}

export interface EventRow extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>> {
  id: string;
  runId: string;
  seq: number;
  event: string;
}

/** A clock that Zovrin keeps of its own, by its name. Milliseconds since 1970 UTC. */
interface ClockRow extends Model<InferAttributes<ClockRow>, InferCreationAttributes<ClockRow>> {
  id: string;
  ms: number;
}

/** The private address under which calendars read the classes. */
interface FeedRow extends Model<InferAttributes<FeedRow>, InferCreationAttributes<FeedRow>> {
  id: string;
  token: string;
  madeMs: number;
}

/** A document with its revision: a custom entry, a person, a place, a journal entry, the settings. */
export interface DocumentRow extends Model<InferAttributes<DocumentRow>, InferCreationAttributes<DocumentRow>> {
  id: string;
  revision: number;
  title: string;
  document: string;
  createdMs: number;
  updatedMs: number;
  deletedMs: number | null;
}

export interface Models {
  plans: ModelStatic<PlanRow>;
  revisions: ModelStatic<RevisionRow>;
  runs: ModelStatic<RunRow>;
  events: ModelStatic<EventRow>;
  entries: ModelStatic<DocumentRow>;
  people: ModelStatic<DocumentRow>;
  groups: ModelStatic<DocumentRow>;
  /** What was decided for people in a class, by the plan's id. */
  classPeople: ModelStatic<DocumentRow>;
  /** The passphrase of the lock, as one row. */
  locks: ModelStatic<DocumentRow>;
  places: ModelStatic<DocumentRow>;
  courses: ModelStatic<DocumentRow>;
  journal: ModelStatic<DocumentRow>;
  house: ModelStatic<DocumentRow>;
  /** Variants kept beside a plan, by the plan's id. */
  variants: ModelStatic<DocumentRow>;
  clocks: ModelStatic<ClockRow>;
  feeds: ModelStatic<FeedRow>;
}

const id = () => ({ type: DataTypes.STRING(64), primaryKey: true });
// Made anew for each column: Sequelize writes into the objects it is given.
const text = () => ({ type: DataTypes.TEXT, allowNull: false });
const integer = () => ({ type: DataTypes.INTEGER, allowNull: false });
const moment = () => ({ type: DataTypes.INTEGER, allowNull: true });

/** The tables as the migrations leave them. */
export function defineModels(database: Sequelize): Models {
  const table = { timestamps: false, freezeTableName: true };
  const documents = (name: string): ModelStatic<DocumentRow> =>
    database.define<DocumentRow>(
      name,
      {
        id: id(),
        revision: integer(),
        title: text(),
        document: text(),
        createdMs: integer(),
        updatedMs: integer(),
        deletedMs: moment(),
      },
      table,
    );
  return {
    plans: database.define<PlanRow>(
      'plans',
      {
        id: id(),
        revision: integer(),
        title: text(),
        document: text(),
        searchable: text(),
        createdMs: integer(),
        updatedMs: integer(),
        deletedMs: moment(),
      },
      table,
    ),
    revisions: database.define<RevisionRow>(
      'plan_revisions',
      { planId: id(), revision: { ...integer(), primaryKey: true }, document: text(), savedMs: integer() },
      table,
    ),
    runs: database.define<RunRow>(
      'runs',
      {
        id: id(),
        planId: text(),
        planRevision: integer(),
        title: text(),
        document: text(),
        createdMs: integer(),
        deletedMs: moment(),
      },
      table,
    ),
    events: database.define<EventRow>('run_events', { id: id(), runId: text(), seq: integer(), event: text() }, table),
    entries: documents('entries'),
    people: documents('people'),
    groups: documents('groups'),
    classPeople: documents('class_people'),
    locks: documents('locks'),
    variants: documents('plan_variants'),
    places: documents('places'),
    courses: documents('courses'),
    journal: documents('journal'),
    house: documents('house'),
    clocks: database.define<ClockRow>('clocks', { id: id(), ms: integer() }, table),
    feeds: database.define<FeedRow>('calendar_feeds', { id: id(), token: text(), madeMs: integer() }, table),
  };
}
