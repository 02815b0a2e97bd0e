import { computed } from 'vue';
import { sameTag } from '#core/document';
import { useSettings } from '../../state/settings';
import { filtersFor } from './words';

/** The filters of the library as this house has them: by parts of the body, energy lines or both, and by its own tags. */
export function useFilters() {
  const settings = useSettings();
  void settings.ready();
  return computed(() => {
    const { entryTags, school } = settings.current;
    const tags: string[] = [];
    for (const tag of Object.values(entryTags).flat()) {
      if (!tags.some((known) => sameTag(known, tag))) tags.push(tag);
    }
    return filtersFor(
      school.bodyMap,
      tags.sort((a, b) => a.localeCompare(b)),
    );
  });
}
