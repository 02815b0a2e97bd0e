import { APPROACH_LABELS } from '#core/catalogue';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { Totals } from '#core/timeline';
import { startInWords } from '../../ui/dates';

/** Whatever has the sums of a timeline: the timeline itself, or what is shown of a plan in a list. */
interface Sums {
  totals: Totals;
}

/** `12 people`, `1 person`. */
export const people = (count: number): string => (count === 1 ? '1 person' : `${count} people`);

/** `1:04 to spare`, `4:36 over`. */
export const spareInWords = ({ totals: { spareMs } }: Sums): string =>
  `${clockOfMs(Math.abs(spareMs))} ${spareMs < 0 ? 'over' : 'to spare'}`;

/** Whether the sides of a plan are even: `both sides equal`, `right side 0:40 shorter`, or empty if nothing has sides. */
export function balanceInWords({ totals: { leftMs, rightMs } }: Sums): string {
  if (leftMs + rightMs === 0) return '';
  if (leftMs === rightMs) return 'both sides equal';
  return `${leftMs < rightMs ? 'left' : 'right'} side ${clockOfMs(Math.abs(leftMs - rightMs))} shorter`;
}

/** `Potters · Yin`. */
export const groupAndApproach = ({ group, approach }: Pick<Plan, 'group' | 'approach'>): string =>
  [group, APPROACH_LABELS[approach]].filter(Boolean).join(' · ');

/** The length of a class for a phrase like "of 75": `75`, `7:30`. */
export const classLength = (ms: number): string => clockOfMs(ms).replace(/^(\d{1,2}):00$/, '$1');

/** Who comes, when and where, in one line. */
export const classInWords = ({ group, groupSize, startsAt, place }: Plan): string =>
  [group, people(groupSize), startInWords(startsAt), place].filter(Boolean).join(' · ');
