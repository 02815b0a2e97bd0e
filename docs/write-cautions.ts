import { writeFileSync } from 'node:fs';
import { builtInKnowledge } from '#library/cautions';
import { cautionsDocument, demandsDocument } from './cautions-table';

writeFileSync(new URL('./cautions.md', import.meta.url), cautionsDocument(builtInKnowledge));
writeFileSync(new URL('./demands.md', import.meta.url), demandsDocument(builtInKnowledge));
