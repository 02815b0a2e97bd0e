import { ListUnreadableResponse, type StoredKind, type UnreadableRow } from '#api';
import { deleteEntry } from './entries';
import { ask } from './http';
import { deleteJournalEntry } from './journal';
import { deleteGroup, deletePerson } from './people';
import { deletePlace } from './places';
import { deletePlan } from './plans';
import { deleteRun } from './runs';

/** Everything that is stored and cannot be read. */
export const listUnreadable = async (): Promise<UnreadableRow[]> =>
  (await ask(ListUnreadableResponse, 'GET', '/unreadable')).rows;

/** The address of the stored text of a row, which the browser saves as a file. */
export const storedTextAt = ({ kind, id }: Pick<UnreadableRow, 'kind' | 'id'>): string =>
  `/api/unreadable/${kind}/${encodeURIComponent(id)}`;

const DELETE: Partial<Record<StoredKind, (id: string) => Promise<void>>> = {
  plan: deletePlan,
  run: deleteRun,
  entry: deleteEntry,
  person: deletePerson,
  group: deleteGroup,
  place: deletePlace,
  journal: deleteJournalEntry,
};
/** Puts a row into the bin, where its kind has one. */
export const deleteUnreadable = async ({ kind, id }: UnreadableRow): Promise<void> => DELETE[kind]?.(id);
