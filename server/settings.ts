import { join } from 'node:path';

/** The day the demo data is loaded for, `2026-11-26`: `ZOVRIN_DEMO_DAY`, or today. */
export const demoDay = (): string | undefined => process.env.ZOVRIN_DEMO_DAY;

/** The path of the database file: `ZOVRIN_DATABASE`, or `data/zovrin.sqlite` below the folder Zovrin is started in. */
export const databaseFile = (): string => process.env.ZOVRIN_DATABASE ?? join(process.cwd(), 'data', 'zovrin.sqlite');
