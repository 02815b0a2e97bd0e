import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { initialsOf, type Group, type Person } from '#core/people';
import { groupClient, personClient } from '../client/documents';
import { cachedList } from '../sync/cached-list';

export interface Known {
  id: string;
  person: Person;
}

/** Who is taught here, and in which groups: read once, and again whenever one of them was changed anywhere. */
export const usePeople = defineStore('people', () => {
  const { list, trouble, load, ready, forget, changed } = cachedList(async () => {
    const [people, groups] = await Promise.all([personClient.list(), groupClient.list()]);
    return { people, groups };
  }, 'zovrin.people');
  const people = computed(() => list.value?.people);
  const groups = computed(() => list.value?.groups);

  const byId = computed(() => new Map((people.value ?? []).map(({ id, document }) => [id, document])));
  /** Those of some ids that are known, in the order of the ids. */
  const of = (ids: readonly string[]): Known[] =>
    ids.flatMap((id) => {
      const person = byId.value.get(id);
      return person ? [{ id, person }] : [];
    });
  const group = (id: string | null): Group | undefined =>
    id === null ? undefined : groups.value?.find((one) => one.id === id)?.document;

  /** Outside the People pages, people are shown by initials, unless the teacher wants names. */
  const showNames = useLocalStorage('zovrin.showNames', false);
  const initials = computed(() =>
    initialsOf((people.value ?? []).map(({ id, document }) => ({ id, name: document.name }))),
  );
  const shown = (id: string): string =>
    (showNames.value ? byId.value.get(id)?.name : initials.value.get(id)) ?? 'someone who could not be found';

  return { people, groups, trouble, ready, load, lock: forget, changed, byId, of, group, showNames, shown };
});
