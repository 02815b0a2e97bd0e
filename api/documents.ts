import { z } from 'zod';
import { PlanId } from './plans';

const Moment = z.iso.datetime();
const Revision = z.int().min(1);

/** A document of one kind as it is stored: a person, a place. */
export const storedOf = <T extends z.ZodType>(document: T) =>
  z.object({ id: PlanId, revision: Revision, createdAt: Moment, updatedAt: Moment, document });

/** `document` is read by its kind, so that every wrong field is answered with its reason. */
export const CreateDocumentRequest = z.strictObject({ id: PlanId, document: z.unknown() });
export const SaveDocumentRequest = z.strictObject({ revision: Revision, document: z.unknown() });
/** What a save is answered with: the document is what was sent. */
export const SavedDocument = z.object({ revision: Revision });
export type SavedDocument = z.infer<typeof SavedDocument>;
/** The same for what is kept beside something else, and is there from revision 0. */
export const SaveBesideRequest = z.strictObject({ revision: z.int().min(0), document: z.unknown() });
