import { readDocument, type DocumentKind, type Read } from '#core/document';
import {
  fromVersion1,
  fromVersion2,
  fromVersion3,
  fromVersion4,
  fromVersion5,
  fromVersion6,
  fromVersion7,
  fromVersion8,
} from './migrations';
import { PLAN_FORMAT, PLAN_VERSION, Plan } from './plan';

/** How plans are read, also those of older versions. */
const PLAN_DOCUMENT: DocumentKind<Plan> = {
  format: PLAN_FORMAT,
  called: 'a plan',
  version: PLAN_VERSION,
  migrations: {
    1: fromVersion1,
    2: fromVersion2,
    3: fromVersion3,
    4: fromVersion4,
    5: fromVersion5,
    6: fromVersion6,
    7: fromVersion7,
    8: fromVersion8,
  },
  schema: Plan,
};

/**
 * Reads a plan from anything: a request, a file, the database. Older versions are migrated first.
 * Returns the plan, or every invalid field with the reason. Never throws.
 */
export const readPlan = (value: unknown): Read<Plan> => readDocument(PLAN_DOCUMENT, value);
