import { screenGroup, type Knowledge } from '#core/caution';
import type { Person } from '#core/people';
import type { Plan } from '#core/plan';

/** How much there is to read about a person over several classes. */
export interface Noise {
  /** Lines at single steps that have to be read: what was said at an earlier step is a mark only. */
  atSteps: number;
  /** Lines for the class as a whole. */
  ofClass: number;
  /** Marks at steps whose words were read at an earlier one: the same condition, the same to do. */
  repeats: number;
}

/** Counts what is said of each of some people in all of some plans. */
export function noiseOf(
  people: readonly { id: string; person: Person }[],
  plans: readonly Plan[],
  knowledge: Knowledge,
  day: string,
): Map<string, Noise> {
  const found = new Map(people.map(({ id }) => [id, { atSteps: 0, ofClass: 0, repeats: 0 }]));
  for (const plan of plans) {
    for (const { personId, screening } of screenGroup(plan, people, knowledge, day)) {
      const noise = found.get(personId)!;
      const read = new Set<string>();
      noise.ofClass += screening.session.length;
      for (const { rule } of screening.steps.flatMap(({ cautions }) => cautions)) {
        const what = `${rule.condition}: ${rule.instead.words}`;
        if (read.has(what)) noise.repeats += 1;
        else noise.atSteps += 1;
        read.add(what);
      }
    }
  }
  return found;
}
