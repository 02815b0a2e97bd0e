import { z } from 'zod';
import { ClassPeople, NOTHING_DECIDED, readClassPeople } from '#core/caution';
import { Group, Person, PERSON_FILE_FORMAT, readGroup, readPerson } from '#core/people';
import { onlyResourceOf, resourceOf, type StoredDocument } from './documents';

/** Those who are taught. */
export const PEOPLE = resourceOf<Person>({ noun: 'person', path: '/people', document: Person, read: readPerson });
export type StoredPerson = StoredDocument<Person>;

export const GROUPS = resourceOf<Group>({ noun: 'group', path: '/groups', document: Group, read: readGroup });
export type StoredGroup = StoredDocument<Group>;

/** What was decided for people in a plan, beside the plan. */
export const DECISIONS = onlyResourceOf<ClassPeople>({
  noun: 'set of decisions',
  path: '/decisions',
  document: ClassPeople,
  read: readClassPeople,
  initial: NOTHING_DECIDED,
});

/** Everything that is kept of one person. */
export const PersonFileResponse = z.object({
  format: z.literal(PERSON_FILE_FORMAT),
  version: z.literal(1),
  savedAt: z.iso.datetime(),
  person: Person,
  groups: z.array(z.string()).readonly(),
  cameTo: z.array(z.object({ title: z.string(), at: z.iso.datetime(), seconds: z.number() })).readonly(),
});
export type PersonFileResponse = z.infer<typeof PersonFileResponse>;

/** What came of forgetting someone for good. */
export const ForgetResponse = z.object({
  /** Whether nothing of them is left in the database file; false where another program still reads it. */
  swept: z.boolean(),
  /** Backups in which they could not be forgotten, by their names. */
  backupsLeft: z.array(z.string()),
});
export type ForgetResponse = z.infer<typeof ForgetResponse>;

/**
 * Whether a passphrase is set, whether people’s data can be seen now, after how many idle minutes it locks itself, and
 * the key under which a browser keeps what it has not sent, in base64; null while locked.
 */
export const LockState = z.object({
  set: z.boolean(),
  open: z.boolean(),
  minutes: z.int(),
  key: z.string().nullable(),
});
export type LockState = z.infer<typeof LockState>;

const MIN_PASSPHRASE = 12;
const MAX_PASSPHRASE = 200;
const Passphrase = z
  .string('A passphrase is text.')
  .min(MIN_PASSPHRASE, `A passphrase has at least ${MIN_PASSPHRASE} characters.`)
  .max(MAX_PASSPHRASE, `A passphrase has at most ${MAX_PASSPHRASE} characters.`);
/** Sets a passphrase, or changes it; a change needs the `current` one. */
export const SetLockRequest = z.strictObject({
  passphrase: Passphrase,
  current: z.string('A passphrase is text.').max(MAX_PASSPHRASE).optional(),
  minutes: z.int('Minutes are a whole number.').min(1, 'At least 1 minute.').max(240, 'At most 240 minutes.'),
});
export type SetLockRequest = z.infer<typeof SetLockRequest>;
/** Has no minimum length: an older, shorter passphrase still opens. */
export const OpenLockRequest = z.strictObject({ passphrase: z.string('A passphrase is text.').max(MAX_PASSPHRASE) });
