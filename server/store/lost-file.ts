import { statSync } from 'node:fs';
import type { Sequelize } from 'sequelize';
import { HttpProblem } from '../http/problems';
import { backupFolder, backUp } from './backups';

const identity = (file: string): string | undefined => {
  try {
    const { dev, ino } = statSync(file);
    return `${dev} ${ino}`;
  } catch {
    return undefined;
  }
};

/**
 * Notices when the database file was deleted or replaced while it is open. SQLite would go on writing into a file that
 * has no name any more, and all of it would be gone with the process.
 */
export function watchForLoss(database: Sequelize, file: string, now: () => number) {
  const opened = identity(file);
  let rescue: Promise<string> | undefined;

  /** Everything that was stored is still in the open file: it is written beside the backups, once. */
  const rescued = (): Promise<string> => backUp(database, file, now());

  /** Throws an HttpProblem where the file is not the one that was opened. */
  async function check(): Promise<void> {
    if (identity(file) === opened) return;
    rescue ??= rescued();
    const where = await rescue.catch(() => (rescue = undefined));
    throw new HttpProblem(
      503,
      'Database file gone',
      `The database file ${file} was deleted or replaced while Zovrin was running, so nothing more is stored. ` +
        (where
          ? `Everything stored until now was saved to ${where}. Stop Zovrin, run bin/restore ${where}, and start it again.`
          : `Keep Zovrin running and make room on the disk for ${backupFolder(file)}: everything can still be read here.`),
    );
  }

  return { check };
}
