import { CLASS_WHERE_NAMES, WHERE_NAMES, WHERE_WORDS, type ClassWhere, type Where } from '#core/catalogue';

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** `In bed`, `Online, everyone at home`. */
const labelOf = (where: ClassWhere): string =>
  where === 'online' ? 'Online, everyone at home' : capital(WHERE_WORDS[where]);

/** Where a class can take place, for a list; `''` where nothing is said. */
export const CLASS_WHERE_CHOICES: { value: ClassWhere | ''; label: string }[] = [
  { value: '', label: 'In a studio or hall' },
  ...CLASS_WHERE_NAMES.map((value) => ({ value, label: labelOf(value) })),
];

/** Where a step can take place, for a list; `''` where the class does. */
export const stepWhereChoices = (ofClass: ClassWhere | null): { value: Where | ''; label: string }[] => [
  { value: '', label: ofClass ? `As the class: ${WHERE_WORDS[ofClass]}` : 'As the class' },
  ...WHERE_NAMES.map((value) => ({ value, label: labelOf(value) })),
];

/** What came of a change of place for the set-ups of the steps. */
export function setUpsChangedInWords(count: number): string {
  if (count === 0) return 'No set-up had to change.';
  return count === 1 ? 'The set-up of 1 step was changed.' : `The set-ups of ${count} steps were changed.`;
}
