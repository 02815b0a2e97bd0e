import { computed } from 'vue';
import { sameTag } from '#core/document';
import { Settings } from '#core/settings';
import { useSettings } from '../../state/settings';

/** The tag of what a teacher wants to have at hand. */
const FAVOURITE = 'favourite';

/**
 * The teacher's own tags on an entry. They are part of the settings: the library itself stays as it is. `accept` keeps
 * others in their place, and says why it cannot.
 */
export function useOwnTags(entry: () => string) {
  const settings = useSettings();
  void settings.ready();
  const tags = computed(() => settings.current.entryTags[entry()] ?? []);
  const isFavourite = computed(() => tags.value.some((tag) => sameTag(tag, FAVOURITE)));

  function accept(next: readonly string[]): string | undefined {
    const others = Object.entries(settings.current.entryTags).filter(([id]) => id !== entry());
    const entryTags = Object.fromEntries(next.length > 0 ? [...others, [entry(), [...next]]] : others);
    const read = Settings.shape.entryTags.safeParse(entryTags);
    if (!read.success) return read.error.issues[0]?.message;
    return settings.change('change the tags of an entry', { ...settings.current, entryTags });
  }
  /** Waits for the settings, where a page is so new that they are not there yet. */
  async function changeFavourite(): Promise<string | undefined> {
    await settings.ready();
    return accept(
      isFavourite.value ? tags.value.filter((tag) => !sameTag(tag, FAVOURITE)) : [...tags.value, FAVOURITE],
    );
  }

  return { tags, accept, isFavourite, changeFavourite };
}
