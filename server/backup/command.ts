import { createInterface } from 'node:readline/promises';
import type { BackupRow } from '#api';
import { StartProblem } from '../store/start-problem';

const documents = (n: number): string => (n === 1 ? '1 document is' : `${n} documents are`);

/** What a restore would do, in lines for a terminal. */
export function comparisonInWords(rows: readonly BackupRow[], chosen: readonly BackupRow[]): string[] {
  const of = (state: BackupRow['state']): BackupRow[] => rows.filter((row) => row.state === state);
  const listed = (row: BackupRow): string => `  ${row.kind} “${row.title}” (${row.id})`;
  const replaced = of('different').filter((row) => chosen.includes(row));
  const stays = of('different').filter((row) => !chosen.includes(row));
  const parts: [BackupRow[], string, boolean][] = [
    [of('new'), 'in the backup and not here, and will be restored.', false],
    [of('same'), 'the same.', false],
    [replaced, 'newer in the backup, and will be replaced here:', true],
    [stays, 'not newer in the backup, and will stay as here:', true],
  ];
  return [
    ...parts.flatMap(([some, what, isListed]) =>
      some.length === 0 ? [] : [`${documents(some.length)} ${what}`, ...(isListed ? some.map(listed) : [])],
    ),
    ...of('unreadable').map((row) => `${listed(row).trim()} cannot be read: ${row.reason ?? ''}`),
  ];
}

/** Asks a question in the terminal, and gives the answer. */
export async function answerTo(question: string): Promise<string> {
  const asking = createInterface({ input: process.stdin, output: process.stdout });
  try {
    return await asking.question(question);
  } finally {
    asking.close();
  }
}

/** Throws a StartProblem where the answer is not yes. */
export async function mustAgree(): Promise<void> {
  if ((await answerTo('Type yes to go on: ')) !== 'yes') throw new StartProblem('Nothing was changed.');
}

/** The passphrase: from the environment, where a script gives it, or typed. */
export const passphrase = async (): Promise<string> =>
  process.env.ZOVRIN_PASSPHRASE ?? (await answerTo('Passphrase of the backup: '));
