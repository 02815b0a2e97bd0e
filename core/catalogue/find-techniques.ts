import type { Chosen, EntryWords } from './find';
import { sameTag } from '#core/document';
import { matchScore } from './search';
import type { Technique } from './technique';

/** What techniques can be filtered by; what is chosen in any other group leaves none of them. */
const FITS: { [group in keyof Chosen]?: (id: string, wanted: Chosen[group], words: EntryWords) => boolean } = {
  approach: (_, wanted) => wanted.includes('pranayama'),
  tag: (id, wanted, { tagsOf }) => tagsOf(id).some((tag) => wanted.some((one) => sameTag(one, tag))),
  used: (id, _, { usedLately }) => usedLately?.(id) ?? false,
};

/** The techniques that match a query and the filters, in library order. */
export function findTechniques(
  techniques: readonly Technique[],
  query: string,
  chosen: Chosen,
  words: EntryWords,
): Technique[] {
  const groups = (Object.keys(chosen) as (keyof Chosen)[]).filter((group) => chosen[group].length > 0);
  const fits = ({ id }: Technique): boolean =>
    groups.every((group) => {
      const fit = FITS[group] as ((id: string, wanted: readonly string[], words: EntryWords) => boolean) | undefined;
      return fit?.(id, chosen[group], words) ?? false;
    });
  const found = techniques.filter(fits);
  if (query.trim() === '') return found;
  return found.filter(
    ({ id, names, short }) =>
      matchScore(query, [
        names.english,
        names.sanskrit,
        short,
        'breath',
        ...words.alsoCalled(id),
        ...words.tagsOf(id),
      ]) > 0,
  );
}
