import type { Person } from '#core/people';
import type { Step } from '#core/plan';
import { bodyOf, type Knowledge } from './knowledge';
import { rulesOf, screenStep } from './screen';
import { demandsOf } from './traits';

type Screened = Pick<Person, 'conditions'> & Partial<Pick<Person, 'statureCm' | 'flexibility'>>;

/**
 * Whether a step suits everybody of a group on a day (`2026-11-26`): nobody should avoid it or have it changed. What is only
 * to be watched suits; so does everything where nobody has a condition that is known.
 */
export function suitsGroup(people: readonly Screened[], knowledge: Knowledge, day: string): (step: Step) => boolean {
  const careful = people
    .map((person) => ({ body: bodyOf(person), active: rulesOf(person, knowledge, day).active }))
    .filter(({ active }) => active.length > 0);
  return (step) =>
    careful.every(({ body, active }) => {
      const { level } = screenStep(step, demandsOf(step, knowledge, body), active);
      return level === null || level === 'watch';
    });
}
