import type { Plan } from '#core/plan';
import { startInWords } from '../../../ui/dates';

/** The e-mail address in the words of a contact; empty where there is none. */
export const emailIn = (contact: string): string =>
  /[^\s<>,;:()]+@[^\s<>,;:()]+\.[^\s<>,;:().]+/u.exec(contact)?.[0] ?? '';

/** What a letter begins with; the teacher writes on from there. */
export function firstWords({ title, startsAt }: Pick<Plan, 'title' | 'startsAt'>): string {
  const when = startsAt === null ? '' : `\n\nThe class is on ${startInWords(startsAt)}.`;
  return `Hello,

“${title}” is attached as a page. Open it on your phone, and it leads you through the steps; it needs no network.${when}
`;
}
