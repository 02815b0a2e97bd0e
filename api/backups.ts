import { z } from 'zod';
import { StoredKind } from './unreadable';

const Milliseconds = z.int().min(0);
const Bytes = z.int().min(0);
const Counts = z.partialRecord(StoredKind, z.int().min(0));

/** The name of a copy of the database below the folder of backups. */
const CopyName = z.string().regex(/^(?:[\w.-]{1,200}\/)?[\w.-]{1,200}\.sqlite$/, 'This is not the name of a backup.');

/** The copies that Zovrin makes by itself, the newest first, and whether the newest can be read back. */
export const BackupsResponse = z.object({
  folder: z.string(),
  copies: z.array(
    z.object({
      name: CopyName,
      madeAtMs: Milliseconds,
      bytes: Bytes,
      /** Whether a restore made it. */ beforeRestore: z.boolean(),
    }),
  ),
  /** Null where there is none yet. */
  newest: z
    .union([z.object({ ok: z.literal(true), counts: Counts }), z.object({ ok: z.literal(false), reason: z.string() })])
    .nullable(),
});
export type BackupsResponse = z.infer<typeof BackupsResponse>;

const MIN_PASSPHRASE = 12;
const MAX_PASSPHRASE = 200;
const Passphrase = z
  .string()
  .min(MIN_PASSPHRASE, `A passphrase has at least ${MIN_PASSPHRASE} characters.`)
  .max(MAX_PASSPHRASE, `A passphrase has at most ${MAX_PASSPHRASE} characters.`);

/** Makes one file of everything; with people, only under a passphrase. */
export const MakeBackupRequest = z
  .strictObject({ withPeople: z.boolean(), passphrase: Passphrase.optional() })
  .refine(({ withPeople, passphrase }) => !withPeople || passphrase !== undefined, {
    path: ['passphrase'],
    message: 'A backup with people in it needs a passphrase.',
  });
export type MakeBackupRequest = z.infer<typeof MakeBackupRequest>;

/** A document of a backup beside what is stored. */
export const BackupRow = z.object({
  kind: StoredKind,
  id: z.string(),
  title: z.string(),
  state: z.enum(['new', 'same', 'different', 'unreadable']),
  /** Which is newer, where they are different and that can be told. */
  newer: z.enum(['backup', 'here']).nullable(),
  backupMs: Milliseconds,
  hereMs: Milliseconds.nullable(),
  /** Why it cannot be read. */
  reason: z.string().nullable(),
});
export type BackupRow = z.infer<typeof BackupRow>;

/** Whether a document is restored where nothing else is chosen: it is not here, or newer in the backup. */
export const isChosenAtFirst = ({ state, newer }: Pick<BackupRow, 'state' | 'newer'>): boolean =>
  state === 'new' || (state === 'different' && newer === 'backup');

/** A backup that was opened for a comparison, or still waits for its passphrase. */
export const OpenedBackup = z.union([
  z.object({ id: z.uuid(), state: z.literal('sealed') }),
  z.object({
    id: z.uuid(),
    state: z.literal('open'),
    madeAtMs: Milliseconds,
    withPeople: z.boolean(),
    /** What in it is damaged, in words. */
    faults: z.array(z.string()),
    rows: z.array(BackupRow),
  }),
]);
export type OpenedBackup = z.infer<typeof OpenedBackup>;

export const OpenCopyRequest = z.strictObject({ name: CopyName });
export const UnsealRequest = z.strictObject({
  passphrase: z.string().min(1, 'Type the passphrase.').max(MAX_PASSPHRASE),
});
export const RestoreRequest = z.strictObject({
  chosen: z
    .array(z.strictObject({ kind: StoredKind, id: z.string().max(64) }))
    .min(1, 'Choose something to restore.')
    .max(100_000),
});
export type RestoreRequest = z.infer<typeof RestoreRequest>;
/** How much was restored, and where what was there before is kept. */
export const RestoreResponse = z.object({ restored: z.int().min(0), keptAs: z.string() });
export type RestoreResponse = z.infer<typeof RestoreResponse>;
