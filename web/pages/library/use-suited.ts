import { computed, shallowRef, watch, type Ref } from 'vue';
import { rulesOf, suitsGroup } from '#core/caution';
import { breathFrom, holdFrom, type Step } from '#core/plan';
import { today } from '../../state/days';
import { useLibrary } from '../../state/library';
import { usePeople } from '../../state/people';
import type { useKnowledge } from '../../state/knowledge';

/**
 * The entries that suit a group, and the groups there are. What is known of cautions is read only once a group is chosen.
 * Until an entry has been compared with everybody in it, it is not shown: nothing passes for suitable unseen.
 * @param group its id, or empty; one that there is not becomes empty
 */
export function useSuited(group: Ref<string>) {
  const library = useLibrary();
  const people = usePeople();
  void people.ready();
  const known = shallowRef<ReturnType<typeof useKnowledge>>();
  watch(
    [group, () => people.groups],
    async ([id, groups]) => {
      if (id === '') return;
      if (groups && !groups.some((one) => one.id === id)) group.value = '';
      else known.value ??= (await import('../../state/knowledge')).useKnowledge();
    },
    { immediate: true },
  );
  const members = computed(() => {
    const ids = people.group(group.value)?.members;
    return ids && people.of(ids).map(({ person }) => person);
  });
  const suits = computed(() =>
    members.value && known.value ? suitsGroup(members.value, known.value.knowledge, today()) : undefined,
  );
  const suited = <T>(entries: readonly T[], stepOf: (entry: T) => Step): readonly T[] => {
    if (group.value === '') return entries;
    const fits = suits.value;
    return fits ? entries.filter((entry) => fits(stepOf(entry))) : [];
  };
  /** What is to be known of the comparison, in words; empty while there is none. */
  const says = computed(() => {
    if (group.value === '') return '';
    const [all, knowledge] = [members.value, known.value?.knowledge];
    if (!all && people.trouble) return `The group could not be read. ${people.trouble}`;
    if (!all || !knowledge) return 'Comparing with the group…';
    if (all.length === 0) return 'Nobody is in this group yet, so nothing is left out.';
    const unknown = all.filter((person) => rulesOf(person, knowledge, today()).notScreened.length > 0).length;
    return [
      'Leaves out what somebody in this group should avoid or have changed, held as long as usual.',
      unknown > 0 ? `${unknown} of ${all.length} have a condition that is not known here: look for yourself.` : '',
      'Usual cautions, not medical advice.',
    ]
      .filter(Boolean)
      .join(' ');
  });
  return {
    positions: computed(() => suited(library.positions, (entry) => holdFrom(entry, 'blended', 'this'))),
    techniques: computed(() => suited(library.techniques, (entry) => breathFrom(entry, 'this'))),
    groups: computed(() => (people.groups ?? []).map(({ id, document }) => ({ id, name: document.name }))),
    says,
  };
}
