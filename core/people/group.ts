import { z } from 'zod';
import { Id, readDocument, text, words, type DocumentKind, type Read } from '#core/document';

const GROUP_FORMAT = 'zovrin-group';
const GROUP_VERSION = 1;
/** More than come to any class; a list of customers is not a group. */
export const MAX_MEMBERS = 100;

/**
 * People who come together: the document that is stored and sent. Members by their ids, in the order they were put in.
 */
export const Group = z.strictObject({
  format: z.literal(GROUP_FORMAT, 'This is not a group.'),
  version: z.literal(GROUP_VERSION),
  name: words('A name', 80),
  note: text('A note', 2000),
  members: z
    .array(Id)
    .max(MAX_MEMBERS, `A group has at most ${MAX_MEMBERS} people.`)
    .refine((ids) => new Set(ids).size === ids.length, 'Someone is in the group twice.'),
});
export type Group = z.infer<typeof Group>;

const GROUP_DOCUMENT: DocumentKind<Group> = {
  format: GROUP_FORMAT,
  called: 'a group',
  version: GROUP_VERSION,
  migrations: {},
  schema: Group,
};

/** Reads a group from any value. Returns the group, or every invalid field with the reason. Never throws. */
export const readGroup = (value: unknown): Read<Group> => readDocument(GROUP_DOCUMENT, value);

/** A group nobody is in yet. */
export const newGroup = (name: string): Group => ({
  format: GROUP_FORMAT,
  version: GROUP_VERSION,
  name,
  note: '',
  members: [],
});
