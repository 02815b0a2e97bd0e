/** Says what files are and what is wrong with them. Ends with 1 where one of them is wrong, and 2 where one cannot be read. */
import { readFileSync } from 'node:fs';
import { checkFile, nameIndex } from '#core/exchange';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { alsoCalled } from '#library/synonyms';

const paths = process.argv.slice(2);
if (paths.length === 0) {
  console.error('Usage: bin/check FILE…');
  process.exit(2);
}
const index = nameIndex({ positions: POSITIONS, techniques: TECHNIQUES, alsoCalled });
const options = { library: builtInLibrary, index, today: new Date().toISOString().slice(0, 10) };
let status = 0;
for (const path of paths) {
  try {
    const { what, faults, remarks } = checkFile(readFileSync(path, 'utf8'), options);
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
