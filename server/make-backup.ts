import { writeFileSync } from 'node:fs';
import { writeArchive } from './backup/archive';
import { answerTo } from './backup/command';
import { contentsOf } from './backup/contents';
import { seal } from './backup/sealed';
import { MakeBackupRequest } from '#api';
import { calledPath, databaseFile } from './settings';
import { StartProblem } from './store/start-problem';
import { openStore } from './store/store';

const USAGE = `bin/backup FILE [--people] [--passphrase]
  FILE            where the backup is written, as in backup.zip; nothing is written over
  --people        with people, sessions and the journal; asks for a passphrase
  --passphrase    asks for a passphrase also where people are left out
The passphrase can also be given as ZOVRIN_PASSPHRASE.`;

/** `bin/backup`: writes everything into one file; a running Zovrin is not disturbed. */
async function main(): Promise<void> {
  const words = process.argv.slice(2);
  const [path] = words.filter((word) => !word.startsWith('--'));
  const unknown = words.find((word) => word.startsWith('--') && !['--people', '--passphrase'].includes(word));
  if (path === undefined || unknown !== undefined) throw new StartProblem(USAGE);
  const withPeople = words.includes('--people');
  const wantsPassphrase = withPeople || words.includes('--passphrase');
  const passphrase = wantsPassphrase
    ? (process.env.ZOVRIN_PASSPHRASE ??
      (await answerTo('A passphrase, at least 12 characters; it cannot be recovered: ')))
    : undefined;
  const request = MakeBackupRequest.safeParse({ withPeople, ...(passphrase === undefined ? {} : { passphrase }) });
  if (!request.success) throw new StartProblem(request.error.issues[0]?.message ?? USAGE);
  const store = await openStore(databaseFile());
  try {
    const contents = await contentsOf(store, withPeople);
    const archive = await writeArchive(contents, withPeople, Date.now());
    writeFileSync(calledPath(path), passphrase === undefined ? archive : await seal(archive, passphrase), {
      flag: 'wx',
      mode: 0o600,
    });
    console.log(`${contents.documents.length} documents are in ${path}.`);
    if (contents.damaged > 0) console.log(`${contents.damaged} were left out: their text is damaged.`);
  } finally {
    await store.close();
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof StartProblem ? error.message : `No backup was made: ${(error as Error).message}`);
  process.exit(1);
});
