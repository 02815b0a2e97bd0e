import { useToast } from 'primevue/usetoast';
import type { BinnedItem } from '#api';
import { restore } from '../../client/bin';
import { useUndoToast } from '../../ui/use-undo-toast';

/** Says that something is in the bin, and restores it where that is undone; `after` is called once it is back. */
export function useDeletedToast(): (name: string, item: Pick<BinnedItem, 'kind' | 'id'>, after: () => unknown) => void {
  const toast = useToast();
  const undoable = useUndoToast();
  return (name, item, after) =>
    undoable(`${name} is in the bin for 30 days`, async () => {
      try {
        await restore(item);
        await after();
      } catch (error) {
        toast.add({ severity: 'error', summary: 'It could not be restored', detail: (error as Error).message });
      }
    });
}
