import { capacityOf, peopleAtWall, wallTurns, type Place, type Setting } from '#core/cupboard';
import { people } from '../shared/plan-words';

export const SETTING_WORDS: Readonly<Record<Setting, string>> = {
  studio: 'Studio',
  hall: 'Community hall',
  home: 'At home',
};

const metres = (cm: number): string => `${Math.round(cm) / 100} m`;

/** How many pieces lie in a cupboard, its own kinds among them. */
export const piecesIn = ({ stock, own }: Place): number =>
  Object.values(stock).reduce((sum, count) => sum + count, 0) + own.reduce((sum, { count }) => sum + count, 0);

/** How many people a place takes, and why no more: `14 people, a mat each`. */
export function capacityInWords(place: Place): string {
  const { people: most, by } = capacityOf(place);
  if (most === 0) return by === 'mats' ? 'no mats yet' : 'no floor for a mat';
  return `${people(most)}, ${by === 'mats' ? 'a mat each' : 'no floor for more mats'}`;
}

/** `4 m of wall, 4 at once`. */
export function wallInWords(place: Place): string {
  if (place.wallCm === 0) return 'no free wall';
  return `${metres(place.wallCm)} of wall, ${peopleAtWall(place)} at once`;
}

/** `in 3 turns: 3, 3 and 3`; empty where all have room at once, or nobody has. */
export function turnsInWords(some: number, atOnce: number): string {
  const turns = wallTurns(some, atOnce);
  if (turns.length < 2) return '';
  return `in ${turns.length} turns: ${turns.slice(0, -1).join(', ')} and ${turns.at(-1)}`;
}
