import { z } from 'zod';
import { CustomEntry, readEntry } from '#core/catalogue';
import { Moment, STORED, type Resource, type StoredDocument } from './documents';

/** A custom library entry as stored. A deleted one still serves the plans that use it. */
export interface StoredEntry extends StoredDocument<CustomEntry> {
  deletedAt: string | null;
}

/** The custom library entries; a list has the deleted ones too, since plans are drawn with them. */
export const ENTRIES: Resource<CustomEntry, StoredEntry> = {
  noun: 'entry',
  path: '/entries',
  document: CustomEntry,
  read: readEntry,
  stored: z.object({ ...STORED, deletedAt: Moment.nullable(), document: CustomEntry }),
};
