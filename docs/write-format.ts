import { readFileSync, writeFileSync } from 'node:fs';
import { withSchema } from './plan-schema';

const file = new URL('./format.md', import.meta.url);
writeFileSync(file, withSchema(readFileSync(file, 'utf8')));
