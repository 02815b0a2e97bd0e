import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Person } from '#core/people';
import type { StoredPerson } from '#api';
import { listPeople } from '../client/people';

/** Who is taught here: read once, and again when asked. */
export const usePeople = defineStore('people', () => {
  const people = shallowRef<StoredPerson[]>();
  const trouble = ref('');
  let loading: Promise<void> | undefined;

  function load(): Promise<void> {
    loading = listPeople().then(
      (list) => {
        [people.value, trouble.value] = [list, ''];
      },
      (error: Error) => {
        [trouble.value, loading] = [error.message, undefined];
      },
    );
    return loading;
  }
  /** Resolves when the people are here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loading ?? load();

  const byId = computed(() => new Map((people.value ?? []).map(({ id, document }) => [id, document])));
  /** Those of some ids that are known, in the order of the ids. */
  const of = (ids: readonly string[]): { id: string; person: Person }[] =>
    ids.flatMap((id) => {
      const person = byId.value.get(id);
      return person ? [{ id, person }] : [];
    });

  return { people, trouble, ready, load, byId, of };
});
