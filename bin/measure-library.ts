/** Writes what the positions of the library measure on the standard body, for the cautions. */
import { writeFileSync } from 'node:fs';
import { measureLibrary } from '../library/strains';

const rows = Object.entries(measureLibrary()).map(([key, row]) => `  '${key}': [${row.join(', ')}],\n`);
writeFileSync(
  new URL('../library/measured.ts', import.meta.url),
  `import type { StrainRow } from './strains';

/**
 * Written by \`npm run library:measure\`: what each set-up of each position measures; a test holds it to the figures.
 */
export const MEASURED: Readonly<Record<string, StrainRow>> = {
${rows.join('')}};
`,
);
