import { join, resolve } from 'node:path';

/** The day the demo data is loaded for, `2026-11-26`: `ZOVRIN_DEMO_DAY`, or today. */
export const demoDay = (): string | undefined => process.env.ZOVRIN_DEMO_DAY;

/** The path of the database file: `ZOVRIN_DATABASE`, or `data/zovrin.sqlite` below the folder Zovrin is started in. */
export const databaseFile = (): string => process.env.ZOVRIN_DATABASE ?? join(process.cwd(), 'data', 'zovrin.sqlite');

/** A path that was given to a command, from where the command was called. */
export const calledPath = (path: string): string => resolve(process.env.ZOVRIN_CALLED_FROM ?? process.cwd(), path);
