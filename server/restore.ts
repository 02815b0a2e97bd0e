import { createInterface } from 'node:readline/promises';
import { backupsOf } from './store/backups';
import { databaseFile } from './settings';
import { restoreBackup } from './store/restore';
import { StartProblem } from './store/start-problem';

/** `bin/restore`: lists the backups, or puts one of them in the place of the database. */
async function main(): Promise<void> {
  const words = process.argv.slice(2);
  const isSure = words.includes('--yes');
  const [wanted] = words.filter((word) => word !== '--yes');
  const file = databaseFile();
  const backups = backupsOf(file);
  if (wanted === undefined) {
    console.log(backups.length === 0 ? `There are no backups of ${file}.` : backups.map(({ path }) => path).join('\n'));
    console.log('\nbin/restore latest | FILE [--yes]   puts a backup in the place of the database.');
    return;
  }
  const backup = wanted === 'latest' ? backups[0]?.path : wanted;
  if (backup === undefined) throw new StartProblem(`There are no backups of ${file}. Nothing was changed.`);
  if (!isSure) {
    console.log(
      `This puts ${backup} in the place of ${file}. What is there now is kept in a folder beside the backups.`,
    );
    const asking = createInterface({ input: process.stdin, output: process.stdout });
    const answer = await asking.question('Type yes to go on: ');
    asking.close();
    if (answer !== 'yes') throw new StartProblem('Nothing was changed.');
  }
  const previous = await restoreBackup(file, backup, Date.now());
  console.log(`Restored ${backup}.${previous ? ` What was there before is in ${previous}.` : ''}`);
}

main().catch((error: unknown) => {
  console.error(error instanceof StartProblem ? error.message : `It was not restored: ${(error as Error).message}`);
  process.exit(1);
});
