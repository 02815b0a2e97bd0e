import type { Ref } from 'vue';
import { useRouter } from 'vue-router';
import type { BinnedItem } from '#api';
import { restore } from '../../client/bin';
import { useDeletedToast } from './use-deleted-toast';

/** The document of a page: how it is put into the bin, what it is called, and who has to know. */
interface OnPage {
  synced: { trouble: Ref<string>; load: () => Promise<void> };
  remove: (id: string) => Promise<void>;
  name: () => string;
  /** Tells the lists that it is there no longer, or again. */
  changed: () => void;
  /** Where it is listed. */
  listPath: string;
}

/** Puts the document of a page into the bin and goes to its list, from where it can be had back; and restores it. */
export function useBinning(
  item: Pick<BinnedItem, 'kind' | 'id'>,
  { synced: { trouble, load }, remove, name, changed, listPath }: OnPage,
) {
  const router = useRouter();
  const deleted = useDeletedToast();
  return {
    async remove(): Promise<void> {
      try {
        await remove(item.id);
        changed();
        deleted(name(), item, changed);
        await router.push(listPath);
      } catch (error) {
        trouble.value = (error as Error).message;
      }
    },
    async bringBack(): Promise<void> {
      await restore(item).then(load, (error: Error) => (trouble.value = error.message));
      changed();
    },
  };
}
