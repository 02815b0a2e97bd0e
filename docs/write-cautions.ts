import { writeFileSync } from 'node:fs';
import { builtInKnowledge } from '#library/cautions';
import { cautionsDocument } from './cautions-table';

writeFileSync(new URL('./cautions.md', import.meta.url), cautionsDocument(builtInKnowledge));
