import { join } from 'node:path';

/** The path of the database file: `ZOVRIN_DATABASE`, or `data/zovrin.sqlite` below the folder Zovrin is started in. */
export const databaseFile = (): string => process.env.ZOVRIN_DATABASE ?? join(process.cwd(), 'data', 'zovrin.sqlite');
