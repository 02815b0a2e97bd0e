import { existsSync, readFileSync } from 'node:fs';
import { BackupProblem, isZip, readArchive, type ReadArchive } from './backup/archive';
import { comparisonInWords, mustAgree, passphrase } from './backup/command';
import { isChosenAtFirst } from '#api';
import { compareWith } from './backup/compare';
import { putBack } from './backup/put-back';
import { isSealed, unseal } from './backup/sealed';
import { backupsOf } from './store/backups';
import { calledPath, databaseFile } from './settings';
import { restoreBackup } from './store/restore';
import { StartProblem } from './store/start-problem';
import { openStore } from './store/store';

const counted = (n: number): string => (n === 1 ? '1 document was' : `${n} documents were`);

async function archiveOf(bytes: Uint8Array): Promise<ReadArchive> {
  if (!isSealed(bytes)) return readArchive(bytes);
  const opened = await unseal(bytes, await passphrase());
  if (!opened) throw new BackupProblem('This does not open it: it is another passphrase, or the file is damaged.');
  return readArchive(opened);
}

/** Compares a backup file with the database, asks, and restores what is missing or newer in it. */
async function restoreFile(file: string, bytes: Uint8Array, isSure: boolean): Promise<void> {
  const { documents, faults } = await archiveOf(bytes);
  for (const fault of faults) console.log(`Left out: ${fault}.`);
  const store = await openStore(file);
  try {
    const rows = await compareWith(store, documents);
    const chosen = rows.filter(isChosenAtFirst);
    console.log(comparisonInWords(rows, chosen).join('\n'));
    if (chosen.length === 0) return console.log('There is nothing to restore.');
    if (!isSure) await mustAgree();
    const kept = await putBack(store, documents, chosen);
    console.log(`${counted(chosen.length)} restored. What was there before is in ${kept}.`);
  } finally {
    await store.close();
  }
}

/** Puts a copy of the whole database in the place of the one that is used. */
async function restoreCopy(file: string, backup: string, isSure: boolean): Promise<void> {
  if (!isSure) {
    console.log(
      `This puts ${backup} in the place of ${file}. What is there now is kept in a folder beside the backups.`,
    );
    await mustAgree();
  }
  const previous = await restoreBackup(file, backup, Date.now());
  console.log(`Restored ${backup}.${previous ? ` What was there before is in ${previous}.` : ''}`);
}

/** `bin/restore`: lists the backups, or restores one of them, or a backup file. */
async function main(): Promise<void> {
  const words = process.argv.slice(2);
  const isSure = words.includes('--yes');
  const [wanted] = words.filter((word) => word !== '--yes');
  const file = databaseFile();
  const backups = backupsOf(file);
  if (wanted === undefined) {
    console.log(backups.length === 0 ? `There are no backups of ${file}.` : backups.map(({ path }) => path).join('\n'));
    console.log(
      '\nbin/restore latest | FILE [--yes]   puts a copy in the place of the database, or restores a backup file.',
    );
    return;
  }
  const backup = wanted === 'latest' ? backups[0]?.path : calledPath(wanted);
  if (backup === undefined) throw new StartProblem(`There are no backups of ${file}. Nothing was changed.`);
  if (!existsSync(backup)) throw new StartProblem(`There is no backup ${backup}. Nothing was changed.`);
  const bytes = readFileSync(backup);
  if (isZip(bytes) || isSealed(bytes)) await restoreFile(file, bytes, isSure);
  else await restoreCopy(file, backup, isSure);
}

main().catch((error: unknown) => {
  const isKnown = error instanceof StartProblem || error instanceof BackupProblem;
  console.error(isKnown ? error.message : `It was not restored: ${(error as Error).message}`);
  process.exit(1);
});
