/** Says what files are and what is wrong with them. Ends with 1 where one of them is wrong, and 2 where one cannot be read. */
import { readFileSync } from 'node:fs';
import { isZip, readArchive } from '../server/backup/archive';
import { isSealed } from '../server/backup/sealed';
import { clockOfSeconds } from '#core/time';
import { checkFile, nameIndex, type CheckedFile } from '#core/exchange';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled } from '#library/synonyms';

const paths = process.argv.slice(2);
if (paths.length === 0) {
  console.error('Usage: bin/check FILE…');
  process.exit(2);
}
const index = nameIndex({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled });
const options = { library: builtInLibrary, index, today: new Date().toISOString().slice(0, 10) };

/** A backup, with each file in it compared with its sum. */
async function checkBackup(bytes: Uint8Array): Promise<CheckedFile> {
  try {
    const { manifest, documents, faults } = await readArchive(bytes);
    const people = manifest.withPeople ? 'with people' : 'without people';
    const made = new Date(manifest.madeAtMs).toISOString();
    return { what: `a backup of ${made} with ${documents.length} documents, ${people}`, faults, remarks: [] };
  } catch (error) {
    return { what: 'a ZIP file', faults: [(error as Error).message], remarks: [] };
  }
}
/** An Ogg file by its first page, and how long it is by its last (RFC 3533, RFC 7845). */
function checkSound(bytes: Buffer): CheckedFile {
  const last = bytes.lastIndexOf('OggS');
  const isWhole = last >= 0 && last + 14 <= bytes.length;
  if (!bytes.includes('OpusHead') || !isWhole)
    return { what: 'an Ogg file', faults: ['it holds no Opus sound'], remarks: [] };
  const seconds = Math.round(Number(bytes.readBigInt64LE(last + 6)) / 48_000);
  return { what: `a sound file of ${clockOfSeconds(seconds)}`, faults: [], remarks: [] };
}
async function check(bytes: Buffer): Promise<CheckedFile> {
  if (isZip(bytes)) return checkBackup(bytes);
  if (bytes.subarray(0, 4).equals(Buffer.from('OggS'))) return checkSound(bytes);
  if (!isSealed(bytes)) return checkFile(bytes.toString('utf8'), options);
  const remarks = ['it can only be checked with its passphrase: bin/restore'];
  return { what: 'a backup under a passphrase', faults: [], remarks };
}

let status = 0;
for (const path of paths) {
  try {
    const { what, faults, remarks } = await check(readFileSync(path));
    console.log(`${path}: ${what}`);
    for (const fault of faults) console.log(`  wrong: ${fault}`);
    for (const remark of remarks) console.log(`  look at: ${remark}`);
    if (faults.length > 0) status = Math.max(status, 1);
  } catch (error) {
    console.error(`${path}: ${(error as Error).message}`);
    status = 2;
  }
}
process.exitCode = status;
