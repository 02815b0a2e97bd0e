import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { readPlan } from '#core/plan';
import { DEMO_PLANS } from '#library/demo';
import { planJsonSchema, withSchema } from './plan-schema';

const text = readFileSync(join(process.cwd(), 'docs/format.md'), 'utf8');
const validate = new Ajv2020({ strict: false, multipleOfPrecision: 6 }).compile(planJsonSchema());

test('the schema in docs/format.md is the one the code reads plans with (else: npm run docs:format)', () => {
  expect(withSchema(text)).toBe(text);
});

test('the demo plans fit the published schema, and what does not fit it is refused by the code too', () => {
  for (const { plan } of DEMO_PLANS) expect([validate(plan), validate.errors]).toEqual([true, null]);
  const [first] = DEMO_PLANS;
  for (const broken of [{}, { ...first?.plan, title: 3 }, { ...first?.plan, steps: [{ kind: 'dance' }] }]) {
    expect(validate(broken)).toBe(false);
    expect(readPlan(broken).ok).toBe(false);
  }
});

test('the example in docs/format.md is a plan', () => {
  const example = /```json example\n([\s\S]*?)```/.exec(text)?.[1] ?? '';
  expect(readPlan(JSON.parse(example))).toMatchObject({ ok: true });
});
