import { computed } from 'vue';
import type { EntryWords } from '#core/catalogue';
import { alsoCalled } from '#library/synonyms';
import { useSettings } from './settings';

/** What library entries are found by here: what they are also called, own tags, and energy lines where shown. */
export function useEntryWords() {
  const settings = useSettings();
  void settings.ready();
  return computed((): EntryWords => {
    const { entryTags, school } = settings.current;
    return { alsoCalled, tagsOf: (id) => entryTags[id] ?? [], byLines: school.bodyMap !== 'areas' };
  });
}
