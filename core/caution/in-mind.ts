import type { Library } from '#core/catalogue';
import { initials, type Ask, type Person } from '#core/people';
import type { Step } from '#core/plan';

/** What a step asks of the body: by its position, by its technique, and by what it holds of the breath. */
export function asksOf(step: Step, library: Library): Set<Ask> {
  const asks = new Set<Ask>();
  const add = (all: readonly Ask[] | undefined): void => all?.forEach((ask) => asks.add(ask));
  if (step.kind === 'hold') {
    add(library.position(step.position)?.traits);
    if (step.breath) add(library.technique(step.breath.technique)?.traits);
  } else if (step.kind === 'breath') {
    add(library.technique(step.technique)?.traits);
    if (step.moves) add(library.position(step.moves.position)?.traits);
  }
  return asks;
}

/** What to keep in mind for one person in one step, told by their initials. */
export interface InMind {
  personId: string;
  initials: string;
  words: string[];
}

/**
 * What the teacher keeps in mind for those who are there, as far as a step asks it of the body; people in the order they
 * are given. These are the teacher's own words: nothing is concluded from them.
 */
export function inMind(people: readonly { id: string; person: Person }[], step: Step, library: Library): InMind[] {
  const asks = asksOf(step, library);
  return people.flatMap(({ id, person }) => {
    const words = person.keepInMind.filter((kept) => kept.asks.some((ask) => asks.has(ask))).map((kept) => kept.words);
    return words.length > 0 ? [{ personId: id, initials: initials(person.name), words }] : [];
  });
}
