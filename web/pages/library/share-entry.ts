import { positionText, techniqueText } from '#core/exchange';
import type { CustomEntry } from '#core/catalogue';
import type { ShareForm, Written } from '../../widgets/share/written';

type Form = 'file' | 'words';
/** The forms a library entry can be handed over in. */
export const ENTRY_FORMS: readonly [ShareForm<Form>, ...ShareForm<Form>[]] = [
  { value: 'file', label: 'Library entry', says: 'Everything in it, to be opened here or in another Zovrin.' },
  {
    value: 'words',
    label: 'In words',
    says: 'Plain text: set-up, getting in and out, what to say, when to take care.',
  },
];

/** A library entry in a form. */
export function writeEntry(form: Form, document: CustomEntry): Written {
  if (form === 'file') {
    return { text: `${JSON.stringify(document, null, 2)}\n`, ending: '.zovrin-entry.json', type: 'application/json' };
  }
  const text = document.kind === 'position' ? positionText(document.entry) : techniqueText(document.entry);
  return { text, ending: '.txt', type: 'text/plain' };
}
