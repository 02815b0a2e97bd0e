import { computed } from 'vue';
import { withVariant, NO_VARIANTS, readVariants, type Variant, type Variants } from '#core/jobs';
import type { Plan } from '#core/plan';
import { variantsOf } from '../../../client/documents';
import { newId } from '../../../client/new-id';
import { sourceOf, useSyncedDocument } from '../../../sync/source';

/** The variants kept beside a plan: read when they are first wanted, saved as they are changed, with undo. */
export function useVariants(planId: string) {
  const synced = useSyncedDocument<Variants, Variants>({
    ...sourceOf(`variants.${planId}`, readVariants, variantsOf(planId)),
    initial: NO_VARIANTS,
  });
  const list = computed(() => synced.document.value.variants);
  const put = (name: string, variants: Variant[]): string | undefined =>
    synced.change(name, { ...synced.document.value, variants });

  /** Keeps a plan as another variant; returns the outcome in words. A fourth replaces the oldest. */
  async function keep(name: string, plan: Plan): Promise<string> {
    await synced.ready();
    if (!synced.isLoaded.value) return synced.trouble.value;
    const same = list.value.filter((variant) => variant.name.replace(/ \(\d+\)$/, '') === name).length;
    const variant = {
      id: newId(),
      name: same > 0 ? `${name} (${same + 1})` : name,
      madeAt: new Date().toISOString(),
      plan,
    };
    const gone = list.value.length + 1 - withVariant(synced.document.value, variant).variants.length;
    const refused = synced.change('save a variant', withVariant(synced.document.value, variant));
    if (refused) return refused;
    return gone > 0 ? 'Saved as a variant; the oldest one was removed to make room.' : 'Saved as a variant.';
  }
  return {
    ...synced,
    list,
    keep,
    rename: (id: string, name: string) =>
      put(
        'rename a variant',
        list.value.map((one) => (one.id === id ? { ...one, name } : one)),
      ),
    remove: (id: string) =>
      put(
        'delete a variant',
        list.value.filter((one) => one.id !== id),
      ),
  };
}
