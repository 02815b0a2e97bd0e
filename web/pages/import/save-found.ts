import type { Recognised } from '#core/exchange';
import { compileTimeline } from '#core/timeline';
import { clockOfMs } from '#core/time';
import { courseClient, entryClient, personClient, placeClient } from '../../client/documents';
import { newId } from '../../client/new-id';
import { createPlan } from '../../client/plans';
import { useCourses } from '../../state/courses';
import { useLibrary } from '../../state/library';
import { usePeople } from '../../state/people';
import { usePlaces } from '../../state/places';

const SAVABLE = ['plan', 'entry', 'place', 'person', 'course'] as const;
/** What can be saved as a document of its own. */
export type Savable = Extract<Recognised, { kind: (typeof SAVABLE)[number] }>;
export const isSavable = (found: Recognised): found is Savable =>
  (SAVABLE as readonly Recognised['kind'][]).includes(found.kind);

/** What a file is and what is in it, in one line. */
export function inWords(found: Savable): string {
  switch (found.kind) {
    case 'plan': {
      const { plan, entries } = found.file;
      const { totalMs } = compileTimeline(plan, useLibrary().all).totals;
      const own = entries.length > 0 ? `, with ${entries.length} custom library entries` : '';
      return `A plan: “${plan.title}”, ${plan.steps.length} steps, ${clockOfMs(totalMs)}${own}`;
    }
    case 'entry': {
      const what = found.entry.kind === 'position' ? 'position' : 'breath technique';
      return `A library entry: the ${what} “${found.entry.entry.names.english}”`;
    }
    case 'place':
      return `A place: “${found.place.name}”`;
    case 'course':
      return `A course: “${found.course.title}”, ${found.course.weeks} ${found.course.unit}s`;
    case 'person': {
      const { name, conditions } = found.person;
      const noted = conditions.length === 1 ? '1 condition' : `${conditions.length} conditions`;
      return `A person: ${name}, with ${noted} noted`;
    }
  }
}

/** Saves one document, and gives the address of its page. Throws what the client throws. */
async function saveOne(found: Savable): Promise<string> {
  switch (found.kind) {
    case 'plan': {
      const { id } = await createPlan(found.file.plan, found.file.entries);
      if (found.file.entries.length > 0) await useLibrary().reload();
      return `/plans/${id}`;
    }
    case 'entry': {
      const { entry } = found;
      const library = useLibrary();
      const known =
        entry.kind === 'position' ? library.all.position(entry.entry.id) : library.all.technique(entry.entry.id);
      const id = known ? `own-${newId()}` : entry.entry.id;
      await entryClient.create(id, withId(entry, id));
      await library.reload();
      return entry.kind === 'position' ? `/library/${id}` : `/library/breath/${id}`;
    }
    case 'place': {
      const { id } = await placeClient.create(newId(), found.place);
      usePlaces().changed();
      return `/places/${id}`;
    }
    case 'course': {
      const { base } = found.course;
      // The plans of its weeks, and the plan it began with, are where it came from.
      const course = { ...found.course, base: { ...base, planId: null }, plans: [] };
      const { id } = await courseClient.create(newId(), course);
      useCourses().changed();
      return `/courses/${id}`;
    }
    case 'person': {
      const { id } = await personClient.create(newId(), found.person);
      usePeople().changed();
      return `/people/${id}`;
    }
  }
}

type Entry = Extract<Savable, { kind: 'entry' }>['entry'];
const withId = (document: Entry, id: string): Entry =>
  document.kind === 'position'
    ? { ...document, entry: { ...document.entry, id } }
    : { ...document, entry: { ...document.entry, id } };

/** Where each kind is listed. */
const LISTS: Readonly<Record<Savable['kind'], string>> = {
  plan: '/',
  entry: '/library',
  place: '/places',
  person: '/people',
  course: '/courses',
};

/**
 * Saves documents one after the other, and gives the address to go to: the document, or the list of several. Each is
 * reported once it is saved, so that after a failure only the others are saved again. Throws what the client throws.
 */
export async function saveFound(all: readonly Savable[], onSaved: (one: Savable) => void): Promise<string> {
  const [first] = all;
  let path = '/';
  for (const one of all) {
    path = await saveOne(one);
    onSaved(one);
  }
  return all.length === 1 || !first ? path : LISTS[first.kind];
}
