import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { copyOf, positionDocument, readEntry, techniqueDocument } from '#core/catalogue';
import { holdFrom, planFile, readPlan, readPlanFile } from '#core/plan';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { DEMO_PLANS } from '#library/demo';
import { planOf } from '../tests/support/examples';
import { ENTRY_SCHEMA_FILE, entryJsonSchema, entrySchemaText, planJsonSchema, withSchema } from './plan-schema';

const inDocs = (file: string): string => readFileSync(join(process.cwd(), 'docs', file), 'utf8');
const text = inDocs('format.md');
const ajv = new Ajv2020({ strict: false, multipleOfPrecision: 6 }).addSchema(entryJsonSchema());
const validate = ajv.compile(planJsonSchema());
const validEntry = ajv.getSchema(ENTRY_SCHEMA_FILE)!;

test('the published schemas are those the code reads with (else: npm run docs:format)', () => {
  expect(withSchema(text)).toBe(text);
  expect(inDocs(ENTRY_SCHEMA_FILE)).toBe(entrySchemaText());
});

test('the demo plans fit the published schema, and what does not fit it is refused by the code too', () => {
  for (const { plan } of DEMO_PLANS) expect([validate(plan), validate.errors]).toEqual([true, null]);
  const [first] = DEMO_PLANS;
  for (const broken of [{}, { ...first?.plan, title: 3 }, { ...first?.plan, steps: [{ kind: 'dance' }] }]) {
    expect(validate(broken)).toBe(false);
    expect(readPlan(broken).ok).toBe(false);
  }
});

test('every entry that ships, made one’s own, fits the published schema; so does a plan that carries one', () => {
  for (const own of [...POSITIONS.map(positionDocument), ...TECHNIQUES.map(techniqueDocument)]) {
    expect([own.entry.id, validEntry(own)]).toEqual([own.entry.id, true]);
  }
  const own = copyOf(positionDocument(POSITIONS[0]!), 'own-seat');
  const file = planFile(planOf(holdFrom(own.entry as (typeof POSITIONS)[0], 'yin', 'a')), builtInLibrary, [own]);
  expect([validate(file), readPlanFile(file).ok]).toEqual([true, true]);
  const broken = { ...own, entry: { ...own.entry, areas: ['aura'] } };
  expect([validEntry(broken), readEntry(broken).ok]).toEqual([false, false]);
  expect(validate({ ...file, entries: [broken] })).toBe(false);
});

test('the example in docs/format.md is a plan', () => {
  const example = /```json example\n([\s\S]*?)```/.exec(text)?.[1] ?? '';
  expect(readPlan(JSON.parse(example))).toMatchObject({ ok: true });
});
