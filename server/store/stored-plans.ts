import { readPlan, type Plan } from '#core/plan';
import { readStored } from './stored';

/** Reads a stored plan, migrated if it is older. Throws a NotReadable where this Zovrin cannot. */
export const storedPlan = (text: string): Plan => readStored('plan', text, readPlan);
