import { personText } from '#core/exchange';
import { CONDITIONS } from '#library/cautions';
import { readPersonFile } from '../../client/people';
import type { ShareForm, Written } from '../../widgets/share/written';

type Form = 'words' | 'file';
/** The forms in which somebody can be given what is kept about them. */
export const PERSON_FORMS: readonly [ShareForm<Form>, ...ShareForm<Form>[]] = [
  { value: 'words', label: 'In words', says: 'Everything that is kept about them, for them to read.' },
  { value: 'file', label: 'Their data', says: 'The same as JSON, for another Zovrin or another program.' },
];

const nameOf = (id: string): string => CONDITIONS.find((one) => one.id === id)?.name ?? id;

/** Everything that is kept of someone, in a form. Throws what the client throws. */
export async function writePerson(form: Form, id: string): Promise<Written> {
  const file = await readPersonFile(id);
  if (form === 'words') return { text: personText(file, nameOf), ending: '.txt', type: 'text/plain' };
  return { text: `${JSON.stringify(file, null, 2)}\n`, ending: '.zovrin-person.json', type: 'application/json' };
}
