import { computed, shallowRef, watch, type Ref } from 'vue';
import { suitsGroup } from '#core/caution';
import { breathFrom, holdFrom, type Step } from '#core/plan';
import { today } from '../../state/days';
import { useLibrary } from '../../state/library';
import { usePeople } from '../../state/people';
import type { useKnowledge } from '../../state/knowledge';

/**
 * The entries that suit a group, and the groups there are. What is known of cautions is read only once a group is chosen; until
 * then, and while none is, everything is there.
 * @param group its id, or empty
 */
export function useSuited(group: Ref<string>) {
  const library = useLibrary();
  const people = usePeople();
  void people.ready();
  const known = shallowRef<ReturnType<typeof useKnowledge>>();
  watch(
    group,
    async (id) => {
      if (id !== '') known.value ??= (await import('../../state/knowledge')).useKnowledge();
    },
    { immediate: true },
  );
  const suits = computed(() => {
    const members = people.group(group.value)?.members;
    if (!members || !known.value) return undefined;
    return suitsGroup(
      people.of(members).map(({ person }) => person),
      known.value.knowledge,
      today(),
    );
  });
  const suited = <T>(entries: readonly T[], stepOf: (entry: T) => Step): readonly T[] => {
    const fits = suits.value;
    return fits ? entries.filter((entry) => fits(stepOf(entry))) : entries;
  };
  return {
    positions: computed(() => suited(library.positions, (entry) => holdFrom(entry, 'blended', 'this'))),
    techniques: computed(() => suited(library.techniques, (entry) => breathFrom(entry, 'this'))),
    groups: computed(() => (people.groups ?? []).map(({ id, document }) => ({ id, name: document.name }))),
  };
}
