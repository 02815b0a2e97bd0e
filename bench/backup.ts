import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readArchive, writeArchive } from '../server/backup/archive';
import { compareWith } from '../server/backup/compare';
import { contentsOf } from '../server/backup/contents';
import { putBack } from '../server/backup/put-back';
import { seal, unseal } from '../server/backup/sealed';
import { openStore } from '../server/store/store';
import { msFigure, type Figure } from './measure';
import { fill } from './server';

const BACKUP_BAR_MS = 5000;
const RESTORE_BAR_MS = 10_000;
const PASSPHRASE = 'seven wet herons waiting';

/** A backup of 2,000 plans and 500 runs under a passphrase, and its comparison and restore into an empty database. */
export async function benchBackup(): Promise<Figure[]> {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'));
  const file = join(folder, 'full.sqlite');
  await fill(file);
  const full = await openStore(file);
  let from = performance.now();
  const sealed = await seal(await writeArchive(await contentsOf(full, true), true, Date.now()), PASSPHRASE);
  const madeMs = performance.now() - from;
  await full.close();

  const empty = await openStore(join(folder, 'empty.sqlite'));
  from = performance.now();
  const { documents } = await readArchive((await unseal(sealed, PASSPHRASE)) ?? Buffer.alloc(0));
  const rows = await compareWith(empty, documents);
  await putBack(empty, documents, rows);
  const restoredMs = performance.now() - from;
  await empty.close();
  rmSync(folder, { recursive: true });
  const size = `${(sealed.length / 1e6).toFixed(1)} MB`;
  return [
    msFigure(`backup of 2,000 plans and 500 sessions, sealed (${size})`, madeMs, BACKUP_BAR_MS),
    msFigure('comparing and restoring all of it', restoredMs, RESTORE_BAR_MS),
  ];
}
