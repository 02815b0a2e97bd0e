import { computed } from 'vue';
import { keptBeside, NO_VARIANTS, readVariants, Variants, type Variant } from '#core/jobs';
import type { Plan } from '#core/plan';
import { readStoredVariants, saveStoredVariants, variantsConflictOf } from '../../../client/arrange';
import { newId } from '../../../client/new-id';
import { keptDocument } from '../../../sync/kept-document';

/** The variants kept beside a plan: read when they are first wanted, saved as they are changed, with undo. */
export function useVariants(planId: string) {
  const kept = keptDocument<Variants>({
    unsentKey: `zovrin.variants.${planId}.unsent`,
    start: NO_VARIANTS,
    schema: Variants,
    read: readVariants,
    fetch: () => readStoredVariants(planId),
    send: (revision, document) => saveStoredVariants(planId, revision, document),
    conflictOf: variantsConflictOf,
  });
  const list = computed(() => kept.document.value.variants);
  const put = (name: string, variants: Variant[]): string | undefined =>
    kept.change(name, { ...kept.document.value, variants });

  /** Keeps a plan as one more variant; gives what came of it, in words. The oldest gives way to a fourth. */
  async function keep(name: string, plan: Plan): Promise<string> {
    await kept.ready();
    if (!kept.here.value) return kept.trouble.value;
    const same = list.value.filter((variant) => variant.name.replace(/ \(\d+\)$/, '') === name).length;
    const variant = {
      id: newId(),
      name: same > 0 ? `${name} (${same + 1})` : name,
      madeAt: new Date().toISOString(),
      plan,
    };
    const gone = list.value.length + 1 - keptBeside(kept.document.value, variant).variants.length;
    const refused = kept.change('keep a variant', keptBeside(kept.document.value, variant));
    if (refused) return refused;
    return gone > 0 ? 'Kept as a variant; the oldest made room.' : 'Kept as a variant.';
  }
  return {
    ...kept,
    list,
    keep,
    rename: (id: string, name: string) =>
      put(
        'rename a variant',
        list.value.map((one) => (one.id === id ? { ...one, name } : one)),
      ),
    remove: (id: string) =>
      put(
        'take out a variant',
        list.value.filter((one) => one.id !== id),
      ),
  };
}
