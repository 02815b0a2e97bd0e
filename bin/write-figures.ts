/**
 * Checks the library and draws its standard figures into the folder of files that the interface ships as they are.
 * A library that does not fit its schema stops here, with every entry and field that is wrong.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { POSITIONS, TECHNIQUES } from '#library';
import { libraryProblems } from '#library/complete';
import { standardFigures } from '#library/standard';

const problems = libraryProblems(POSITIONS, TECHNIQUES);
if (problems.length > 0) {
  console.error(`The library does not fit:\n${problems.map((line) => `  ${line}`).join('\n')}`);
  process.exit(1);
}
const folder = new URL('../web/public/figures/', import.meta.url);
mkdirSync(folder, { recursive: true });
writeFileSync(new URL('standard.json', folder), JSON.stringify(standardFigures()));
