/** Draws the standard figures into the folder of files that the interface ships as they are. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { standardFigures } from '#library/standard';

const folder = new URL('../web/public/figures/', import.meta.url);
mkdirSync(folder, { recursive: true });
writeFileSync(new URL('standard.json', folder), JSON.stringify(standardFigures()));
