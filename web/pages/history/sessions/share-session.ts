import { csv, sessionTable, sessionText } from '#core/exchange';
import { planFile, type Plan } from '#core/plan';
import type { RunRecord } from '#core/review';
import { useLibrary } from '../../../state/library';
import type { ShareForm, Written } from '../../../widgets/share/written';

type Form = 'words' | 'table' | 'plan';
/** The forms a session can be handed over in. */
export const SESSION_FORMS: readonly [ShareForm<Form>, ...ShareForm<Form>[]] = [
  { value: 'words', label: 'In words', says: 'How it went, step by step, for a colleague who takes over.' },
  { value: 'table', label: 'Table', says: 'What was led against what was planned, for a spreadsheet (CSV).' },
  { value: 'plan', label: 'Its plan', says: 'The plan as it was when the session began, to be opened again.' },
];

/** A session in a form; `title` says its plan and when it was. */
export function writeSession(form: Form, plan: Plan, record: RunRecord, title: string): Written {
  const nameOf = (stepIndex: number): string => plan.steps[stepIndex]?.name ?? '';
  switch (form) {
    case 'words':
      return { text: sessionText(record, title, nameOf), ending: '.txt', type: 'text/plain' };
    case 'table':
      return { text: csv(sessionTable(record, nameOf)), ending: '.csv', type: 'text/csv' };
    case 'plan': {
      const { all, own } = useLibrary();
      const text = `${JSON.stringify(planFile(plan, all, own), null, 2)}\n`;
      return { text, ending: '.zovrin.json', type: 'application/json' };
    }
  }
}
