import type { StoredKind } from '#api';

/** What a stored row is called. */
export const KINDS: Record<StoredKind, string> = {
  plan: 'plan',
  variants: 'variants of a plan',
  run: 'session',
  entry: 'library entry',
  person: 'person',
  group: 'group',
  class: 'decisions for a class',
  place: 'place',
  course: 'course',
  journal: 'journal entry',
  settings: 'settings',
};

/** `1 item cannot be opened.`, `3 items cannot be opened.` */
export const countInWords = (count: number): string =>
  count === 1 ? '1 item cannot be opened.' : `${count} items cannot be opened.`;
