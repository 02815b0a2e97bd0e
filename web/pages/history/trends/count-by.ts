import { linesOfAreas } from '#core/catalogue';
import type { Practised } from '#core/review';
import type { Settings } from '#core/settings';

/** What holds are counted by, week by week. */
export type CountBy = 'area' | 'line' | 'tag';
type Hold = Practised['holds'][number];

export const COUNT_BY_TITLES: Record<CountBy, string> = {
  area: 'By part of the body',
  line: 'By energy line',
  tag: 'By your tags',
};
export const NONE_COUNTED: Record<CountBy, string> = {
  area: 'No holds completed in this period.',
  line: 'No holds completed in this period.',
  tag: 'No position with a tag was held in this period.',
};

/** What one of them is called in a sentence. */
export const CALLED: Record<CountBy, (name: string) => string> = {
  area: (name) => name,
  line: (name) => `the ${name} line`,
  tag: (name) => `“${name}”`,
};

/** What holds can be counted by here: energy lines where they are shown, tags where there are some. */
export function countByOptionsFor({ school, entryTags }: Settings): { value: CountBy; label: string }[] {
  return [
    ...(school.bodyMap === 'lines' ? [] : [{ value: 'area' as const, label: 'part of the body' }]),
    ...(school.bodyMap === 'areas' ? [] : [{ value: 'line' as const, label: 'energy line' }]),
    ...(Object.keys(entryTags).length > 0 ? [{ value: 'tag' as const, label: 'your tags' }] : []),
  ];
}

/** The parts of the body, energy lines or tags that a hold counts for. */
export function partsOfHold(
  by: CountBy,
  { entryTags }: Pick<Settings, 'entryTags'>,
): (hold: Hold) => readonly string[] {
  switch (by) {
    case 'area':
      return ({ areas }) => areas;
    case 'line':
      return ({ areas }) => linesOfAreas(areas);
    case 'tag':
      return ({ position }) => entryTags[position] ?? [];
  }
}
