import { inject, provide, type InjectionKey } from 'vue';
import type { EntryDraft } from './use-entry-draft';

const KEY: InjectionKey<EntryDraft> = Symbol('entry');

export const provideEntry = (draft: EntryDraft): void => provide(KEY, draft);

/** The entry being edited, for the fields of its editor. Throws outside an editor. */
export function useEntry(): EntryDraft {
  const draft = inject(KEY);
  if (!draft) throw new Error('No entry is being edited here.');
  return draft;
}

/** A field of the entry being edited: its setter, and its problem. */
export function useEntryField() {
  const { change, problem } = useEntry();
  return {
    problem,
    set:
      (path: string) =>
      (value: unknown, merge?: string): undefined =>
        change(path, value, merge),
  };
}
