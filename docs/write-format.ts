import { readFileSync, writeFileSync } from 'node:fs';
import { ENTRY_SCHEMA_FILE, entrySchemaText, withSchema } from './plan-schema';

const file = new URL('./format.md', import.meta.url);
writeFileSync(file, withSchema(readFileSync(file, 'utf8')));
writeFileSync(new URL(ENTRY_SCHEMA_FILE, import.meta.url), entrySchemaText());
