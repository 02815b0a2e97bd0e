import { entriesOf } from '#core/plan';
import type { Course } from './course';

/** Every id that stands under `position` or `technique` anywhere in a value. */
function* namedIn(value: unknown): Generator<string> {
  if (typeof value !== 'object' || value === null) return;
  for (const [key, inside] of Object.entries(value)) {
    if ((key === 'position' || key === 'technique') && typeof inside === 'string') yield inside;
    else yield* namedIn(inside);
  }
}

/** The library entries that any week of a course may have: of its base, of what is new, and of what was edited. */
export const entriesOfCourse = ({ base, threads, differences }: Course): string[] => [
  ...new Set([
    ...entriesOf(base.plan),
    ...threads.flatMap((thread) => (thread.kind === 'new' ? [thread.entry, ...thread.needs] : [])),
    ...namedIn(differences),
  ]),
];
