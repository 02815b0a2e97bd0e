import { capacityOf, peopleAtWall, type Place, type Setting } from '#core/cupboard';
import { largeLengthInWords } from '../../ui/lengths';
import { people } from '../../widgets/session/words';

export const SETTING_WORDS: Readonly<Record<Setting, string>> = {
  studio: 'Studio',
  hall: 'Community hall',
  home: 'At home',
};

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
  return `${largeLengthInWords(place.wallCm)} of wall, ${peopleAtWall(place)} at once`;
}
