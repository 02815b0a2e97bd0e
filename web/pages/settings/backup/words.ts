import type { BackupRow, BackupsResponse, StoredKind } from '#api';
import { KINDS } from '../../../widgets/documents/words';

const MORE: Partial<Record<StoredKind, string>> = {
  plan: 'plans',
  run: 'sessions',
  entry: 'library entries',
  person: 'people',
  group: 'groups',
  place: 'places',
  course: 'courses',
  journal: 'journal entries',
};
type Counts = Extract<BackupsResponse['newest'], { ok: true }>['counts'];
/** `5 plans, 1 session and 20 people`; what goes with a plan is not counted. */
export function countsInWords(counts: Counts): string {
  const parts = Object.entries(MORE).flatMap(([kind, more]) => {
    const n = counts[kind as StoredKind] ?? 0;
    return n === 0 ? [] : [`${n} ${n === 1 ? KINDS[kind as StoredKind] : more}`];
  });
  return parts.length === 0 ? 'nothing yet' : new Intl.ListFormat('en-GB').format(parts);
}

/** How a document of a backup stands beside what is stored. */
export function stateInWords({ state, newer, reason }: BackupRow): string {
  if (state === 'new') return 'not here';
  if (state === 'unreadable') return `cannot be read: ${reason ?? ''}`;
  if (newer === 'backup') return 'newer in the backup';
  return newer === 'here' ? 'newer here' : 'different';
}

/** `1 document`, `3 documents`. */
export const documents = (n: number): string => (n === 1 ? '1 document' : `${n} documents`);
