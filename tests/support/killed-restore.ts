import { readFileSync } from 'node:fs';
import { readArchive } from '../../server/backup/archive';
import { putBack } from '../../server/backup/put-back';
import { openStore } from '../../server/store/store';

/** Restores a backup file into a database and is killed after so many documents, as by a loss of power. */
const [database = '', backup = '', after = '0'] = process.argv.slice(2);
const { documents } = await readArchive(readFileSync(backup));
await putBack(await openStore(database), documents, documents, (count) => {
  if (count === Number(after)) process.kill(process.pid, 'SIGKILL');
});
