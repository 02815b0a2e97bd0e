import { watchDebounced } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import { readOutline, type ReadOutline } from '#core/exchange';
import { applyEdit, type Plan } from '#core/plan';
import { planRulesOf } from '#core/settings';
import { compileTimeline, remainingEdit } from '#core/timeline';
import { newId } from '../../client/new-id';
import { today } from '../../state/days';
import { useIncoming } from '../../state/incoming';
import { useLibrary } from '../../state/library';
import { useNameIndex } from '../../state/name-index';
import { usePlaces } from '../../state/places';
import { useSettings } from '../../state/settings';

/** The words of an import as they are read now, with what was decided of the questions. */
export function useOutline() {
  const incoming = useIncoming();
  const library = useLibrary();
  const names = useNameIndex();
  const settings = useSettings();
  const places = usePlaces();
  void settings.ready();
  void places.ready();
  const decided = ref<Record<string, string>>({});
  const read = shallowRef<ReadOutline>();

  /** Reads the words as they are at this moment; otherwise they are read a little after the last key. */
  function readNow(): void {
    const { approach } = settings.current.usual;
    read.value = readOutline(incoming.text, {
      index: names.index,
      approach,
      where: null,
      today: today(),
      newId,
      decided: decided.value,
    });
  }
  watchDebounced([() => incoming.text, decided, () => names.index, () => settings.current.usual.approach], readNow, {
    debounce: 150,
    immediate: true,
    deep: true,
  });

  /** The plan that the words make, as a new one is here: with the usual place and rules, and the rest of its time given. */
  const plan = computed((): Plan | undefined => {
    if (!read.value) return undefined;
    const { place: placeId } = settings.current.usual;
    const place = places.place(placeId);
    const made = read.value.plan;
    const here = {
      ...made,
      rules: planRulesOf(settings.current),
      ...(place && made.place === '' ? { cupboard: placeId, place: place.name } : {}),
    };
    const rest = remainingEdit(here, library.all);
    const edited = rest && applyEdit(here, rest);
    return edited?.ok ? edited.plan : here;
  });
  const timeline = computed(() => plan.value && compileTimeline(plan.value, library.all));
  const decide = (id: string, value: string): void => {
    decided.value = { ...decided.value, [id]: value };
    readNow();
  };
  return { read, plan, timeline, decided, decide, readNow };
}
