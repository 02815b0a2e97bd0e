import { z } from 'zod';
import { Id, readDocument, words, type DocumentKind, type Read } from '#core/document';
import { Plan, readPlan } from '#core/plan';

const VARIANTS_FORMAT = 'zovrin-variants';
const VARIANTS_VERSION = 1;
/** Two or three can be distinguished at a glance. */
export const MAX_VARIANTS = 3;

/** A plan as it could also be: kept beside the plan, with a name. `madeAt` is a moment in UTC. */
export const Variant = z.strictObject({
  id: Id,
  name: words('A name of the variant', 80),
  madeAt: z.iso.datetime('A moment like 2026-11-26T18:30:00Z.'),
  plan: Plan,
});
export type Variant = z.infer<typeof Variant>;

/** What is kept beside one plan. */
export const Variants = z.strictObject({
  format: z.literal(VARIANTS_FORMAT, 'These are not variants of a plan.'),
  version: z.literal(VARIANTS_VERSION),
  variants: z.array(Variant).max(MAX_VARIANTS, `At most ${MAX_VARIANTS} variants are kept beside a plan.`),
});
export type Variants = z.infer<typeof Variants>;

export const NO_VARIANTS: Variants = { format: VARIANTS_FORMAT, version: VARIANTS_VERSION, variants: [] };

const DOCUMENT: DocumentKind<Variants> = {
  format: VARIANTS_FORMAT,
  called: 'a set of variants',
  version: VARIANTS_VERSION,
  migrations: {},
  schema: Variants,
};

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
/** A variant whose plan is of this version; as it is where its plan cannot be read. */
function withPlanOfNow(variant: unknown): unknown {
  if (!isObject(variant)) return variant;
  const read = readPlan(variant.plan);
  return read.ok ? { ...variant, plan: read.value } : variant;
}

/**
 * Reads variants from any value; the plans in them have versions of their own, and are migrated too. Returns them, or
 * every invalid field with the reason. Never throws.
 */
export const readVariants = (value: unknown): Read<Variants> =>
  readDocument(
    DOCUMENT,
    isObject(value) && Array.isArray(value.variants)
      ? { ...value, variants: value.variants.map(withPlanOfNow) }
      : value,
  );

/** Variants with one more; the oldest gives way where there are as many as are kept. */
export const withVariant = (variants: Variants, variant: Variant): Variants => ({
  ...variants,
  variants: [...variants.variants, variant].slice(-MAX_VARIANTS),
});
