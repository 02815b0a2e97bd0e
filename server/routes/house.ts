import { Router } from 'express';
import { DEFAULT_HOUSE, readHouse, type House } from '#core/settings';
import { SavedDocument, SaveHouseRequest, StoredHouse } from '#api';
import { answer } from '../http/answer';
import { accept, unprocessableDocument } from '../http/problems';
import { putDocument, type DocumentTable } from '../store/documents';
import type { DocumentRow, Models } from '../store/models';
import type { Store } from '../store/store';
import { readStored } from '../store/stored';

/** There is one house. */
const ID = 'house';

const storedHouse = (text: string): House => readStored('set of house rules', text, readHouse);

const stored = ({ revision, document }: DocumentRow): StoredHouse => ({ revision, document: storedHouse(document) });

const kindOf = ({ house }: Pick<Models, 'house'>): DocumentTable<House, StoredHouse> => ({
  table: house,
  noun: 'set of house rules',
  titleOf: () => 'House rules',
  stored,
});

/** The house rules there are, or the usual ones. */
export async function houseOf(store: Store): Promise<House> {
  const row = await store.house.findByPk(ID);
  return row ? storedHouse(row.document) : DEFAULT_HOUSE;
}

/** The house rules: read them, and save them with a revision. */
export function houseRoutes(store: Store): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    const row = await store.house.findByPk(ID);
    answer(response, StoredHouse, row ? stored(row) : { revision: 0, document: DEFAULT_HOUSE });
  });

  routes.put('/', async (request, response) => {
    const { revision, document } = accept(SaveHouseRequest, request.body);
    const read = readHouse(document);
    if (!read.ok) throw unprocessableDocument(read.issues);
    const saved = await store.write((tables) => putDocument(kindOf(tables), ID, revision, read.value, store.now()));
    answer(response, SavedDocument, { revision: saved.revision });
  });

  return routes;
}
