import { csv, placeText, stockTable } from '#core/exchange';
import type { Place } from '#core/cupboard';
import type { ShareForm, Written } from '../../widgets/share/written';

type Form = 'file' | 'words' | 'table';
/** The forms a place can be handed over in. */
export const PLACE_FORMS: readonly [ShareForm<Form>, ...ShareForm<Form>[]] = [
  { value: 'file', label: 'Place', says: 'Everything about it, to be opened here or in another Zovrin.' },
  { value: 'words', label: 'In words', says: 'Plain text: the room and what lies in the cupboard, for a colleague.' },
  { value: 'table', label: 'Cupboard as a table', says: 'Kinds and pieces, for a spreadsheet (CSV).' },
];

/** A place in a form. */
export function writePlace(form: Form, place: Place): Written {
  switch (form) {
    case 'file':
      return { text: `${JSON.stringify(place, null, 2)}\n`, ending: '.zovrin-place.json', type: 'application/json' };
    case 'words':
      return { text: placeText(place), ending: '.txt', type: 'text/plain' };
    case 'table':
      return { text: csv(stockTable(place)), ending: '.csv', type: 'text/csv' };
  }
}
