import { computed } from 'vue';
import type { EntryWords } from '#core/catalogue';
import { situationsOf } from '#library/situations';
import { alsoCalled } from '#library/synonyms';
import { useSettings } from './settings';

/** What library entries are found by here: other names, own tags, situations, and energy lines where shown. */
export function useEntryWords() {
  const settings = useSettings();
  void settings.ready();
  return computed((): EntryWords => {
    const { entryTags, school } = settings.current;
    return { alsoCalled, tagsOf: (id) => entryTags[id] ?? [], situationsOf, byLines: school.bodyMap !== 'areas' };
  });
}
