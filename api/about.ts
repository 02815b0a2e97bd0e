import { z } from 'zod';

/** Which Zovrin this is, and where on this machine it keeps what was entered. */
export const About = z.object({
  version: z.string(),
  /** The file of the database. */
  database: z.string(),
  /** The folder of its daily backups. */
  backups: z.string(),
});
export type About = z.infer<typeof About>;
