import { z } from 'zod';

/** The private address under which calendars read the classes, below the one of Zovrin itself; null while there is none. */
export const CalendarFeed = z.object({ path: z.string().nullable() });
export type CalendarFeed = z.infer<typeof CalendarFeed>;
