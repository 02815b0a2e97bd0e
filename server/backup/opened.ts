import { randomUUID } from 'node:crypto';
import type { OpenedBackup, RestoreRequest } from '#api';
import { HttpProblem, notFound } from '../http/problems';
import type { Store } from '../store/store';
import { BackupProblem, readArchive, type ReadArchive } from './archive';
import { compareWith } from './compare';
import { contentsOfCopy, copiesOf } from './copies';
import { putBack } from './put-back';
import { isSealed, unseal } from './sealed';

type Read = Pick<ReadArchive, 'documents' | 'faults'> & { madeAtMs: number; withPeople: boolean };
type Held = { id: string; lastMs: number } & ({ sealed: Uint8Array } | { read: Read });

/** An opened backup is let go of when nobody has looked at it for so long. */
const HELD_MS = 30 * 60_000;

const asProblem = (error: unknown): never => {
  throw error instanceof BackupProblem ? new HttpProblem(422, 'Not a backup', error.message) : error;
};

const readBytes = async (bytes: Uint8Array): Promise<Read> => {
  const { manifest, documents, faults } = await readArchive(bytes);
  return { documents, faults, madeAtMs: manifest.madeAtMs, withPeople: manifest.withPeople };
};

/**
 * The backup that somebody is comparing. There is one at a time, in memory: it may hold people's notes. Every method
 * throws an HttpProblem where it cannot do what is asked.
 */
export function openedBackups(store: Store) {
  let held: Held | undefined;

  function current(id: string): Held {
    if (held && store.now() - held.lastMs > HELD_MS) held = undefined;
    if (held?.id !== id) throw notFound('backup open any more: choose the file again');
    held.lastMs = store.now();
    return held;
  }
  async function shown(id: string, { madeAtMs, withPeople, documents, faults }: Read): Promise<OpenedBackup> {
    return { id, state: 'open', madeAtMs, withPeople, faults, rows: await compareWith(store, documents) };
  }
  async function hold(read: Read, id: string = randomUUID()): Promise<OpenedBackup> {
    held = { id, lastMs: store.now(), read };
    return shown(id, read);
  }

  return {
    /** Opens the bytes of a backup file; one under a passphrase waits for it. */
    async open(bytes: Uint8Array): Promise<OpenedBackup> {
      if (!isSealed(bytes)) return hold(await readBytes(bytes).catch(asProblem));
      const id = randomUUID();
      held = { id, lastMs: store.now(), sealed: bytes };
      return { id, state: 'sealed' };
    },
    /** Opens one of the copies that Zovrin makes by itself. */
    async openCopy(name: string): Promise<OpenedBackup> {
      const copy = copiesOf(store.file).find((one) => one.name === name);
      if (!copy) throw notFound('backup of this name');
      const { documents } = await contentsOfCopy(copy.path).catch(asProblem);
      return hold({ documents, faults: [], madeAtMs: copy.madeAtMs, withPeople: true });
    },
    async unseal(id: string, passphrase: string): Promise<OpenedBackup> {
      const backup = current(id);
      if (!('sealed' in backup)) return shown(id, backup.read);
      const bytes = await unseal(backup.sealed, passphrase).catch(asProblem);
      if (!bytes) {
        const reason = 'This does not open it: it is another passphrase, or the file is damaged.';
        throw new HttpProblem(403, 'Not the passphrase', reason, [{ field: 'passphrase', reason }]);
      }
      return hold(await readBytes(bytes).catch(asProblem), id);
    },
    /** Gives how much was restored, and the path of the copy of what was there before. */
    async restore(id: string, chosen: RestoreRequest['chosen']): Promise<{ restored: number; keptAs: string }> {
      const backup = current(id);
      if (!('read' in backup)) throw new HttpProblem(409, 'Sealed', 'Type the passphrase of this backup first.');
      const keptAs = await putBack(store, backup.read.documents, chosen).catch(asProblem);
      held = undefined;
      return { restored: chosen.length, keptAs };
    },
    close(): void {
      held = undefined;
    },
  };
}
