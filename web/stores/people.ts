import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { initialsOf, type Group, type Person } from '#core/people';
import type { StoredGroup, StoredPerson } from '#api';
import { listGroups, listPeople } from '../client/people';

export interface Known {
  id: string;
  person: Person;
}

/** Who is taught here, and in which groups: read once, and again whenever one of them was changed anywhere. */
export const usePeople = defineStore('people', () => {
  const people = shallowRef<StoredPerson[]>();
  const groups = shallowRef<StoredGroup[]>();
  const trouble = ref('');
  let loading: Promise<void> | undefined;

  function load(): Promise<void> {
    loading = Promise.all([listPeople(), listGroups()]).then(
      ([list, together]) => {
        [people.value, groups.value, trouble.value] = [list, together, ''];
      },
      (error: Error) => {
        [trouble.value, loading] = [error.message, undefined];
      },
    );
    return loading;
  }
  /** Resolves when the people are here, or cannot be had now; the next call tries again. */
  const ready = (): Promise<void> => loading ?? load();
  /** Nothing of anyone is left in this window: the next call asks again. */
  function lock(): void {
    [people.value, groups.value, loading] = [undefined, undefined, undefined];
  }

  const channel = new BroadcastChannel('zovrin.people');
  channel.onmessage = () => void load();
  /** Someone, or a group, was made, changed or taken out here. */
  function changed(): void {
    channel.postMessage('changed');
    void load();
  }

  const byId = computed(() => new Map((people.value ?? []).map(({ id, document }) => [id, document])));
  /** Those of some ids that are known, in the order of the ids. */
  const of = (ids: readonly string[]): Known[] =>
    ids.flatMap((id) => {
      const person = byId.value.get(id);
      return person ? [{ id, person }] : [];
    });
  const group = (id: string | null): Group | undefined =>
    id === null ? undefined : groups.value?.find((one) => one.id === id)?.document;

  /** Outside their own room people are told by initials, unless the teacher wants names. */
  const showNames = useLocalStorage('zovrin.showNames', false);
  const initials = computed(() =>
    initialsOf((people.value ?? []).map(({ id, document }) => ({ id, name: document.name }))),
  );
  const shown = (id: string): string =>
    (showNames.value ? byId.value.get(id)?.name : initials.value.get(id)) ?? 'someone no longer here';

  return { people, groups, trouble, ready, load, lock, changed, byId, of, group, showNames, shown };
});
