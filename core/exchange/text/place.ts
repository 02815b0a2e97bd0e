import type { Place } from '#core/cupboard';
import { propKind, type KnownKind } from '#core/props';
import { paragraphs } from './paragraphs';

/** What lies in a cupboard: the kind and how many pieces there are; kinds without a piece are left out. */
function stockOf({ stock, own }: Place): { label: string; count: number }[] {
  const known = Object.entries(stock).map(([kind, count]) => {
    const { label, plural } = propKind(kind as KnownKind);
    return { label: count === 1 ? label : plural, count };
  });
  return [...known, ...own.map(({ kind, count }) => ({ label: kind.label, count }))].filter(({ count }) => count > 0);
}

/** The cupboard of a place as rows of a table, the first of them the headings. */
export const stockTable = (place: Place): string[][] => [
  ['kind', 'pieces'],
  ...stockOf(place).map(({ label, count }) => [label, String(count)]),
];

const metres = (cm: number): string => `${cm / 100} m`;

/** A place as plain text: its note, the room, and what lies in its cupboard. */
export function placeText(place: Place): string {
  const { name, note, mats, floor, wallCm, zone } = place;
  return paragraphs(name, [
    { lines: [note] },
    {
      heading: 'The room',
      lines: [
        mats.count > 0
          ? `${mats.count} mats, ${mats.widthCm} × ${mats.lengthCm} cm, ${mats.gapCm} cm between them`
          : '',
        floor ? `a floor of ${metres(floor.widthCm)} × ${metres(floor.lengthCm)}` : '',
        wallCm > 0 ? `${metres(wallCm)} of free wall` : '',
        zone === null ? '' : `on the clock of ${zone}`,
      ],
    },
    { heading: 'In the cupboard', lines: stockOf(place).map(({ label, count }) => `${count} ${label}`) },
  ]);
}
