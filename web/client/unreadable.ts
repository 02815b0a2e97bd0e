import { API_BASE, ListUnreadableResponse, type StoredKind, type UnreadableRow } from '#api';
import {
  courseClient,
  entryClient,
  groupClient,
  journalClient,
  personClient,
  placeClient,
  planClient,
} from './documents';
import { ask } from './http';
import { deleteRun } from './runs';

/** Everything that is stored and cannot be read. */
export const listUnreadable = async (): Promise<UnreadableRow[]> =>
  (await ask(ListUnreadableResponse, 'GET', '/unreadable')).rows;

/** The address of the stored text of a row, which the browser saves as a file. */
export const storedTextAt = ({ kind, id }: Pick<UnreadableRow, 'kind' | 'id'>): string =>
  `${API_BASE}/unreadable/${kind}/${encodeURIComponent(id)}`;

const DELETE: Partial<Record<StoredKind, (id: string) => Promise<void>>> = {
  plan: planClient.remove,
  run: deleteRun,
  entry: entryClient.remove,
  person: personClient.remove,
  group: groupClient.remove,
  place: placeClient.remove,
  course: courseClient.remove,
  journal: journalClient.remove,
};
/** Puts a row into the bin, where its kind has one. */
export const deleteUnreadable = async ({ kind, id }: UnreadableRow): Promise<void> => DELETE[kind]?.(id);
