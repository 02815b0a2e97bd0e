import { writeFileSync } from 'node:fs';
import { EXAMPLES } from './examples';

for (const [name, text] of Object.entries(EXAMPLES))
  writeFileSync(new URL(`./examples/${name}`, import.meta.url), text);
