import { onScopeDispose } from 'vue';
import type { Read } from '#core/document';
import type { OneDocument } from '../client/documents';
import type { DocumentSource } from './document-source';
import { syncedDocument, type SyncedDocument } from './synced-document';

/** A document of the API as the source of a synced one. */
export const sourceOf = <T, S extends { revision: number; document: T }>(
  key: string,
  read: (value: unknown) => Read<T>,
  document: OneDocument<T, S>,
): Pick<DocumentSource<T>, 'key' | 'read' | 'fetch' | 'send' | 'conflictOf'> => ({
  key,
  read,
  fetch: async () => savedAsOf(await document.read()),
  send: document.save,
  conflictOf(error) {
    const found = document.conflictOf(error);
    return found && savedAsOf(found);
  },
});

/** A moment before which nothing was ever saved is none. */
function savedAsOf<T, S extends { revision: number; document: T }>(stored: S) {
  const { updatedAt } = stored as { updatedAt?: string | null };
  return { revision: stored.revision, document: stored.document, updatedAt: updatedAt ?? undefined };
}

/** A synced document for as long as the component that opens it is there. */
export function useSyncedDocument<T extends object, Initial extends T | undefined = undefined>(
  source: DocumentSource<T, Initial>,
): SyncedDocument<T, Initial> {
  const synced = syncedDocument<T, Initial>(source);
  onScopeDispose(() => void synced.close());
  return synced;
}
